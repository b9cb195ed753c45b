package snikra.core.ledger;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.joda.money.Money;

/**
 * Parts of an amount that always add up to it, by largest remainder: each gets the whole coins of
 * its part, and the coins left go to those who lack most of one, the earlier first.
 */
final class Shares {
  private Shares() {}

  /**
   * Shares an amount.
   *
   * @param weights 0 or more, by each part; all 0 for equal parts
   */
  static List<Money> of(Money total, List<BigDecimal> weights) {
    if (weights.isEmpty()) {
      throw new IllegalArgumentException("must be shared among one or more; found none");
    }
    List<BigDecimal> by = weights;
    BigDecimal sum = by.stream().reduce(BigDecimal.ZERO, BigDecimal::add);
    if (sum.signum() == 0) {
      by = weights.stream().map(w -> BigDecimal.ONE).toList();
      sum = BigDecimal.valueOf(by.size());
    }
    // Below nothing is shared as what is owed: the signs are put back at the end.
    BigInteger coins = total.abs().getAmountMinor().toBigIntegerExact();
    List<BigInteger> whole = new ArrayList<>();
    List<BigDecimal> left = new ArrayList<>();
    BigInteger given = BigInteger.ZERO;
    for (BigDecimal weight : by) {
      BigDecimal part = new BigDecimal(coins).multiply(weight);
      BigDecimal[] split = part.divideAndRemainder(sum);
      whole.add(split[0].setScale(0, RoundingMode.UNNECESSARY).toBigInteger());
      left.add(split[1]);
      given = given.add(whole.get(whole.size() - 1));
    }
    int over = coins.subtract(given).intValueExact();
    IntStream.range(0, by.size())
        .boxed()
        .sorted(Comparator.comparing((Integer i) -> left.get(i)).reversed())
        .limit(over)
        .forEach(i -> whole.set(i, whole.get(i).add(BigInteger.ONE)));
    return whole.stream()
        .map(c -> total.isNegative() ? c.negate() : c)
        .map(c -> Money.ofMinor(total.getCurrencyUnit(), c.longValueExact()))
        .toList();
  }
}
