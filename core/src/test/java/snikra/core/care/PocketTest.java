package snikra.core.care;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import snikra.core.care.CareBook.Work;
import snikra.core.care.Pocket.Way;
import snikra.core.provenance.CareDone;
import snikra.core.provenance.EdtfDate;

class PocketTest {
  private static final CareBook BOOK =
      new CareBook(
          List.of(
              new Work("oiled", "Oiled"),
              new Work("in", "Into the pocket", Way.IN),
              new Work("out", "Put away", Way.OUT)),
          List.of());

  private static CareDone done(String date, String work) {
    return new CareDone(EdtfDate.parse(date), work);
  }

  private static Optional<Pocket> of(CareDone... log) {
    return Pocket.of(List.of(log), BOOK);
  }

  @Test
  void oneThatWasOnlyKeptWasNeverCarried() {
    assertThat(of()).isEmpty();
    assertThat(of(done("2026-01-01", "oiled"), done("2026-02-01", "out"))).isEmpty();
  }

  @Test
  void oneInThePocketIsThereSinceTheFirstDayOfThisTime() {
    assertThat(of(done("2026-03-01", "in"), done("2026-03-09", "in")))
        .hasValue(new Pocket(LocalDate.of(2026, 3, 1), LocalDate.of(2026, 3, 9), 0));
  }

  @Test
  void timesThatAreOverAddUpWhateverOrderTheyWereWrittenIn() {
    assertThat(
            of(
                done("2026-05-11", "out"),
                done("2026-01-01", "in"),
                done("2026-01-31", "out"),
                done("2026-05-01", "in"),
                done("2026-03-01", "oiled")))
        .hasValue(new Pocket(null, LocalDate.of(2026, 5, 11), 40));
  }

  @Test
  void ofOneDayTheLaterEntryCounts() {
    assertThat(of(done("2026-01-01", "in"), done("2026-01-01", "out")))
        .hasValue(new Pocket(null, LocalDate.of(2026, 1, 1), 0));
    assertThat(of(done("2026-01-01", "out"), done("2026-01-01", "in")).orElseThrow().since())
        .isEqualTo("2026-01-01");
  }

  @Test
  void aYearAloneIsItsFirstDay() {
    assertThat(of(done("2020", "in"), done("2020-02-01", "out")).orElseThrow().days())
        .isEqualTo(31);
  }

  /** Counted night by night: a night counts if the knife was in the pocket when the day ended. */
  @Property(tries = 300)
  void asCountedNightByNight(
      @ForAll @Size(max = 12) List<@IntRange(min = 0, max = 40) Integer> days,
      @ForAll @Size(12) List<Boolean> in) {
    LocalDate first = LocalDate.of(2026, 1, 1);
    List<CareDone> log = new ArrayList<>();
    for (int i = 0; i < days.size(); i++) {
      log.add(done(first.plusDays(days.get(i)).toString(), in.get(i) ? "in" : "out"));
    }
    boolean carried = false;
    long nights = 0;
    long unfinished = 0;
    for (int day = 0; day <= 41; day++) {
      for (CareDone d : log) {
        if (d.date().day().orElseThrow().equals(first.plusDays(day))) {
          unfinished = carried && d.work().equals("in") ? unfinished : 0;
          carried = d.work().equals("in");
        }
      }
      nights += carried ? 1 : 0;
      unfinished += carried ? 1 : 0;
    }
    Optional<Pocket> told = Pocket.of(log, BOOK);
    assertThat(told.map(Pocket::days).orElse(0L)).isEqualTo(nights - unfinished);
    assertThat(told.map(Pocket::since).isPresent()).isEqualTo(carried);
  }
}
