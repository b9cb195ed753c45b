package snikra.server.trial;

import java.util.List;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;
import snikra.server.knives.KnifeService;
import snikra.server.reference.ReferenceDesk;

/** Tries references out on the whole tray, one trial at a time. */
public class TrialDesk implements AutoCloseable {
  private static final int HANDS = Math.max(1, Runtime.getRuntime().availableProcessors());

  private final KnifeService knives;
  private final ReferenceDesk desk;
  private final ExecutorService hands =
      Executors.newFixedThreadPool(
          HANDS,
          task -> {
            Thread thread = new Thread(task, "trial");
            thread.setDaemon(true);
            return thread;
          });
  private Trial current;

  public TrialDesk(KnifeService knives, ReferenceDesk desk) {
    this.knives = knives;
    this.desk = desk;
  }

  /** With this pack taken in. */
  Trial.Progress ofPack(String file, String yaml) {
    return begin(desk.with(file, yaml));
  }

  /** With a pack switched on or off. */
  Trial.Progress ofSwitching(String pack, boolean on) {
    return begin(desk.with(pack, on));
  }

  // An older trial is of no use any more.
  private synchronized Trial.Progress begin(Examiner then) {
    if (current != null) {
      current.stop();
    }
    current = new Trial(knives.all(), desk.examiner(), then);
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
