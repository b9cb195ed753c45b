package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.condition.Alteration;
import snikra.core.condition.BoxBook;
import snikra.core.condition.BuildBook;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.condition.TextBook;
import snikra.core.fixture.Shelf;
import snikra.core.measure.Length;
import snikra.core.measure.PriceIndex;
import snikra.core.pattern.PatternBook;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.ComparableSale;
import snikra.core.specimen.Venue;
import snikra.core.value.Appraiser.Altered;
import snikra.core.value.Appraiser.Subject;
import snikra.core.value.ValueVerdict.Cost;
import snikra.core.value.ValueVerdict.Doubt;
import snikra.core.value.ValueVerdict.Step;

class AppraiserTest {
  private static final int TODAY = 2026;
  private static final ConditionBook GRADES =
      new ConditionBook(
          List.of(new Grade("mint", "Mint", 2), new Grade("good", "Good", 1)),
          List.of(),
          List.of(),
          List.of(),
          List.of(),
          List.of(),
          List.of(),
          List.of(altered("rehandled", 0.5), altered("short", 0.5)),
          new BuildBook(
              1,
              List.of(
                  new BuildBook.Level("fine", "Fine", 0.5, 1.5),
                  new BuildBook.Level("poor", "Poor", 0, 0.5)),
              List.of(),
              List.of()),
          new BoxBook(List.of(new BoxBook.Level("sealed", "Sealed", "", 1.5, Map.of())), List.of()),
          new TextBook("inscription", List.of(new TextBook.Text("advertising", 1.5, ""))));
  private static final PriceIndex POUNDS =
      new PriceIndex("GBP", "Prices", new TreeMap<>(Map.of(1996, 50.0, 2016, 100.0, 2026, 200.0)));

  private final Appraiser appraiser =
      new Appraiser(
          List.of(), PatternBook.empty(), GRADES, Shelf.judgement(), List.of(POUNDS), TODAY);

  private static Alteration altered(String id, double worth) {
    return new Alteration(
        id, id, null, null, null, List.of(), null, null, List.of(), null, null, worth, "", "", "",
        null);
  }

  private static Subject knife(Map<String, Double> makers, Map<String, Double> grades) {
    return knife(makers, grades, null, null);
  }

  private static Subject knife(
      Map<String, Double> makers,
      Map<String, Double> grades,
      @Nullable String box,
      @Nullable String build,
      Altered... altered) {
    return new Subject(
        makers,
        Map.of("jack", 1.0),
        grades,
        Map.of("bone", 1.0),
        1900.0,
        4,
        null,
        box,
        build,
        null,
        null,
        List.of(altered));
  }

  private static final Subject GOOD = knife(Map.of("thrale", 1.0), Map.of("good", 1.0));

  private static ComparableSale sale(double price) {
    return sale(price, "2026", "thrale", "jack", "good", false);
  }

  private static ComparableSale sale(
      double price,
      @Nullable String sold,
      @Nullable String maker,
      @Nullable String pattern,
      @Nullable String grade,
      boolean asked) {
    return new ComparableSale(
        "a knife",
        BigDecimal.valueOf(price),
        "GBP",
        sold == null ? null : EdtfDate.parse(sold),
        maker,
        pattern,
        grade,
        "bone",
        EdtfDate.parse("1890/1910"),
        null,
        asked,
        null,
        null,
        null,
        null);
  }

  private static List<ComparableSale> sales(double... prices) {
    List<ComparableSale> all = new ArrayList<>();
    for (double price : prices) {
      all.add(sale(price));
    }
    return all;
  }

  private static double middle(ValueVerdict v) {
    return v.middle().doubleValue();
  }

  private static double asItIs(ValueVerdict v) {
    return Objects.requireNonNull(v.asItIs()).middle().doubleValue();
  }

  private static double width(ValueVerdict v) {
    return Math.log(v.highest().doubleValue() / v.lowest().doubleValue());
  }

  private static double share(ValueVerdict v, Doubt of) {
    return v.costs().stream().filter(c -> c.of() == of).mapToDouble(Cost::share).sum();
  }

  @Test
  void withoutSalesThereIsNoValueAndItSaysSo() {
    ValueVerdict none = appraiser.appraise(GOOD, List.of());
    assertThat(none.middle()).isNull();
    assertThat(none.lowest()).isNull();
    assertThat(none.enough()).isFalse();
    assertThat(none.standsOn()).isEqualTo("No sales of like knives yet.");
  }

