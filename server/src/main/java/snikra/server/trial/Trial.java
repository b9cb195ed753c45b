package snikra.server.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.Shift;
import snikra.core.examination.Examiner;
import snikra.server.knives.SavedKnife;

/**
 * Goes over the knives one by one with the references in use and with others. Several may work on
 * it at once; it can be stopped and taken up again where it was.
 */
final class Trial {
  /** The knives that move most are told; the others are counted. */
  static final int MOST_TOLD = 100;

  private final String id = UUID.randomUUID().toString();
  private final List<SavedKnife> knives;
  private final Examiner now;
  private final Examiner then;
  private final AtomicInteger next = new AtomicInteger();
  private final AtomicInteger done = new AtomicInteger();
  private final ConcurrentLinkedQueue<Moved> moved = new ConcurrentLinkedQueue<>();
  private final ConcurrentLinkedQueue<Integer> failed = new ConcurrentLinkedQueue<>();
  private volatile boolean stopped;

  /** A knife whose verdict would move. */
  record Moved(String id, int number, String title, Shift shift) {}

  /** Where a trial stands. */
  enum State {
    RUNNING,
    STOPPED,
    DONE;

    @Override
    public String toString() {
      return name().toLowerCase(java.util.Locale.ROOT);
    }
  }

  /**
   * What is known so far.
   *
   * @param done how many knives were gone over
   * @param moving how many verdicts would move
   * @param most those that would move most, the furthest first
   * @param failed numbers of knives that could not be examined
   */
  record Progress(
      String id,
      State state,
      int done,
      int of,
      int moving,
      List<Moved> most,
      List<Integer> failed) {}

  Trial(List<SavedKnife> knives, Examiner now, Examiner then) {
    this.knives = knives;
    this.now = now;
    this.then = then;
  }

  String id() {
    return id;
  }

  void stop() {
    stopped = true;
  }

  void goOn() {
    stopped = false;
  }

  /** Works until it is stopped or nothing is left. */
  void work() {
    while (!stopped) {
      int place = next.getAndIncrement();
      if (place >= knives.size()) {
        return;
      }
      try {
        weigh(knives.get(place));
      } catch (RuntimeException e) {
        // One knife that cannot be examined must not hold up the others; it is told by its number.
        failed.add(knives.get(place).number());
      }
      done.incrementAndGet();
    }
  }

  private void weigh(SavedKnife knife) {
    DatingVerdict before = now.date(knife.specimen());
    Shift shift = Shift.between(before, then.date(knife.specimen()));
    boolean anythingSeen = !before.explanations().isEmpty();
    if (anythingSeen && shift.tells()) {
      String own = knife.specimen().title();
      String title = own == null ? now.title(knife.specimen()) : own;
      moved.add(new Moved(knife.id(), knife.number(), title, shift));
    }
  }

  Progress progress() {
    int finished = done.get();
    State state = finished == knives.size() ? State.DONE : stopped ? State.STOPPED : State.RUNNING;
    List<Moved> most = new ArrayList<>(moved);
    most.sort(
        Comparator.comparingDouble((Moved m) -> -m.shift().share())
            .thenComparingInt(Moved::number));
    return new Progress(
        id,
        state,
        finished,
        knives.size(),
        most.size(),
        List.copyOf(most.subList(0, Math.min(MOST_TOLD, most.size()))),
        List.copyOf(failed));
  }
}
