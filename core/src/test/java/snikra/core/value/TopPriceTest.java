package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.value.TopPrice.Plan;
import snikra.core.wording.NotAccepted;

class TopPriceTest {
  private static final ValueVerdict WORTH =
      new ValueVerdict(
          "GBP",
          BigDecimal.valueOf(300),
          BigDecimal.valueOf(210),
          BigDecimal.valueOf(420),
          BigDecimal.valueOf(120),
          BigDecimal.valueOf(660),
          // One pays for what it is, not for what it was.
          new ValueVerdict.Range(
              BigDecimal.valueOf(100),
              BigDecimal.valueOf(70),
              BigDecimal.valueOf(140),
              BigDecimal.valueOf(40),
              BigDecimal.valueOf(220)),
          9,
          true,
          "",
          List.of(),
          List.of(),
          null);

  private static TopPrice top(
      double margin, double fees, int postage, int restoration, double restored, double well) {
    Plan plan =
        new Plan(
            margin,
            fees,
            BigDecimal.valueOf(postage),
            BigDecimal.valueOf(restoration),
            restored,
            well);
    return TopPrice.of(WORTH, plan, 1.2);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0, 0, 0, 0, 0, 100, 70",
    "25, 0, 0, 0, 0, 0, 80, 56",
    "0, 10, 0, 0, 0, 0, 90, 63",
    "0, 0, 5, 0, 0, 0, 95, 65",
    "25, 10, 5, 0, 0, 0, 68, 46",
    "0, 0, 0, 20, 50, 100, 130, 85",
    "0, 0, 0, 20, 50, 50, 105, 67",
    "0, 0, 200, 0, 0, 0, 0, 0",
  })
  void eachCostIsTakenFromWhatTheSaleLeaves(
      double margin,
      double fees,
      int postage,
      int restoration,
      double restored,
      double well,
      int even,
      int safe) {
    TopPrice top = top(margin, fees, postage, restoration, restored, well);
    assertThat(top.even()).isEqualByComparingTo(BigDecimal.valueOf(even));
    assertThat(top.safe()).isEqualByComparingTo(BigDecimal.valueOf(safe));
    assertThat(top.ask()).isEqualByComparingTo("120");
  }

  @Test
  void withoutARangeThereIsNoTopPrice() {
    Plan plan = new Plan(0, 0, BigDecimal.ZERO, BigDecimal.ZERO, 0, 0);
    assertThat(TopPrice.of(Appraiser.nothing(null), plan, 1.2)).isNull();
  }

  @Test
  void whatCannotBeIsRefusedByName() {
    assertThatThrownBy(() -> top(-1, 0, 0, 0, 0, 0))
        .isInstanceOfSatisfying(
            NotAccepted.class,
            amiss ->
                assertThat(List.of("" + amiss.field(), amiss.given(), amiss.accepted()))
                    .containsExactly("margin", "-1.0", "must be from 0.0 to 1000.0"))
        .hasMessage("margin must be from 0.0 to 1000.0; found -1.0");
    assertThatThrownBy(() -> top(0, 100, 0, 0, 0, 0)).hasMessageContaining("fees");
    assertThatThrownBy(() -> top(0, 0, -1, 0, 0, 0)).hasMessageContaining("postage");
    assertThatThrownBy(() -> top(0, 0, 0, -1, 0, 0)).hasMessageContaining("restoration");
    assertThatThrownBy(() -> top(0, 0, 0, 0, -1, 0)).hasMessageContaining("restored");
    assertThatThrownBy(() -> top(0, 0, 0, 0, 0, 101)).hasMessageContaining("goesWell");
  }
}