  @Test
  void oneSaleGivesAnHonestWidthAndSaysSo() {
    ValueVerdict one = appraiser.appraise(GOOD, sales(100));
    assertThat(middle(one)).isBetween(90.0, 110.0);
    assertThat(one.lowest().doubleValue()).isLessThan(45);
    assertThat(one.highest().doubleValue()).isGreaterThan(220);
    assertThat(one.standsOn()).startsWith("Thin: 1 sale counts");
    assertThat(one.enough()).isFalse();
  }

  @Test
  void theRangeIsNeverAPointHoweverWellTheSalesAgree() {
    ValueVerdict same = appraiser.appraise(GOOD, sales(338, 338, 338));
    assertThat(same.low()).isLessThan(same.middle());
    assertThat(same.middle()).isLessThan(same.high());
    assertThat(same.lowest()).isLessThan(same.low());
    assertThat(same.highest()).isGreaterThan(same.high());
    assertThat(same.enough()).isTrue();
    assertThat(same.standsOn()).isEqualTo("From 3 sales, each by its likeness.");
  }

  @Test
  void agreeingSalesNarrowIt() {
    assertThat(width(appraiser.appraise(GOOD, sales(100, 100, 100, 100, 100))))
        .isLessThan(width(appraiser.appraise(GOOD, sales(100, 100))));
  }

  @Test
  void unlikeSalesLeaveItWideAndAreNotBoundTo() {
    List<ComparableSale> unlike = new ArrayList<>();
    for (int i = 0; i < 3; i++) {
      unlike.add(sale(1200, "2026", "zwick", "whittler", "good", false));
    }
    assertThat(width(appraiser.appraise(GOOD, unlike)))
        .isGreaterThan(1.4 * width(appraiser.appraise(GOOD, sales(1200, 1200, 1200))));
  }

  @Test
  void oneOddSaleDoesNotRule() {
    ValueVerdict with = appraiser.appraise(GOOD, sales(100, 105, 95, 100, 90_000));
    assertThat(middle(with)).isBetween(85.0, 135.0);
    assertThat(with.sales().get(4).trust()).isLessThan(0.1);
    assertThat(with.sales().get(0).trust()).isGreaterThan(0.8);
  }

  @Test
  void aPriceIsReadInTheMoneyOfToday() {
    ValueVerdict old =
        appraiser.appraise(GOOD, List.of(sale(100, "2016", "thrale", "jack", "good", false)));
    assertThat(middle(old)).isBetween(190.0, 210.0);
    assertThat(step(old.sales().get(0), "prices since").times()).isCloseTo(2, within(1e-9));
    assertThat(old.sales().get(0).adjusted().doubleValue()).isEqualTo(200);
  }

  @Test
  void betweenTwoYearsOfTheIndexItIsReadInLogarithms() {
    assertThat(POUNDS.between(2006, 2026)).isCloseTo(200 / Math.sqrt(5000), within(1e-9));
    assertThat(POUNDS.between(1900, 2026)).isCloseTo(4, within(1e-9));
    assertThat(POUNDS.between(2026, 2100)).isCloseTo(1, within(1e-9));
  }

  @Test
  void aSaleWithoutADateIsTakenAsItStandsAndCountsALittleLess() {
    List<ComparableSale> two = List.of(sale(100), sale(200, null, "thrale", "jack", "good", false));
    ValueVerdict v = appraiser.appraise(GOOD, two);
    assertThat(v.sales().get(1).weight()).isLessThan(v.sales().get(0).weight());
    assertThat(v.sales().get(1).adjusted().doubleValue()).isEqualTo(200);
  }

  @Test
  void whatIsAskedIsMoreThanWhatIsPaidAndCountsLess() {
    List<ComparableSale> two =
        List.of(sale(100), sale(125, "2026", "thrale", "jack", "good", true));
    ValueVerdict v = appraiser.appraise(GOOD, two);
    assertThat(v.sales().get(1).adjusted().doubleValue()).isEqualTo(100);
    assertThat(v.sales().get(1).weight()).isLessThan(v.sales().get(0).weight());
    assertThat(v.sales().get(0).weight() + v.sales().get(1).weight()).isCloseTo(1, within(1e-9));
  }

