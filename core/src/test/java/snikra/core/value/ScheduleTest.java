package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.fixture.Shelf;
import snikra.core.judgement.Judgement;
import snikra.core.value.Schedule.Basis;
import snikra.core.value.Schedule.Line;
import snikra.core.value.Schedule.Worth;

class ScheduleTest {
  private static final Judgement SHIPPED = Shelf.invented().judgement();

  private static BigDecimal amount(double share, int low, int middle, int high) {
    Worth worth =
        new Worth(BigDecimal.valueOf(low), BigDecimal.valueOf(middle), BigDecimal.valueOf(high));
    return Schedule.amount(Basis.ESTATE, worth, SHIPPED.with("schedule.estate", share));
  }

  @ParameterizedTest
  @CsvSource({"0.25,40", "0.5,60", "0.75,120", "0.1,40", "0.9,120"})
  void atTheQuartersItIsTheirPriceAndNeverBeyondThem(double share, int amount) {
    assertThat(amount(share, 40, 60, 120)).isEqualByComparingTo("" + amount);
  }

  @Test
  void betweenThemPricesGoAsTheirLogarithms() {
    assertThat(amount(0.625, 10, 100, 400)).isEqualByComparingTo("200");
    assertThat(amount(0.375, 25, 100, 400)).isEqualByComparingTo("50");
  }

  @Test
  void anInsurerReplacesAndAnEstateIsWorthTheMiddle() {
    Worth worth = new Worth(new BigDecimal("41"), new BigDecimal("60.5"), new BigDecimal("99"));
    assertThat(Schedule.amount(Basis.INSURANCE, worth, SHIPPED)).isEqualByComparingTo("99");
    assertThat(Schedule.amount(Basis.ESTATE, worth, SHIPPED)).isEqualByComparingTo("61");
  }

  @Property(tries = 200)
  void aHigherShareIsNeverPutDownLower(
      @ForAll @IntRange(min = 1, max = 500) int low,
      @ForAll @IntRange(max = 500) int more,
      @ForAll @IntRange(max = 500) int most,
      @ForAll @IntRange(min = 5, max = 95) int share) {
    BigDecimal at = amount(share / 100.0, low, low + more, low + more + most);
    assertThat(at).isGreaterThanOrEqualTo(amount(0.05, low, low + more, low + more + most));
    assertThat(at)
        .isLessThanOrEqualTo(amount(share / 100.0 + 0.05, low, low + more, low + more + most));
  }

  private static Line line(int number, @Nullable String amount, @Nullable String currency) {
    BigDecimal is = amount == null ? null : new BigDecimal(amount);
    return new Line(
        "k" + number, number, null, "Jack", null, null, null, null, is, is, is, currency, 3);
  }

  @Test
  void eachCurrencyHasItsOwnTotalAndWhatHasNoAmountIsCounted() {
    List<Line> lines = new ArrayList<>();
    lines.add(line(1, "40", "GBP"));
    lines.add(line(2, "25", "USD"));
    lines.add(line(3, "60", "GBP"));
    lines.add(line(4, null, null));
    Schedule schedule =
        new Schedule(Basis.ESTATE, LocalDate.of(2026, 1, 2), "By sales.", null, lines);
    lines.clear();
    assertThat(schedule.totals())
        .isEqualTo(Map.of("GBP", new BigDecimal("100"), "USD", new BigDecimal("25")));
    assertThat(schedule.unvalued()).isEqualTo(1);
  }
}
