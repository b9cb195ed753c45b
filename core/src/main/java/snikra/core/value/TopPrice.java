package snikra.core.value;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.jspecify.annotations.Nullable;
import snikra.core.wording.NotAccepted;

/**
 * The most to pay for a knife one means to sell again, and what to ask for it: out of its range,
 * for a wanted margin, with what a sale and a restoration cost.
 *
 * @param even pays for itself, margin included, in one sale of two
 * @param safe pays for itself, margin included, in three sales of four
 * @param ask to get the middle of the range after haggling
 */
public record TopPrice(BigDecimal even, BigDecimal safe, BigDecimal ask) {
  private static final double HUNDRED = 100;

  /**
   * What one means to do.
   *
   * @param margin wanted on all that was paid, per cent
   * @param fees the seller pays of the price, per cent
   * @param postage and other costs that do not go with the price
   * @param restoration what it costs to put right; 0 for none
   * @param restored per cent the price is higher where that goes well
   * @param goesWell per cent of such restorations that go well; where they do not the price stays
   */
  public record Plan(
      double margin,
      double fees,
      BigDecimal postage,
      BigDecimal restoration,
      double restored,
      double goesWell) {
    public Plan {
      require("margin", margin, 0, 1000);
      require("fees", fees, 0, 99);
      require("restored", restored, 0, 1000);
      require("goesWell", goesWell, 0, 100);
      require("postage", postage.doubleValue(), 0, Double.MAX_VALUE);
      require("restoration", restoration.doubleValue(), 0, Double.MAX_VALUE);
    }

    private static void require(String what, double given, double from, double to) {
      if (!(given >= from && given <= to)) {
        throw NotAccepted.at(what, "must be from " + from + " to " + to, "" + given);
      }
    }

    /** What may be paid where it is sold at this price. */
    private double mostAt(double price) {
      double times = 1 + restored / HUNDRED * (goesWell / HUNDRED);
      double left = price * times * (1 - fees / HUNDRED);
      return (left - postage.doubleValue() - restoration.doubleValue()) / (1 + margin / HUNDRED);
    }
  }

  /**
   * The most to pay; 0 where even a gift would not pay for itself. Null where there is no range.
   *
   * @param asked how much higher prices are asked than paid
   */
  public static @Nullable TopPrice of(ValueVerdict value, Plan plan, double asked) {
    ValueVerdict.Range is = value.asItIs();
    if (is == null) {
      return null;
    }
    return new TopPrice(
        whole(plan.mostAt(is.middle().doubleValue())),
        whole(plan.mostAt(is.low().doubleValue())),
        whole(is.middle().doubleValue() * asked));
  }

  // Down to the whole unit: what is more would be more than one should pay.
  private static BigDecimal whole(double amount) {
    return BigDecimal.valueOf(Math.max(0, amount)).setScale(0, RoundingMode.FLOOR);
  }
}