  @Test
  void salesAreBroughtToTheKnifesGrade() {
    ValueVerdict mint =
        appraiser.appraise(knife(Map.of("thrale", 1.0), Map.of("mint", 1.0)), sales(50, 50, 50));
    assertThat(middle(mint)).isBetween(80.0, 110.0);
    assertThat(step(mint.sales().get(0), "grade and box").times()).isCloseTo(2, within(1e-9));
    assertThat(width(mint)).isGreaterThan(width(appraiser.appraise(GOOD, sales(50, 50, 50))));
  }

  @Test
  void aGradeThatIsOpenIsARangeAndSaysThatItCosts() {
    Subject open = knife(Map.of("thrale", 1.0), Map.of("mint", 0.5, "good", 0.5));
    ValueVerdict v = appraiser.appraise(open, sales(100, 100, 100));
    assertThat(width(v)).isGreaterThan(width(appraiser.appraise(GOOD, sales(100, 100, 100))));
    assertThat(share(v, Doubt.GRADE)).isGreaterThan(0.2);
    assertThat(share(appraiser.appraise(GOOD, sales(100, 100, 100)), Doubt.GRADE)).isZero();
  }

  @Test
  void aKnifeNobodyGradedIsAsMostAreAndWider() {
    Subject ungraded = knife(Map.of("thrale", 1.0), Map.of());
    ValueVerdict v = appraiser.appraise(ungraded, sales(100, 100, 100));
    assertThat(middle(v)).isBetween(60.0, 85.0);
    assertThat(width(v)).isGreaterThan(width(appraiser.appraise(GOOD, sales(100, 100, 100))));
  }

  @Test
  void aMakerThatIsOpenCostsWhereMakersArePaidDifferently() {
    List<ComparableSale> both = new ArrayList<>(sales(1000, 1000, 1000));
    for (int i = 0; i < 3; i++) {
      both.add(sale(50, "2026", "zwick", "jack", "good", false));
    }
    Subject either = knife(Map.of("thrale", 0.5, "zwick", 0.5), Map.of("good", 1.0));
    ValueVerdict v = appraiser.appraise(either, both);
    assertThat(v.costs().get(0).of()).isEqualTo(Doubt.MAKER);
    assertThat(v.lowest().doubleValue()).isLessThan(80);
    assertThat(v.highest().doubleValue()).isGreaterThan(700);
    assertThat(middle(appraiser.appraise(GOOD, both))).isGreaterThan(400);
    assertThat(v.costs().stream().mapToDouble(Cost::share).sum()).isBetween(0.95, 1.02);
  }

  @Test
  void whatMayHaveBeenDoneToItCarriesItsProbabilityThrough() {
    Map<String, Double> good = Map.of("good", 1.0);
    Map<String, Double> thrale = Map.of("thrale", 1.0);
    double sound = middle(appraiser.appraise(GOOD, sales(100, 100, 100)));
    ValueVerdict maybe =
        appraiser.appraise(
            knife(thrale, good, null, null, new Altered(0.44, 0.3)), sales(100, 100, 100));
    ValueVerdict surely =
        appraiser.appraise(
            knife(thrale, good, null, null, new Altered(1, 0.3)), sales(100, 100, 100));
    assertThat(asItIs(surely)).isCloseTo(0.3 * sound, within(1.5));
    assertThat(asItIs(maybe)).isBetween(0.4 * sound, 0.9 * sound);
    assertThat(middle(surely)).as("were nothing done to it").isEqualTo(sound);
    assertThat(middle(maybe)).isEqualTo(sound);
    assertThat(share(maybe, Doubt.ALTERED)).isGreaterThan(0.2);
    assertThat(share(surely, Doubt.ALTERED)).isZero();
  }

  @Test
  void allThatMayHaveBeenDoneCountsTheThreeThatCostMostEachAndTheRestAtItsMean() {
    Altered[] many = new Altered[5];
    java.util.Arrays.fill(many, new Altered(1, 0.5));
    ValueVerdict v =
        appraiser.appraise(
            knife(Map.of("thrale", 1.0), Map.of("good", 1.0), null, null, many),
            sales(3200, 3200, 3200));
    assertThat(asItIs(v)).isBetween(90.0, 110.0);
  }

