package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.dating.Evidence.Statement;
import snikra.core.dating.Evidence.Statement.Design;
import snikra.core.dating.Evidence.Statement.Usual;
import snikra.core.fixture.Shelf;
import snikra.core.judgement.Judgement;
import snikra.core.reference.History.Model;
import snikra.core.reference.History.Years;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;

/** What follows from the books alone, against the same worked out by hand. */
class DeskTest {
  private static final Judgement RATES = Shelf.judgement();
  private static final Desk DESK = new Desk(Shelf.invented(), Shelf.THIS_YEAR, null);
  private static final int WEST = 0;
  private static final int EAST = 1;

  private static double rate(String id) {
    return RATES.of(id);
  }

  private static int at(int year) {
    return year - YearAxis.FIRST;
  }

  private static Statement said(
      @Nullable Integer from,
      @Nullable Integer to,
      @Nullable Set<String> regions,
      @Nullable Usual usual,
      Design... designs) {
    return new Statement(
        "s",
        "story",
        "Story",
        "Said",
        from,
        to,
        null,
        regions,
        null,
        usual,
        List.of(designs),
        0.8,
        "why");
  }

  private static double allowed(Statement s, int region, int year) {
    return DESK.told(s).compatibility()[region][at(year)];
  }

  @Test
  void aModelIsOfItsYearsNearlyAlwaysAndFadesOnEitherSide() {
    Model model = Shelf.model("12", 1900, 1909, Map.of());
    Maker maker = Shelf.maker("thrale", List.of(model), List.of(mark("m"), mark("n")));
    Desk desk = new Desk(Shelf.invented().withMakers(List.of(maker)), Shelf.THIS_YEAR, null);
    double[] run = desk.run(model);

    double before = rate("model.before-run") / 0.9;
    double after = rate("model.after-run") / 0.9;
    double fade = rate("model.fade");
    double even = 1.0 / desk.axis.size();
    double inside = (1 - before - after) / 10;
    for (int year = 1900; year <= 1909; year++) {
      assertThat(run[at(year)]).isCloseTo(of(inside, even), within(1e-9));
    }
    assertThat(run[at(1899)]).isCloseTo(of(before * (1 - fade), even), within(1e-9));
    assertThat(run[at(1897)]).isCloseTo(of(before * (1 - fade) * fade * fade, even), within(1e-9));
    assertThat(run[at(1910)]).isCloseTo(of(after * (1 - fade), even), within(1e-9));
    assertThat(run[at(1912)]).isCloseTo(of(after * (1 - fade) * fade * fade, even), within(1e-9));
    assertThat(Distribution.sum(run) / desk.axis.size()).isCloseTo(1, within(0.01));
  }

  // Against a model made in any year alike; a tenth of what is told of it is not so.
  private static double of(double share, double even) {
    return (0.9 * share + 0.1 * even) / even;
  }

  private static MarkVariant mark(String id) {
    return Shelf.mark(id, 1890, 1920, id.toUpperCase(Locale.ROOT));
  }

  @Test
  void aMarkThatIsNotOnTheListOfAModelIsHardlyOnIt() {
    Model listed = Shelf.model("12", 1900, 1909, Map.of("m", new Years(1900, 1905)));
    Model open = Shelf.model("13", 1900, 1909, Map.of());
    assertThat(DESK.struckOn(listed, mark("m"))).isEqualTo(1);
    assertThat(DESK.struckOn(listed, mark("n"))).isEqualTo(rate("model.mark-not-listed"));
    assertThat(DESK.struckOn(open, mark("n"))).isEqualTo(1);
  }

  @Test
  void whatIsSaidOfYearsLeavesTheOthersARest() {
    double rest = rate("look.ruled-out");
    Statement s = said(1900, 1910, null, null);
    assertThat(allowed(s, WEST, 1900)).isEqualTo(1);
    assertThat(allowed(s, WEST, 1910)).isEqualTo(1);
    assertThat(allowed(s, WEST, 1899)).isEqualTo(rest);
    assertThat(allowed(s, EAST, 1911)).isEqualTo(rest);
    assertThat(DESK.told(s).least())
        .as("by mistake it is told of any years alike")
        .isCloseTo(0.2 * (11 + rest * (DESK.axis.size() - 11)) / DESK.axis.size(), within(1e-12));
  }

