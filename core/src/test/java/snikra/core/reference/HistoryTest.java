package snikra.core.reference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.dating.DatingVerdict;
import snikra.core.fixture.KnifeBuilder;
import snikra.core.fixture.Shelf;
import snikra.core.number.NumberGrammar;
import snikra.core.reference.History.Fitting;
import snikra.core.reference.History.Model;
import snikra.core.reference.History.Option;
import snikra.core.reference.History.ShieldEra;
import snikra.core.reference.History.Years;

class HistoryTest {
  private static final History HISTORY =
      new History(
          History.Kind.MAKER,
          List.of(),
          List.of(),
          List.of(
              new ShieldEra("bar", 1890, 1900, 1, null, null, "", "", 0.99),
              new ShieldEra("crest", 1901, 1930, 1, null, null, "", "", 0.99)),
          List.of(new Fitting("handle_material", "bone", 1895, 1905, 0, "", "", 0.99)),
          List.of(
              new Model(
                  "33-3J",
                  "",
                  "x",
                  1905,
                  1920,
                  Map.of("old", new Years(1910, 1915)),
                  List.of(),
                  List.of(),
                  "",
                  "",
                  0.99)),
          List.of());

  private static Maker maker(History history) {
    Maker plain =
        Shelf.maker(
            "orbel",
            List.of(),
            Shelf.mark("old", 1890, 1904, "ORBEL"),
            Shelf.mark("new", 1905, 1930, "ORBEL", "& CO"));
    return new Maker(
        plain.id(),
        plain.name(),
        plain.region(),
        plain.place(),
        1,
        List.of(),
        null,
        List.of(),
        plain.marks(),
        history,
        "");
  }

  @Test
  void aModelKeepsItsOwnYearsOfAMark() {
    Model model = HISTORY.model("33-3 j").orElseThrow();
    Maker own = maker(HISTORY).asFor(model);
    assertThat(own.marks().get(0).from()).isEqualTo(1910);
    assertThat(own.marks().get(1)).isEqualTo(maker(HISTORY).marks().get(1));

    DatingVerdict plain = dated(HISTORY, "41-2J");
    DatingVerdict ofModel = dated(HISTORY, "33-3J");
    assertThat(plain.makers().get(0).nineTenths().from()).isLessThan(1905);
    assertThat(ofModel.makers().get(0).nineTenths().from()).isBetween(1909, 1911);
    assertThat(ofModel.makers().get(0).nineTenths().to()).isBetween(1914, 1916);
  }

  private static DatingVerdict dated(History history, String number) {
    ReferenceShelf shelf = Shelf.invented().withMakers(List.of(maker(history)));
    return KnifeBuilder.aKnifeOn(shelf).marked("ORBEL").numbered(number).dated();
  }

  @Test
  void laterPacksAreLaidOverEarlierOnes() {
    Maker under = maker(HISTORY);
    Maker over = Shelf.maker("orbel", List.of(1900), Shelf.mark("new", 1905, 1940, "ORBEL CO"));
    Maker other = Shelf.maker("zwill", List.of(), Shelf.mark("z", 1900, 1901, "Z"));
    List<Maker> merged = Makers.over(List.of(under), List.of(over, other));
    assertThat(merged).extracting(Maker::id).containsExactly("orbel", "zwill");
    assertThat(merged.get(0).marks()).extracting(MarkVariant::to).containsExactly(1904, 1940);
    assertThat(merged.get(0).changes()).containsExactly(1900);
    assertThat(merged.get(0).history()).isEqualTo(HISTORY);
  }

  @Test
  void aLaterPackKeepsTheNumbersOfAnEarlierOneUnlessItHasItsOwn() {
    Maker under = Shelf.maker("orbel", List.of(), Shelf.grammar(), Shelf.mark("a", 1, 2, "A"));
    Maker silent = Shelf.maker("orbel", List.of(), Shelf.mark("b", 1, 2, "B"));
    NumberGrammar other = new NumberGrammar(List.of(), "Another.");
    Maker own = Shelf.maker("orbel", List.of(), other, Shelf.mark("b", 1, 2, "B"));
    assertThat(Makers.over(List.of(under), List.of(silent)).get(0).numbers())
        .isEqualTo(Shelf.grammar());
    assertThat(Makers.over(List.of(under), List.of(own)).get(0).numbers()).isEqualTo(other);
  }

  @ParameterizedTest
  @CsvSource({"1892, 0.05", "1893, 0.333", "1894, 0.667", "1895, 1", "1905, 1", "1906, 0.667"})
  void aFittingFadesOverTheYearsItMayBeOutBy(int year, double expected) {
    Fitting bone = new Fitting("handle_material", "bone", 1895, 1905, 2, "", "", 0.99);
    assertThat(bone.in(year, 0.05)).isCloseTo(expected, within(1e-3));
  }

  @ParameterizedTest
  @CsvSource({"1904, false", "1905, true", "1907, true", "1908, false"})
  void anOptionIsOfItsYears(int year, boolean offered) {
    assertThat(new Option("bail", "wire", 1905, 1907, "").in(year)).isEqualTo(offered);
    assertThat(new Option("bail", "wire", null, 1907, null).in(year)).isEqualTo(year <= 1907);
    assertThat(new Option("bail", "wire", 1905, null, null).in(year)).isEqualTo(year >= 1905);
    assertThat(new Option("bail", "wire", null, null, null).note()).isEmpty();
  }

  @Test
  void whatIsLeftOutIsNothingAndNotMissing() {
    History none = new History(null, null, null, null, null, null, null);
    assertThat(none.kind()).isEqualTo(History.Kind.MAKER);
    assertThat(none.kind()).hasToString("maker");
    assertThat(none.allFittings()).isEmpty();
    Model plain = new Model("1", "", "x", 1900, 1901, null, null, null, "", "", 0.9);
    assertThat(plain.marks()).isEmpty();
    assertThat(plain.tells()).isEmpty();
    assertThat(plain.options()).isEmpty();
    History.Contract contract = new History.Contract("thrale", 1900, 1910, 0.5, null, "", "", 0);
    assertThat(contract.marks()).isEmpty();
    assertThat(contract.trust()).isEqualTo(Trust.MOST);
    assertThat(new ModelTell("liner", Map.of("brass", 0.4, "steel", 0.6), null, null, "").likely())
        .hasSize(2);
  }
}
