package snikra.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import net.jqwik.api.constraints.Size;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.junit.jupiter.api.Test;

class SharesTest {
  private static List<String> shared(String total, double... weights) {
    return Shares.of(
            Money.parse(total), Arrays.stream(weights).mapToObj(BigDecimal::valueOf).toList())
        .stream()
        .map(m -> m.getAmount().toPlainString())
        .toList();
  }

  @Test
  void coinsLeftGoToThoseWhoLackMostTheEarlierFirst() {
    assertThat(shared("GBP 10.00", 1, 1, 1)).containsExactly("3.34", "3.33", "3.33");
    assertThat(shared("GBP 0.05", 1, 1, 1)).containsExactly("0.02", "0.02", "0.01");
    assertThat(shared("USD 100.00", 50, 30, 20.5)).containsExactly("49.75", "29.85", "20.40");
    assertThat(shared("JPY 100", 1, 1, 1)).containsExactly("34", "33", "33");
  }

  @Test
  void whereNobodyIsWorthAnythingAllAreWorthTheSame() {
    assertThat(shared("GBP 9.00", 0, 0, 0)).containsExactly("3.00", "3.00", "3.00");
    assertThat(shared("GBP 9.00", 0, 1)).containsExactly("0.00", "9.00");
  }

  @Test
  void belowNothingIsSharedAsWhatIsOwed() {
    assertThat(shared("GBP -10.00", 1, 1, 1)).containsExactly("-3.34", "-3.33", "-3.33");
  }

  @Test
  void nothingIsNotSharedAmongNobody() {
    assertThatThrownBy(() -> Shares.of(Money.parse("GBP 1.00"), List.of()))
        .hasMessageContaining("one or more");
  }

  @Property
  void theyAlwaysAddUpAndNoneIsACoinFromItsPart(
      @ForAll @LongRange(min = -1_000_000_000L, max = 1_000_000_000L) long coins,
      @ForAll @Size(min = 1, max = 40) List<@IntRange(max = 100_000) Integer> weights) {
    Money total = Money.ofMinor(CurrencyUnit.EUR, coins);
    List<Money> parts = Shares.of(total, weights.stream().map(BigDecimal::valueOf).toList());
    assertThat(parts.stream().reduce(Money.zero(CurrencyUnit.EUR), Money::plus)).isEqualTo(total);
    double sum = weights.stream().mapToInt(w -> w).sum();
    for (int i = 0; i < parts.size(); i++) {
      double exact = sum == 0 ? coins / (double) weights.size() : coins * (weights.get(i) / sum);
      assertThat(parts.get(i).getAmountMinorLong()).isBetween((long) exact - 1, (long) exact + 1);
    }
  }
}
