package snikra.core.care;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.provenance.CareDone;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;

/**
 * How knives are kept. It advises only what can be undone.
 *
 * @param works what may be written into a knife's log
 * @param advice the most pressing first
 * @param carrying what counts of a knife that is carried; null where the book does not say
 */
public record CareBook(List<Work> works, List<Advice> advice, @Nullable Carrying carrying) {

  /**
   * Something that is done to a knife.
   *
   * @param pocket whether it goes into the pocket so, or is put away; null where neither
   */
  public record Work(String id, String label, Pocket.@Nullable Way pocket) {
    /** What leaves it where it is. */
    public Work(String id, String label) {
      this(id, label, null);
    }
  }

  /**
   * What counts of a knife that is carried.
   *
   * @param weight quantity of the measures
   * @param wear point of the condition book
   * @param school of the condition book, that says whether one would carry it
   */
  public record Carrying(String weight, String wear, String school) {}

  /** A book of works and advice alone. */
  public CareBook(List<Work> works, List<Advice> advice) {
    this(works, advice, null);
  }

  /**
   * What to do, and for which knives.
   *
   * @param any it is for a knife that shows one of these: answers by look of the clue book, or
   *     findings by point of the condition book, of any of its blades
   * @param caution what may hurt hand or knife while one does it
   * @param months after how long it must be seen to again; null where once is enough
   * @param settledBy works that see to it
   */
  public record Advice(
      String id,
      String does,
      String why,
      @Nullable String caution,
      Map<String, List<String>> any,
      @Nullable Integer months,
      List<String> settledBy) {
    public Advice {
      any = Map.copyOf(any);
      settledBy = List.copyOf(settledBy);
    }

    private boolean isFor(Specimen knife) {
      return any.entrySet().stream()
          .anyMatch(
              asked ->
                  given(knife, asked.getKey())
                      .map(Seen::valueOf)
                      .anyMatch(answer -> answer != null && asked.getValue().contains(answer)));
    }

    private static Stream<Seen<String>> given(Specimen knife, String id) {
      Stream<Seen<String>> ofKnife =
          Stream.of(knife.seen(), knife.condition()).flatMap(all -> Stream.ofNullable(all.get(id)));
      Stream<Seen<String>> ofBlades =
          knife.blades().stream()
              .map(SeenBlade::condition)
              .flatMap(all -> Stream.ofNullable(all.get(id)));
      return Stream.concat(ofKnife, ofBlades);
    }

    private Optional<LocalDate> last(List<CareDone> log) {
      return log.stream()
          .filter(done -> settledBy.contains(done.work()))
          .map(CareBook::day)
          .max(Comparator.naturalOrder());
    }
  }

  // A year alone may mean its first day: better to be reminded too early.
  static LocalDate day(CareDone done) {
    return done.date().day().orElseGet(() -> LocalDate.of(done.date().earliestYear(), 1, 1));
  }

  /**
   * Advice for one knife.
   *
   * @param last when it was seen to, as far as the log tells
   * @param due when it must be seen to again; null where once is enough, or where it never was
   * @param again whether it must be seen to again and again
   * @param settledBy works that see to it
   */
  public record Told(
      String id,
      String does,
      String why,
      @Nullable String caution,
      @Nullable LocalDate last,
      @Nullable LocalDate due,
      boolean again,
      List<String> settledBy) {}

  public CareBook {
    works = List.copyOf(works);
    advice = List.copyOf(advice);
    for (Advice a : advice) {
      for (String work : a.settledBy()) {
        if (works.stream().noneMatch(w -> w.id().equals(work))) {
          throw new IllegalArgumentException(
              "settledBy of " + a.id() + " must be a work of the book; found " + work);
        }
      }
    }
  }

  /** Whether a work puts a knife into the pocket or away. */
  Optional<Pocket.Way> way(String work) {
    return works.stream()
        .filter(w -> w.id().equals(work))
        .findFirst()
        .flatMap(w -> Optional.ofNullable(w.pocket()));
  }

  /** When a knife was carried; empty where it never was. */
  public Optional<Pocket> pocket(Specimen knife) {
    return Pocket.of(knife.care(), this);
  }

  /** A book that advises nothing. */
  public static CareBook empty() {
    return new CareBook(List.of(), List.of());
  }

  /**
   * What to do for a knife, the most pressing first. What was done once and for all is left out.
   */
  public List<Told> advise(Specimen knife) {
    return advice.stream()
        .filter(a -> a.isFor(knife))
        .map(a -> told(a, a.last(knife.care()).orElse(null)))
        .filter(t -> t.again() || t.last() == null)
        .toList();
  }

  private static Told told(Advice a, @Nullable LocalDate last) {
    LocalDate due = a.months() == null || last == null ? null : last.plusMonths(a.months());
    return new Told(
        a.id(), a.does(), a.why(), a.caution(), last, due, a.months() != null, a.settledBy());
  }

  /** What must be seen to again and again, the first first; what never was comes before all. */
  public List<Told> reminders(Specimen knife) {
    return advise(knife).stream()
        .filter(Told::again)
        .sorted(Comparator.comparing(Told::due, Comparator.nullsFirst(Comparator.naturalOrder())))
        .toList();
  }
}