  @Test
  void itsBoxAndItsWorkAreWorthSomething() {
    Map<String, Double> good = Map.of("good", 1.0);
    Map<String, Double> thrale = Map.of("thrale", 1.0);
    List<ComparableSale> same = sales(100, 100, 100, 100);
    double bare = middle(appraiser.appraise(GOOD, same));
    assertThat(middle(appraiser.appraise(knife(thrale, good, "sealed", null), same)))
        .isBetween(1.3 * bare, 1.55 * bare);
    assertThat(middle(appraiser.appraise(knife(thrale, good, null, "fine"), same)))
        .isBetween(1.3 * bare, 1.55 * bare);
    assertThat(middle(appraiser.appraise(knife(thrale, good, null, "poor"), same)))
        .isBetween(0.45 * bare, 0.65 * bare);
  }

  @Test
  void likenessIsShownInEveryRespect() {
    ValueVerdict v =
        appraiser.appraise(
            GOOD, List.of(sale(100), sale(100, "2026", "zwick", "pen", null, false)));
    assertThat(v.sales().get(0).steps()).extracting(Step::what).doesNotContain("maker", "pattern");
    List<Step> steps = v.sales().get(1).steps();
    assertThat(steps).extracting(Step::likeness).contains(0.35, 0.45);
    assertThat(step(v.sales().get(1), "grade and box").times()).isCloseTo(1 / 0.7, within(1e-9));
  }

  @Test
  void aSaleInAnotherCurrencyIsShownAndNotCounted() {
    List<ComparableSale> all = new ArrayList<>(sales(40, 50));
    all.add(new ComparableSale("abroad", BigDecimal.TEN, "EUR", null, null, null, null, null));
    ValueVerdict v = appraiser.appraise(GOOD, all);
    assertThat(v.currency()).isEqualTo("GBP");
    assertThat(v.counted()).isEqualTo(2);
    assertThat(v.sales().get(2).counted()).isFalse();
    assertThat(v.sales().get(2).weight()).isZero();
    assertThat(v.sales()).hasSize(3);
  }

  @Test
  void ofVeryManyTheMostAlikeAreTaken() {
    List<ComparableSale> many = new ArrayList<>();
    for (int i = 0; i < 300; i++) {
      many.add(sale(1000, "2026", "zwick", "pen", "good", false));
    }
    many.addAll(sales(100, 100, 100, 100));
    ValueVerdict v = appraiser.appraise(GOOD, many);
    assertThat(v.counted()).isEqualTo(60);
    assertThat(v.sales().get(303).counted()).isTrue();
    assertThat(middle(v)).isBetween(85.0, 160.0);
  }

  @Test
  void amountsAreShownInAsManyFiguresAsAreKnown() {
    ValueVerdict v = appraiser.appraise(GOOD, sales(12_345, 12_345, 12_345));
    assertThat(v.middle()).isEqualByComparingTo("12300");
    assertThat(appraiser.appraise(GOOD, sales(47.3, 47.3)).middle()).isEqualByComparingTo("47");
    assertThat(appraiser.appraise(GOOD, sales(0.01)).middle().scale()).isLessThanOrEqualTo(2);
  }

  private static Step step(ValueVerdict.Weighed sale, String what) {
    return sale.steps().stream().filter(s -> s.what().equals(what)).findFirst().orElseThrow();
  }

  @Test
  void salesThatStandWithTheKnifeSayInWhichMoneyItIsTold() {
    ComparableSale dollars =
        new ComparableSale(
            "own", BigDecimal.valueOf(90), "USD", null, "thrale", "jack", "good", "bone");
    List<KeptSale> book = new ArrayList<>();
    for (ComparableSale s : sales(100, 110, 120)) {
      book.add(new KeptSale("b" + book.size(), new Sale(s, null, null, null)));
    }
    assertThat(appraiser.appraise(GOOD, List.of(), book).currency()).isEqualTo("GBP");
    ValueVerdict own = appraiser.appraise(GOOD, List.of(dollars), book);
    assertThat(own.currency()).isEqualTo("USD");
    assertThat(own.counted()).isEqualTo(1);
    assertThat(own.sales()).hasSize(1);
  }

  private static ComparableSale boxed(double price, String box) {
    return new ComparableSale(
        "a knife",
        BigDecimal.valueOf(price),
        "GBP",
        EdtfDate.parse("2026"),
        "thrale",
        "jack",
        "good",
        "bone",
        EdtfDate.parse("1890/1910"),
        box,
        null,
        null,
        null,
        null,
        null);
  }

  @Test
  void whatABoxBroughtIsTakenOffForABareKnife() {
    List<ComparableSale> inTheirBoxes = List.of(boxed(150, "sealed"), boxed(150, "sealed"));
    assertThat(middle(appraiser.appraise(GOOD, inTheirBoxes)))
        .isEqualTo(middle(appraiser.appraise(GOOD, sales(100, 100))));
  }

