package snikra.server;

import snikra.server.journal.Journal;
import snikra.server.knives.KnifeService;
import snikra.server.photos.PhotoService;

/** Lets knives go for good, with their photographs and journals: once they were taken out. */
public class Farewell {
  private final KnifeService knives;
  private final PhotoService photos;
  private final Journal journal;

  Farewell(KnifeService knives, PhotoService photos, Journal journal) {
    this.knives = knives;
    this.photos = photos;
    this.journal = journal;
  }

  /** Lets one knife go that was taken out. */
  public void letGo(String id) {
    knives.requireTakenOut(id);
    photos.forgetOf(id);
    journal.forget(id);
    knives.forget(id);
  }

  /** Lets those go that were taken out longer ago than they can be put back. */
  public void letGoWhatIsDue() {
    knives.due().forEach(this::letGo);
  }
}
