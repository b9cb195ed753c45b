package snikra.core.quick;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.examination.Problem;
import snikra.core.quick.QuickBook.Answer;
import snikra.core.quick.QuickBook.Check;
import snikra.core.quick.QuickBook.Rate;
import snikra.core.quick.QuickBook.Step;
import snikra.core.quick.QuickVerdict.Call;

class QuickLookTest {
  private static final double SPREAD = 0.3;

  private static Answer answer(String id, double share, double worth) {
    return new Answer(id, id, "", share, worth, id + " speaks");
  }

  private static Check maker(double missed) {
    return new Check(
        "maker", "", "", true, missed, List.of(answer("name", 0.5, 2), answer("none", 0.5, 0.5)));
  }

  private static Check blades(double missed) {
    return new Check(
        "blades",
        "",
        "",
        false,
        missed,
        List.of(answer("full", 0.25, 1.5), answer("worn", 0.5, 1), answer("gone", 0.25, 0.2)));
  }

  private static QuickBook book(double pay, double drop, double worthwhile, Check... checks) {
    return new QuickBook(
        new Rate(SPREAD, ""),
        new Rate(pay, ""),
        new Rate(drop, ""),
        new Rate(worthwhile, ""),
        List.of(new Step(20.0, 1), new Step(100.0, 5), new Step(null, 10)),
        List.of(),
        List.of(checks));
  }

  private static final QuickLook LOOK = new QuickLook(book(0, 0.8, 0.6, maker(0.1), blades(0.1)));

  private static QuickVerdict look(Map<String, String> answers, @Nullable Double asked) {
    return LOOK.look(answers, 50.0, false, asked);
  }

  @Test
  void whatWasNotLookedAtIsAsOnStallsInTheMean() {
    assertThat(look(Map.of(), null).worth()).isCloseTo(1, within(1e-12));
    assertThat(look(Map.of(), null).pay()).isEqualTo(50);
    assertThat(look(Map.of(), null).reason()).isNull();
  }

  // The oracle goes over what each knife may truly be, given what was seen.
  @Property(tries = 100)
  void theMiddleIsTheMeanOverAllItMayTrulyBe(@ForAll @DoubleRange(min = 0, max = 1) double missed) {
    QuickLook one = new QuickLook(book(0, 0.8, 0.6, blades(missed)));
    double usual = 0.25 * Math.log(1.5) + 0.25 * Math.log(0.2);
    double asSeen = Math.log(1.5) - usual;
    double expected = (1 - missed) * asSeen;
    for (Answer a : blades(missed).answers()) {
      expected += missed * a.share() * (Math.log(a.worth()) - usual);
    }
    QuickVerdict told = one.look(Map.of("blades", "full"), null, false, null);
    assertThat(Math.log(told.worth())).isCloseTo(expected, within(1e-12));
  }

  @Test
  void aPriceBelowTheMostToPayIsABuyAndOneFarAboveIsPutDown() {
    Map<String, String> good = Map.of("maker", "name", "blades", "full");
    double most = look(good, null).pay();
    assertThat(look(good, most).call()).isEqualTo(Call.BUY);
    assertThat(look(good, most + 1).call()).isEqualTo(Call.LOOK_CLOSER);
    assertThat(look(good, 5 * most).call()).isEqualTo(Call.PUT_DOWN);
  }

  @Test
  void theLineToPutItDownLiesSoManyDeviationsAbove() {
    QuickLook sure = new QuickLook(book(0, 0.8, 0.6, blades(0)));
    double middle = sure.look(Map.of("blades", "full"), 1000.0, false, null).worth() * 1000;
    double line = middle * Math.exp(0.8 * SPREAD);
    assertThat(sure.look(Map.of("blades", "full"), 1000.0, false, line - 1).call())
        .isEqualTo(Call.LOOK_CLOSER);
    assertThat(sure.look(Map.of("blades", "full"), 1000.0, false, line + 1).call())
        .isEqualTo(Call.PUT_DOWN);
  }

  @Test
  void aHurriedLookMovesThePriceLess() {
    QuickLook hasty = new QuickLook(book(0, 0.8, 0.6, blades(0.5)));
    QuickLook sure = new QuickLook(book(0, 0.8, 0.6, blades(0)));
    Map<String, String> full = Map.of("blades", "full");
    assertThat(hasty.look(full, null, false, null).worth())
        .isLessThan(sure.look(full, null, false, null).worth());
  }

  @Test
  void theMostToPayFollowsItsNumber() {
    QuickLook bold = new QuickLook(book(0.5, 0.8, 0.6, maker(0.1), blades(0.1)));
    assertThat(bold.look(Map.of(), 50.0, false, null).pay()).isGreaterThan(50);
  }

  @Test
  void withoutAPriceOnlyWhatIsHardlyWorthwhileIsPutDown() {
    Map<String, String> poor = Map.of("maker", "none", "blades", "gone");
    assertThat(LOOK.look(poor, null, false, 5.0).call()).isEqualTo(Call.PUT_DOWN);
    assertThat(LOOK.look(poor, null, false, null).pay()).isNull();
    assertThat(LOOK.look(Map.of(), null, false, null).call()).isEqualTo(Call.LOOK_CLOSER);
    QuickLook picky = new QuickLook(book(0, 0.8, 3, maker(0.1), blades(0.1)));
    assertThat(picky.look(Map.of("blades", "worn"), null, false, null).call())
        .isEqualTo(Call.PUT_DOWN);
  }

  @Test
  void theReasonIsWhatSpeaksLoudestForWhatIsSaid() {
    Map<String, String> mixed = Map.of("maker", "name", "blades", "gone");
    assertThat(look(mixed, 500.0).call()).isEqualTo(Call.PUT_DOWN);
    assertThat(look(mixed, 500.0).reason()).isEqualTo("gone speaks");
    assertThat(look(mixed, 1.0).reason()).isEqualTo("name speaks");
  }

  @Test
  void theNextLookIsTheOneThatLeavesMostOpen() {
    // The blades differ more than the makers do.
    assertThat(look(Map.of(), null).next()).isEqualTo("blades");
    assertThat(look(Map.of("blades", "full"), null).next()).isEqualTo("maker");
    assertThat(look(Map.of("blades", "full", "maker", "name"), null).next()).isNull();
  }

  @Test
  void aMakerOnFileAnswersItsCheck() {
    QuickVerdict named = LOOK.look(Map.of("maker", "none"), 50.0, true, null);
    assertThat(named.worth()).isCloseTo(1, within(1e-12));
    assertThat(LOOK.look(Map.of("blades", "full"), 50.0, true, null).next()).isNull();
  }

  @Test
  void amountsAreToldInStepsAndNeverAboveWhatTheyAre() {
    assertThat(LOOK.down(19.9)).isEqualTo(19);
    assertThat(LOOK.down(99)).isEqualTo(95);
    assertThat(LOOK.down(128)).isEqualTo(120);
  }

  @Test
  void whatIsNotAmongTheAnswersIsTold() {
    assertThat(LOOK.problems(Map.of("blades", "full"))).isEmpty();
    assertThat(LOOK.problems(Map.of("blades", "blue")))
        .containsExactly(new Problem("blades", "blue", "must be one of full, worn, gone"));
    assertThat(LOOK.problems(Map.of("smell", "x")))
        .containsExactly(new Problem("smell", "x", "must be one of maker, blades"));
  }
}
