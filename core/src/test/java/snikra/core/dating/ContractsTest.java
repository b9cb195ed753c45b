package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static snikra.core.fixture.KnifeBuilder.aKnifeOn;

import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.Contractor;
import snikra.core.fixture.KnifeBuilder;
import snikra.core.fixture.Shelf;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;

class ContractsTest {
  private static final YearAxis AXIS = new YearAxis(1880, 1960);
  private static final MarkVariant PLAIN = Shelf.mark("lisk-plain", 1890, 1930, "LISK", "WINDOVER");
  private static final MarkVariant FAR = Shelf.mark("lisk-far", 1890, 1930, "LISK", "OVER SEA");

  private static History.Contract by(String who, double share, int from, int to, String... marks) {
    return new History.Contract(who, from, to, share, List.of(marks), "", "s");
  }

  private static Maker maker(String id, String region, History history, MarkVariant... marks) {
    return new Maker(
        id, id, region, "Windover", 1, List.of(), null, List.of(), List.of(marks), history, "");
  }

  private static Maker house(History.Kind kind, History.Contract... contracts) {
    History history =
        new History(
            kind, List.of(), List.of(contracts), List.of(), List.of(), List.of(), List.of());
    return maker("lisk", "W", history, PLAIN, FAR);
  }

  private static ReferenceShelf shelf(Maker house) {
    return Shelf.invented()
        .withMakers(
            List.of(
                maker("thrale", "W", History.NONE, Shelf.mark("t", 1880, 1940, "THRALE")),
                maker("ostermug", "E", History.NONE, Shelf.mark("o", 1880, 1940, "OSTERMUG")),
                house));
  }

  private static final Maker LISK =
      house(
          History.Kind.RETAILER,
          by("thrale", 0.5, 1890, 1930),
          by("ostermug", 0.5, 1890, 1930),
          by("ostermug", 1, 1890, 1930, "lisk-far"));

  private static KnifeBuilder knife(Maker house, String... lines) {
    return aKnifeOn(shelf(house)).marked(lines);
  }

  private static Attribution lead(KnifeBuilder knife) {
    Attribution lead = knife.dated().makers().get(0);
    assertThat(lead.maker()).isEqualTo("lisk");
    return lead;
  }

  private static double share(Attribution house, String who) {
    return house.contractors().stream()
            .filter(c -> c.label().equals(who))
            .mapToDouble(Contractor::probability)
            .sum()
        / house.probability();
  }

  @Test
  void theHandsOfAHouseComeToTheWholeInEveryYearWhateverTheLedgersSay() {
    Maker crowded =
        house(
            History.Kind.RETAILER,
            by("thrale", 0.7, 1890, 1911),
            by("ostermug", 0.8, 1905, 1920),
            by("nobody on file", 0.2, 1925, 1930));
    for (Maker house :
        List.of(crowded, LISK, house(History.Kind.MAKER, by("thrale", 0.4, 1900, 1910)))) {
      List<Hand> hands = Hand.of(house, shelf(house), AXIS);
      for (int mark = 0; mark < 2; mark++) {
        for (int y = 0; y < AXIS.size(); y++) {
          double sum = 0;
          for (Hand hand : hands) {
            sum += hand.share().get(mark)[y];
          }
          assertThat(sum)
              .as("%s in %d", house.history().kind(), AXIS.year(y))
              .isCloseTo(1, within(1e-12));
        }
      }
    }
  }

  @Test
  void whoMadeItForTheHouseIsOpenUntilTheBuildTells() {
    Attribution open = lead(knife(LISK, "LISK", "WINDOVER"));
    assertThat(share(open, "thrale")).isCloseTo(0.5, within(0.02));
    assertThat(share(lead(knife(LISK, "LISK", "WINDOVER").with("build", "east")), "ostermug"))
        .isGreaterThan(0.7);
    assertThat(share(lead(knife(LISK, "LISK", "WINDOVER").with("build", "west")), "thrale"))
        .isGreaterThan(0.7);
    assertThat(knife(LISK, "LISK", "WINDOVER").dated().opinion().headline())
        .isEqualTo("lisk put its name on it; who made it is open");
  }

  @Test
  void aContractForOneMarkSpeaksOfThatMarkAlone() {
    assertThat(share(lead(knife(LISK, "LISK", "OVER SEA")), "ostermug")).isGreaterThan(0.96);
    assertThat(share(lead(knife(LISK, "LISK", "WINDOVER")), "ostermug")).isLessThan(0.6);
    assertThat(knife(LISK, "LISK", "OVER SEA").dated().opinion().headline())
        .isEqualTo("ostermug made it for lisk");
  }

  @Test
  void contractsInOneCountryDoNotMoveTheYears() {
    Maker own = house(History.Kind.MAKER);
    Maker served = house(History.Kind.RETAILER, by("thrale", 0.6, 1890, 1905));
    double[] plain = knife(own, "LISK", "WINDOVER").with("material", "bone").dated().curve();
    double[] contracted =
        knife(served, "LISK", "WINDOVER").with("material", "bone").dated().curve();
    for (int y = 0; y < plain.length; y++) {
      assertThat(contracted[y]).isCloseTo(plain[y], within(1e-12));
    }
    assertThat(lead(knife(own, "LISK", "WINDOVER")).contractors()).isEmpty();
  }

  @Test
  void whatAMakersContractsLeaveOpenItMadeItself() {
    Attribution maker =
        lead(knife(house(History.Kind.MAKER, by("ostermug", 0.3, 1890, 1930)), "LISK", "WINDOVER"));
    assertThat(share(maker, "ostermug")).isCloseTo(0.3, within(0.05));
    assertThat(
            knife(house(History.Kind.MAKER, by("ostermug", 0.3, 1890, 1930)), "LISK", "WINDOVER")
                .dated()
                .opinion()
                .sentences())
        .anySatisfy(s -> assertThat(s).contains("ostermug (").contains("or itself ("));
  }
}
