package snikra.server.trial;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.atomic.AtomicInteger;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.SchoolVerdict;
import snikra.core.dating.Shift;
import snikra.server.knives.SavedKnife;

/**
 * Goes over the knives one by one as they are held now and as they would be. Several may work on it
 * at once; it can be stopped and taken up again where it was.
 */
final class Trial {
  /** The knives that move most are told; the others are counted. */
  static final int MOST_TOLD = 100;

  private final String id = UUID.randomUUID().toString();
  private final List<SavedKnife> knives;
  private final Weighing weighing;
  private final AtomicInteger next = new AtomicInteger();
  private final AtomicInteger done = new AtomicInteger();
  private final ConcurrentLinkedQueue<Moved> moved = new ConcurrentLinkedQueue<>();
  private final ConcurrentLinkedQueue<Integer> failed = new ConcurrentLinkedQueue<>();
  private volatile boolean stopped;

  /**
   * A knife whose verdict would move.
   *
   * @param shift in years and maker; null where grades are tried
   * @param regraded from one grade to another; null where references are tried
   */
  record Moved(
      String id, int number, String title, @Nullable Shift shift, @Nullable Regraded regraded) {
    private double much() {
      return shift == null ? regraded.much() : shift.share();
    }
  }

  /**
   * From one grade to another.
   *
   * @param much what share of the scale it moves
   */
  record Regraded(SchoolVerdict.Stand before, SchoolVerdict.Stand after, double much) {}

  /** What a change would do to one knife; empty where its verdict holds. */
  @FunctionalInterface
  interface Weighing {
    /** Weighs one. */
    Optional<Moved> weigh(SavedKnife knife);
  }

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

  Trial(List<SavedKnife> knives, Weighing weighing) {
    this.knives = knives;
    this.weighing = weighing;
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
        weighing.weigh(knives.get(place)).ifPresent(moved::add);
      } catch (RuntimeException e) {
        // One knife that cannot be examined must not hold up the others; it is told by its number.
        failed.add(knives.get(place).number());
      }
      done.incrementAndGet();
    }
  }

  Progress progress() {
    int finished = done.get();
    State state = finished == knives.size() ? State.DONE : stopped ? State.STOPPED : State.RUNNING;
    List<Moved> most = new ArrayList<>(moved);
    most.sort(Comparator.comparingDouble((Moved m) -> -m.much()).thenComparingInt(Moved::number));
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