  private static ComparableSale told(
      double price, @Nullable String length, @Nullable List<String> done, @Nullable Venue venue) {
    return told(price, length, done, venue, null);
  }

  private static ComparableSale written(double price, @Nullable String text) {
    return told(price, null, null, null, text);
  }

  private static ComparableSale told(
      double price,
      @Nullable String length,
      @Nullable List<String> done,
      @Nullable Venue venue,
      @Nullable String text) {
    ComparableSale s = sale(price);
    return new ComparableSale(
        s.described(),
        s.price(),
        s.currency(),
        s.sold(),
        s.maker(),
        s.pattern(),
        s.grade(),
        s.handle(),
        s.made(),
        s.box(),
        s.asked(),
        length == null ? null : Length.parse(length),
        done,
        venue,
        text);
  }

  @Test
  void whatATextBroughtIsTakenOffForAPlainKnife() {
    List<ComparableSale> advertising =
        List.of(written(150, "advertising"), written(150, "advertising"));
    ValueVerdict plain = appraiser.appraise(GOOD, advertising);
    assertThat(middle(plain)).isEqualTo(middle(appraiser.appraise(GOOD, sales(100, 100))));
    Step step = step(plain.sales().get(0), "what is written on it");
    assertThat(step.times()).isCloseTo(1 / 1.5, within(1e-12));
    assertThat(step.likeness()).isEqualTo(0.85);
    // A text nobody pays for is as good as none.
    assertThat(appraiser.appraise(GOOD, List.of(written(100, "none"), written(100, "owner"))))
        .isEqualTo(appraiser.appraise(GOOD, sales(100, 100)));
  }

  @Test
  void aTextOnTheKnifeIsPaidFor() {
    Subject g = GOOD;
    Subject advertising =
        new Subject(
            g.makers(),
            g.patterns(),
            g.grades(),
            g.handles(),
            g.made(),
            g.madeSpread(),
            g.size(),
            g.box(),
            g.build(),
            "advertising",
            null,
            List.of());
    assertThat(middle(appraiser.appraise(advertising, sales(100, 100))))
        .isGreaterThan(1.3 * middle(appraiser.appraise(GOOD, sales(100, 100))));
    assertThat(middle(appraiser.appraise(advertising.untouched(), sales(100, 100))))
        .isEqualTo(middle(appraiser.appraise(advertising, sales(100, 100))));
  }

  private static Subject measured(double mm) {
    return new Subject(
        Map.of("thrale", 1.0),
        Map.of("jack", 1.0),
        Map.of("good", 1.0),
        Map.of("bone", 1.0),
        1900.0,
        4,
        Math.log(mm),
        null,
        null,
        null,
        null,
        List.of());
  }

  @Test
  void aKnifeOfItsSizeSaysMoreThanAnotherOfThePattern() {
    List<ComparableSale> both =
        List.of(told(100, "90 mm", null, null), told(200, "120 mm", null, null));
    ValueVerdict small = appraiser.appraise(measured(90), both);
    assertThat(small.sales().get(0).weight()).isGreaterThan(small.sales().get(1).weight());
    assertThat(step(small.sales().get(1), "size").likeness()).isBetween(0.85, 0.87);
    assertThat(small.sales().get(0).steps()).extracting(Step::what).doesNotContain("size");
    assertThat(middle(appraiser.appraise(measured(120), both))).isGreaterThan(middle(small));
    assertThat(appraiser.appraise(GOOD, both).sales().get(1).steps())
        .extracting(Step::what)
        .doesNotContain("size");
  }

  @Test
  void whatWasDoneToAKnifeThatWasSoldIsTakenBack() {
    List<ComparableSale> rehandled = List.of(told(50, null, List.of("rehandled"), null));
    ValueVerdict v = appraiser.appraise(GOOD, rehandled);
    assertThat(step(v.sales().get(0), "what was done to it").times()).isCloseTo(2, within(1e-9));
    assertThat(v.middle()).isEqualTo(appraiser.appraise(GOOD, sales(100)).middle());
    List<ComparableSale> twice = List.of(told(25, null, List.of("rehandled", "short"), null));
    assertThat(appraiser.appraise(GOOD, twice).middle()).isEqualTo(v.middle());
    assertThat(appraiser.appraise(GOOD, List.of(told(100, null, List.of(), null))).middle())
        .isEqualTo(v.middle());
    assertThat(appraiser.appraise(GOOD, List.of(told(100, null, List.of("unheard"), null))))
        .extracting(ValueVerdict::middle)
        .isEqualTo(v.middle());
  }

