package snikra.server.trial;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.OwnSchools;
import snikra.core.condition.School;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.reference.FactSlip;
import snikra.core.reference.MarkSlip;
import snikra.formats.GradingFormat;
import snikra.formats.InvalidInput;
import snikra.formats.OwnFacts;
import snikra.formats.OwnPack;
import snikra.formats.SpecimenFormat;
import snikra.server.knives.KnifeService;
import snikra.server.reference.OwnReferences;
import snikra.server.reference.ReferenceDesk;

/** Tries references out on the whole tray, one trial at a time. */
public class TrialDesk implements AutoCloseable {
  private static final int HANDS = Math.max(1, Runtime.getRuntime().availableProcessors());

  private final KnifeService knives;
  private final ReferenceDesk desk;
  private final OwnReferences own;
  private final ExecutorService hands =
      Executors.newFixedThreadPool(
          HANDS,
          task -> {
            Thread thread = new Thread(task, "trial");
            thread.setDaemon(true);
            return thread;
          });
  private Trial current;

  public TrialDesk(KnifeService knives, ReferenceDesk desk, OwnReferences own) {
    this.knives = knives;
    this.desk = desk;
    this.own = own;
  }

  /** With this pack taken in. */
  Trial.Progress ofPack(String file, String yaml) {
    return begin(Weighings.references(desk.examiner(), desk.with(file, yaml)));
  }

  /** With a mark put on file, in place of another of one's own or beside them. */
  Trial.Progress ofMark(String json, @Nullable String instead) {
    MarkSlip slip = OwnPack.slip(SpecimenFormat.parse(json));
    return ofFiled(instead == null ? own.look(slip) : own.lookChanged(instead, slip));
  }

  /** With a fact of a maker put on file, in place of another of one's own or beside them. */
  Trial.Progress ofFact(String json, @Nullable String instead) {
    Examiner now = desk.examiner();
    FactSlip slip = OwnFacts.slip(SpecimenFormat.parse(json), "", now.shelf(), now.thisYear());
    return ofFiled(
        instead == null
            ? own.lookFacts(List.of(slip))
            : own.lookChanged(slip.maker(), instead, slip));
  }

  private Trial.Progress ofFiled(OwnPack.Filed filed) {
    return begin(Weighings.references(desk.examiner(), own.with(filed)));
  }

  /** With a pack switched on or off. */
  Trial.Progress ofSwitching(String pack, boolean on) {
    return begin(Weighings.references(desk.examiner(), desk.with(pack, on)));
  }

  /**
   * With a school of grading in place of another.
   *
   * @param json how the collection would judge: the school that heads is tried
   * @param against id of the school it is held against, as it stands now
   */
  Trial.Progress ofGrading(String json, String against) {
    ConditionBook shipped = desk.shippedGrading();
    OwnSchools tried = GradingFormat.read(json, shipped);
    return begin(
        Weighings.schools(
            desk.examiner(),
            school("against", against, shipped.with(desk.grading())),
            school("heads", tried.heads(), shipped.with(tried))));
  }

  private static School school(String field, String id, ConditionBook book) {
    return book.schools().stream()
        .filter(s -> s.id().equals(id))
        .findFirst()
        .orElseThrow(
            () -> new InvalidInput(List.of(new Problem(field, id, "must be a school of grading"))));
  }

  // An older trial is of no use any more.
  private synchronized Trial.Progress begin(Trial.Weighing weighing) {
    if (current != null) {
      current.stop();
    }
    current = new Trial(knives.all(), weighing);
    lendHands(current);
    return current.progress();
  }

  synchronized Trial.Progress progress(String id) {
    return find(id).progress();
  }

  synchronized Trial.Progress stop(String id) {
    find(id).stop();
    return current.progress();
  }

  /** Takes it up where it was stopped. */
  synchronized Trial.Progress goOn(String id) {
    Trial trial = find(id);
    if (trial.progress().state() == Trial.State.STOPPED) {
      trial.goOn();
      lendHands(trial);
    }
    return trial.progress();
  }

  private void lendHands(Trial trial) {
    for (int i = 0; i < HANDS; i++) {
      hands.execute(trial::work);
    }
  }

  private Trial find(String id) {
    if (current == null || !current.id().equals(id)) {
      throw new InvalidInput(
          List.of(new Problem("trial", id, "must be the one begun last; begin it again")));
    }
    return current;
  }

  @Override
  public void close() {
    hands.shutdownNow();
  }
}
