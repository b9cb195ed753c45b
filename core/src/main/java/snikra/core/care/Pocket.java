package snikra.core.care;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.provenance.CareDone;

/**
 * When a knife was carried, out of its log.
 *
 * @param since since when it is in the pocket; null where it is put away
 * @param last the last day it is known to have been there
 * @param days of the times that are over
 */
public record Pocket(@Nullable LocalDate since, LocalDate last, long days) {

  /** Whether a work puts a knife into the pocket or away again. */
  public enum Way {
    IN,
    OUT;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  private record Turn(LocalDate on, Way way) {}

  /**
   * By the log of a knife; empty where it never was carried. Of two entries of one day the later
   * one in the log came later; to put away what was not carried says nothing.
   */
  static Optional<Pocket> of(List<CareDone> log, CareBook book) {
    List<Turn> turns =
        log.stream()
            .flatMap(
                done -> book.way(done.work()).map(w -> new Turn(CareBook.day(done), w)).stream())
            .sorted(Comparator.comparing(Turn::on))
            .toList();
    LocalDate since = null;
    LocalDate last = null;
    long days = 0;
    for (Turn turn : turns) {
      if (turn.way == Way.IN) {
        since = since == null ? turn.on : since;
        last = turn.on;
      } else if (since != null) {
        days += ChronoUnit.DAYS.between(since, turn.on);
        last = turn.on;
        since = null;
      }
    }
    return last == null ? Optional.empty() : Optional.of(new Pocket(since, last, days));
  }
}