  @Test
  void aPriceIsBroughtToTheSaleRoom() {
    ValueVerdict dealer = appraiser.appraise(GOOD, List.of(told(130, null, null, Venue.DEALER)));
    assertThat(step(dealer.sales().get(0), "where it was sold").times())
        .isCloseTo(1 / 1.3, within(1e-9));
    ValueVerdict room = appraiser.appraise(GOOD, List.of(told(100, null, null, Venue.SALE_ROOM)));
    assertThat(dealer.middle()).isEqualTo(room.middle());
    assertThat(room.middle()).isEqualTo(appraiser.appraise(GOOD, sales(100)).middle());
  }

  /** Of what keeps it wide each is told once, the most first, and together they are all of it. */
  @Test
  void whatKeepsItWideAddsUpToAllOfIt() {
    Subject open =
        knife(
            Map.of("thrale", 0.6, "zwick", 0.4),
            Map.of("good", 0.5, "mint", 0.5),
            null,
            null,
            new Altered(0.5, 0.4));
    List<ComparableSale> all = new ArrayList<>(sales(60, 60, 60));
    all.add(sale(300, "2026", "zwick", "jack", "good", false));
    all.add(sale(300, "2026", "zwick", "jack", "good", false));
    List<Cost> costs = appraiser.appraise(open, all).costs();
    assertThat(costs).extracting(Cost::of).doesNotHaveDuplicates();
    assertThat(costs)
        .extracting(Cost::share)
        .isSortedAccordingTo(java.util.Comparator.reverseOrder())
        .allMatch(share -> share >= 0.02);
    assertThat(costs.stream().mapToDouble(Cost::share).sum()).isBetween(0.95, 1.001);
    // Two grades, one twice the other, as likely: a quarter of the square of that step.
    double ofGrade = costs.stream().filter(c -> c.of() == Doubt.GRADE).findFirst().get().share();
    double ofAltered =
        costs.stream().filter(c -> c.of() == Doubt.ALTERED).findFirst().get().share();
    assertThat(ofGrade / ofAltered)
        .isCloseTo(Math.pow(Math.log(2) / Math.log(0.4), 2), within(0.15));
  }

  @Test
  void ownSalesAreToldFirstAndThoseOfTheBookByWhatTheyCount() {
    List<KeptSale> book =
        List.of(
            new KeptSale(
                "far",
                new Sale(sale(90, "1996", "zwick", "jack", "good", false), null, null, null)),
            new KeptSale("near", new Sale(sale(100), null, null, null)));
    ValueVerdict v = appraiser.appraise(GOOD, sales(95), book);
    assertThat(v.sales())
        .extracting(ValueVerdict.Weighed::id)
        .containsExactly("sale-1", "near", "far");
    assertThat(v.sales().get(1).weight()).isGreaterThan(v.sales().get(2).weight());
    assertThat(v.sales().stream().mapToDouble(ValueVerdict.Weighed::weight).sum())
        .isCloseTo(1, within(1e-9));
  }

  /** The fourth and later count at their mean, whatever order they are told in. */
  @Test
  void theOrderInWhichWhatWasDoneIsToldDoesNotMatter() {
    List<Altered> done =
        List.of(
            new Altered(0.9, 0.3),
            new Altered(0.2, 0.9),
            new Altered(0.5, 0.5),
            new Altered(0.7, 0.8));
    List<Altered> otherwise = new ArrayList<>(done);
    java.util.Collections.reverse(otherwise);
    Map<String, Double> thrale = Map.of("thrale", 1.0);
    Map<String, Double> good = Map.of("good", 1.0);
    ValueVerdict one =
        appraiser.appraise(
            knife(thrale, good, null, null, done.toArray(Altered[]::new)), sales(100));
    ValueVerdict other =
        appraiser.appraise(
            knife(thrale, good, null, null, otherwise.toArray(Altered[]::new)), sales(100));
    assertThat(one.asItIs()).isEqualTo(other.asItIs());
    // With the likeliest of them done half lie at or below 0.3 x 0.5, half at or above 0.3 x 0.8.
    assertThat(asItIs(one)).isBetween(0.15 * middle(one), 0.24 * middle(one));
  }
}