  @Test
  void whatIsSaidOfACountryLeavesTheOtherARest() {
    Statement s = said(1900, 1910, Set.of("W"), null);
    assertThat(allowed(s, WEST, 1905)).isEqualTo(1);
    assertThat(allowed(s, EAST, 1905)).isEqualTo(rate("look.ruled-out"));
  }

  @Test
  void whatBelongsToACountryIsSeldomMetAbroadAndFadesOnceTheLawNoLongerAsksForIt() {
    Statement s = said(1900, null, null, new Usual("W", 1930));
    double abroad = rate("registered.abroad");
    double after = rate("registered.after-term");
    double fades = rate("registered.years-of-fading");
    assertThat(allowed(s, WEST, 1930)).isEqualTo(1);
    assertThat(allowed(s, EAST, 1930)).isCloseTo(abroad, within(1e-12));
    assertThat(allowed(s, WEST, 1932))
        .isCloseTo(1 - (1 - after) * Math.min(1, 2 / fades), within(1e-12));
    assertThat(allowed(s, WEST, 2020)).isCloseTo(after, within(1e-12));
    Statement forEver = said(1900, null, null, new Usual("W", null));
    assertThat(allowed(forEver, WEST, 2020)).isEqualTo(1);
    assertThat(allowed(forEver, EAST, 1899)).isEqualTo(rate("look.ruled-out"));
  }

  @Test
  void aDesignShownInAYearIsUsualAboutThenAndAnotherIsNot() {
    double otherwise = rate("statement.shown-otherwise");
    double halves = rate("statement.design-halves");
    Statement same = said(null, null, null, null, new Design(1910, true));
    Statement other = said(null, null, null, null, new Design(1910, false));
    assertThat(allowed(same, WEST, 1910)).isCloseTo(1, within(1e-12));
    assertThat(allowed(other, WEST, 1910)).isCloseTo(otherwise, within(1e-12));
    for (int year : new int[] {1905, 1915}) {
      double then = Math.pow(0.5, 5 / halves);
      assertThat(allowed(same, WEST, year))
          .isCloseTo(otherwise + (1 - otherwise) * then, within(1e-12));
      assertThat(allowed(other, WEST, year)).isCloseTo(1 - (1 - otherwise) * then, within(1e-12));
    }
    Statement both = said(null, null, null, null, new Design(1910, true), new Design(1930, false));
    assertThat(allowed(both, WEST, 1920))
        .isCloseTo(allowed(same, WEST, 1920) * allowed(other, WEST, 1900), within(1e-12));
  }

  @Test
  void aMakerIsNamedRightlyOrByChance() {
    Statement s =
        new Statement(
            "s", "story", "Story", "Said", null, null, null, null, "thrale", null, List.of(), 0.8,
            "why");
    Maker thrale = DESK.shelf.maker("thrale").orElseThrow();
    Maker zwick = DESK.shelf.maker("zwick").orElseThrow();
    double rest = rate("look.ruled-out");
    assertThat(DESK.named(s, thrale)).isCloseTo(0.8 + 0.2 / 3, within(1e-12));
    assertThat(DESK.named(s, zwick)).isCloseTo(0.8 * rest + 0.2 / 3, within(1e-12));
    assertThat(DESK.named(s, null)).isEqualTo(DESK.named(s, zwick));
    assertThat(DESK.rightlyNamed(s, thrale)).isCloseTo(0.8 / (0.8 + 0.2 / 3), within(1e-12));
    assertThat(DESK.rightlyNamed(s, null))
        .isCloseTo(0.8 * rest / (0.8 * rest + 0.2 / 3), within(1e-12));
  }
}
