package snikra.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.assertj.core.data.Offset;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.condition.ConditionBook;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.judgement.Judgement;
import snikra.core.pattern.Pattern.Role;
import snikra.core.pattern.PatternBook;
import snikra.core.reference.Maker;
import snikra.core.specimen.ComparableSale;
import snikra.core.value.Rarity.Met;

class RarityTest {
  private static final Judgement JUDGED = Shelf.judgement();
  private static final Offset<Double> EXACT = within(1e-12);

  /**
   * As often met as an ordinary house; its two jacks and its pen were made for 20, 10, 40 years.
   */
  private static final Maker THRALE =
      Shelf.maker(
          "thrale",
          List.of(
              Shelf.model("11", "jack", 1900, 1919),
              Shelf.model("1 2", "jack", 1925, 1934),
              Shelf.model("40", "pen", 1910, 1949)),
          List.of(Shelf.mark("t", 1890, 1950, "THRALE")));

  private static final Maker DAX =
      Shelf.maker("dax", List.of(), Shelf.mark("d", 1890, 1950, "DAX"));

  private static final PatternBook BOOK =
      Patterns.book(
          Patterns.of("jack", Role.FALLBACK, null, Map.of()),
          Patterns.of("pen", Role.VARIANT, 0.5, Map.of("E", 1.0)),
          Patterns.of("whittler", Role.PATTERN, 0.2, Map.of("W", 0.7)),
          Patterns.of("gift-knife", Role.TRADE_LABEL, null, Map.of()));

  private final Rarity rarity = new Rarity(List.of(THRALE, DAX), BOOK, JUDGED);

  private static double rate(String id) {
    return JUDGED.of("value." + id);
  }

  private static final double ABROAD = JUDGED.of("pattern.other-country");
  private static final double JACK = 30 / rate("run");
  private static final double PEN = 0.5 * ABROAD * 40 / rate("run");
  private static final double WHITTLER = 0.2 * 0.7 * rate("unlisted-run");
  private static final double THRALES_JACKS = JACK / (JACK + PEN + WHITTLER) / 2;

  private Met met(String maker, String pattern, @Nullable String number) {
    return rarity.in(List.of()).met(maker, pattern, number);
  }

  private static ComparableSale sale(@Nullable String maker, @Nullable String pattern) {
    return new ComparableSale("one", BigDecimal.TEN, "GBP", null, maker, pattern, null, null);
  }

  @Test
  void aKindIsMetByItsMakerItsPatternAndTheYearsOfItsModels() {
    assertThat(met("thrale", "jack", null))
        .isEqualTo(new Met("thrale", "jack", null, THRALES_JACKS, 1900, 1934, 0, 0));
    assertThat(met("thrale", "whittler", null).share())
        .isCloseTo(WHITTLER / (JACK + PEN + WHITTLER) / 2, EXACT);
    assertThat(met("thrale", "whittler", null).from()).isNull();
    // Of a house without a list of models all patterns are as often met as anywhere.
    assertThat(met("dax", "pen", null).share())
        .isCloseTo(0.5 * ABROAD / (1 + 0.5 * ABROAD + 0.14) / 2, EXACT);
  }

  @Test
  void aNumberTellsWhichModelOfItsKindItIs() {
    Met second = met("thrale", "jack", "12");
    assertThat(second.share()).isCloseTo(THRALES_JACKS / 3, EXACT);
    assertThat(List.of(second.from(), second.to())).containsExactly(1925, 1934);
    assertThat(second.number()).isEqualTo("12");
    assertThat(rarity.worth("thrale", "jack", "12")).isCloseTo(rate("rarity") * Math.log(3), EXACT);
    // One of another pattern, or of nobody on file, tells nothing.
    assertThat(met("thrale", "jack", "40")).isEqualTo(met("thrale", "jack", null));
    assertThat(rarity.worth("thrale", "jack", "40")).isZero();
    assertThat(rarity.worth("nobody", "jack", "11")).isZero();
    assertThat(rarity.worth("thrale", "jack", null)).isZero();
  }

