package snikra.server.keeping;

import java.nio.file.Path;
import java.util.List;
import java.util.function.Supplier;

/** Safe keeping as a whole, for whoever asks how things stand. */
public class Keeping {
  private final Path data;
  private final Disk disk;
  private final Backups backups;
  private final Caretaker caretaker;
  private final Supplier<Checked> check;
  private final Runnable whenBroughtBack;

  /**
   * What holding everything against what it was comes to.
   *
   * @param knives that can be read
   * @param unreadable knives that cannot be read
   * @param originals of photographs that were looked for
   * @param lost photographs whose file is not there any more
   * @param changed photographs whose file is not what it was when it came
   */
  public record Checked(
      int knives, List<String> unreadable, int originals, List<String> lost, List<String> changed) {
    /** Whether nothing is amiss. */
    public boolean sound() {
      return unreadable.isEmpty() && lost.isEmpty() && changed.isEmpty();
    }
  }

  /**
   * All of it.
   *
   * @param whenBroughtBack told that everything in the database was exchanged
   */
  public Keeping(
      Path data,
      Disk disk,
      Backups backups,
      Caretaker caretaker,
      Supplier<Checked> check,
      Runnable whenBroughtBack) {
    this.data = data;
    this.disk = disk;
    this.backups = backups;
    this.caretaker = caretaker;
    this.check = check;
    this.whenBroughtBack = whenBroughtBack;
  }

  KeepingController.KeepingStanding standing() {
    long free = disk.free();
    return new KeepingController.KeepingStanding(
        data.toString(),
        backups.folder().toString(),
        free,
        free >= Disk.ROOM,
        free >= Disk.ROOM_FOR_PHOTOGRAPHS,
        caretaker.lastFailure(),
        backups.all());
  }

  /** Makes a copy at once. */
  public Backup makeBackup() {
    return backups.make(Backup.Reason.BY_HAND);
  }

  void choose(String folder) {
    backups.choose(folder);
  }

  Backups.CopyLook look(String name) {
    return backups.look(name);
  }

  Backup restore(String name) {
    Backup before = backups.restore(name);
    whenBroughtBack.run();
    return before;
  }

  /** Holds everything against what it was. */
  public Checked check() {
    return check.get();
  }
}
