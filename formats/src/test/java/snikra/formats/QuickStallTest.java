package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import snikra.core.quick.QuickBook;
import snikra.core.quick.QuickBook.Answer;
import snikra.core.quick.QuickBook.Check;
import snikra.core.quick.QuickLook;
import snikra.core.quick.QuickVerdict;
import snikra.core.quick.QuickVerdict.Call;

/** The shipped quick look on made-up stalls, as they are described in docs/quick-look.md. */
class QuickStallTest {
  private static final int KNIVES = 1000;
  private static final double ORDINARY = 60;
  private static final double SELLER_KNOWS = 0.5;
  private static final double DEARER = 0.25;
  private static final double PRICES_DIFFER = 0.6;

  private static final QuickBook BOOK = ShippedShelf.quickBook();
  private final QuickLook look = new QuickLook(BOOK);

  private record Outcome(double found, double closer) {}

  @Test
  void nineInTenFindsAreFoundAndAtMostAQuarterIsLookedAtLonger() {
    double found = 0;
    double closer = 0;
    List<Long> stalls = List.of(1L, 2L, 3L, 4L, 5L);
    for (long stall : stalls) {
      Outcome of = walk(new Random(stall));
      found += of.found();
      closer += of.closer();
    }
    assertThat(found / stalls.size()).isGreaterThanOrEqualTo(0.9);
    assertThat(closer / stalls.size()).isLessThanOrEqualTo(0.25);
  }

  private Outcome walk(Random random) {
    int worthy = 0;
    int found = 0;
    int closer = 0;
    for (int i = 0; i < KNIVES; i++) {
      double log = 0;
      Map<String, String> seen = new HashMap<>();
      for (Check check : BOOK.checks()) {
        Answer is = drawn(check, random);
        log += Math.log(is.worth()) - usual(check);
        Answer told = random.nextDouble() < check.missed() ? drawn(check, random) : is;
        seen.put(check.id(), told.id());
      }
      double worth = ORDINARY * Math.exp(log + BOOK.spread().value() * random.nextGaussian());
      double asked =
          ORDINARY * Math.exp(SELLER_KNOWS * log + DEARER + PRICES_DIFFER * random.nextGaussian());
      Call call = look.look(seen, ORDINARY, false, asked).call();
      closer += call == Call.LOOK_CLOSER ? 1 : 0;
      if (worth > asked) {
        worthy++;
        found += call == Call.PUT_DOWN ? 0 : 1;
      }
    }
    return new Outcome((double) found / worthy, (double) closer / KNIVES);
  }

  private static double usual(Check check) {
    return check.answers().stream().mapToDouble(a -> a.share() * Math.log(a.worth())).sum();
  }

  private static Answer drawn(Check check, Random random) {
    double left = random.nextDouble();
    for (Answer a : check.answers()) {
      left -= a.share();
      if (left < 0) {
        return a;
      }
    }
    return check.answers().get(check.answers().size() - 1);
  }

  @Test
  void sharesOfACheckAreOneInAll() {
    assertThat(BOOK.checks())
        .allSatisfy(
            c ->
                assertThat(c.answers().stream().mapToDouble(Answer::share).sum())
                    .isCloseTo(1, within(1e-9)));
  }

  @Test
  void everyAnswerMovesWhatIsToldTheWayItSays() {
    double open = look.look(Map.of(), ORDINARY, false, null).worth();
    for (Check check : BOOK.checks()) {
      for (Answer a : check.answers()) {
        QuickVerdict told = look.look(Map.of(check.id(), a.id()), ORDINARY, false, null);
        boolean isMore = Math.log(a.worth()) > usual(check);
        assertThat(told.worth() > open).as(check.id() + " " + a.id()).isEqualTo(isMore);
        assertThat(told.reason()).isEqualTo(a.why());
      }
    }
  }
}