  @Test
  void salesMoveIt() {
    List<ComparableSale> sales = new ArrayList<>(Collections.nCopies(4, sale("thrale", "jack")));
    sales.addAll(Collections.nCopies(6, sale("dax", "pen")));
    // What does not tell both, or tells of nobody on file, is not counted.
    sales.add(sale("thrale", null));
    sales.add(sale(null, "jack"));
    sales.add(sale("nobody", "jack"));
    sales.add(sale("thrale", "gift-knife"));
    Met now = rarity.in(sales).met("thrale", "jack", null);
    assertThat(List.of(now.sales(), now.of())).containsExactly(4, 10);
    double each = rate("met-sale");
    double trust = rate("met-trust");
    assertThat(now.share())
        .isCloseTo(THRALES_JACKS * (trust + each * 4) / (trust + each * 10 * THRALES_JACKS), EXACT);
    assertThat(rarity.in(sales).met("dax", "jack", null).share())
        .isLessThan(met("dax", "jack", null).share());
  }

  @Test
  void whatIsMetSeldomBringsMoreAndAKnifeMetByChanceWhatIsUsual() {
    Rarity.Counted none = rarity.in(List.of());
    double mean = 0;
    for (String maker : List.of("thrale", "dax")) {
      for (String pattern : List.of("jack", "pen", "whittler")) {
        mean += met(maker, pattern, null).share() * none.worth(maker, pattern);
      }
    }
    assertThat(mean).isCloseTo(0, EXACT);
    assertThat(none.worth("thrale", "whittler") - none.worth("thrale", "jack"))
        .isCloseTo(rate("rarity") * Math.log(JACK / WHITTLER), EXACT);
  }

  @Test
  void whatIsNotOnFileAddsNothing() {
    Rarity.Counted none = rarity.in(List.of());
    assertThat(none.worth("nobody", "jack")).isZero();
    assertThat(none.worth(null, "jack")).isZero();
    assertThat(none.worth("thrale", "gift-knife")).isZero();
    assertThat(none.met("thrale", null, null)).isNull();
    assertThat(none.met(null, "jack", null)).isNull();
    assertThat(none.met("nobody", "jack", null)).isNull();
  }

  private final Appraiser appraiser =
      new Appraiser(
          List.of(THRALE, DAX),
          BOOK,
          new ConditionBook(List.of(), List.of()),
          JUDGED,
          List.of(),
          2026);

  private static Appraiser.Subject knife(String maker, String pattern, @Nullable String number) {
    return new Appraiser.Subject(
        Map.of(maker, 1.0),
        Map.of(pattern, 1.0),
        Map.of(),
        Map.of(),
        null,
        0,
        null,
        null,
        null,
        null,
        number,
        List.of());
  }

  @Test
  void theValueOfAKnifeHearsHowSeldomItIsMet() {
    List<ComparableSale> sales = List.of(sale("thrale", "jack"));
    Rarity.Counted met = rarity.in(sales);
    ValueVerdict pen = appraiser.appraise(knife("thrale", "whittler", null), sales);
    ValueVerdict.Step step = pen.sales().get(0).steps().get(0);
    assertThat(step.what()).isEqualTo("how seldom it is met");
    assertThat(step.times())
        .isCloseTo(Math.exp(met.worth("thrale", "whittler") - met.worth("thrale", "jack")), EXACT);
    assertThat(pen.met()).isEqualTo(met.met("thrale", "whittler", null));
    // Without a sale it is told all the same.
    assertThat(appraiser.appraise(knife("dax", "pen", null), List.of()).met())
        .isEqualTo(met("dax", "pen", null));
    // The model of ten years brings three to the power of rarity more than any jack of the house.
    double any = middle(appraiser.appraise(knife("thrale", "jack", null), sales));
    double second = middle(appraiser.appraise(knife("thrale", "jack", "12"), sales));
    assertThat(second / any).isCloseTo(Math.pow(3, rate("rarity")), within(0.06));
  }

  private static double middle(ValueVerdict v) {
    return v.middle().doubleValue();
  }

  private static long oneIn(double share) {
    return new Met("a", "b", null, share, null, null, 0, 0).oneIn();
  }

  @Test
  void oneInSoManyIsToldInTwoFigures() {
    assertThat(oneIn(1)).isEqualTo(1);
    assertThat(oneIn(0.15)).isEqualTo(7);
    assertThat(oneIn(1 / 37.4)).isEqualTo(37);
    assertThat(oneIn(1 / 1849.0)).isEqualTo(1800);
    assertThat(oneIn(1 / 25_499.0)).isEqualTo(25_000);
  }
}
