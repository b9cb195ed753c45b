package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.dating.Evidence.Statement;
import snikra.core.dating.Evidence.Statement.Design;
import snikra.core.dating.Evidence.Statement.Usual;

/** What one witness says twice, taken together. */
class StatementTest {
  private static Statement years(@Nullable Integer from, @Nullable Integer to) {
    return new Statement("s", "story", "Story", "Said", from, to, 0.7, "why");
  }

  private static Statement some(Set<Integer> years) {
    return new Statement("s", "story", "Story", "Said", null, null, years, 0.7, "why");
  }

  private static Statement told(
      String label,
      @Nullable Set<String> regions,
      @Nullable String maker,
      @Nullable Usual usual,
      double reliability,
      Design... designs) {
    return new Statement(
        "s",
        "story",
        "Story",
        label,
        null,
        null,
        null,
        regions,
        maker,
        usual,
        List.of(designs),
        reliability,
        "why");
  }

  @ParameterizedTest
  @CsvSource({
    "1900, 1910, 1905, 1920, 1905, 1910",
    "1905, 1920, 1900, 1910, 1905, 1910",
    "1900, , , 1920, 1900, 1920",
    ", 1910, 1905, , 1905, 1910",
    "1900, 1905, 1905, 1910, 1905, 1905"
  })
  void itIsOfTheYearsThatBothAllow(
      Integer from, Integer to, Integer from2, Integer to2, int first, int last) {
    Statement both = years(from, to).and(years(from2, to2)).orElseThrow();
    assertThat(both.notBefore()).isEqualTo(first);
    assertThat(both.byYear()).isEqualTo(last);
    assertThat(both.allows(first - 1)).isFalse();
    assertThat(both.allows(first)).isTrue();
    assertThat(both.allows(last)).isTrue();
    assertThat(both.allows(last + 1)).isFalse();
  }

  @Test
  void yearsThatDoNotMeetAreTwoStories() {
    assertThat(years(1911, null).and(years(null, 1910))).isEmpty();
    assertThat(some(Set.of(1901, 1902)).and(some(Set.of(1903)))).isEmpty();
    assertThat(some(Set.of(1901, 1930)).and(years(1902, 1929))).isEmpty();
  }

  @Test
  void singleYearsAreThoseThatBothHave() {
    Statement both = some(Set.of(1901, 1902, 1905)).and(some(Set.of(1902, 1905, 1909))).get();
    assertThat(both.years()).containsExactlyInAnyOrder(1902, 1905);
    assertThat(both.allows(1905)).isTrue();
    assertThat(both.allows(1901)).isFalse();
    assertThat(some(Set.of(1901, 1902, 1905)).and(years(1902, 1904)).get().years())
        .containsExactly(1902);
    assertThat(years(1902, 1904).and(some(Set.of(1902, 1904, 1905))).get().years())
        .containsExactlyInAnyOrder(1902, 1904);
    assertThat(years(1902, 1904).and(years(1903, null)).get().years()).isNull();
  }

  @Test
  void oneCountryAndOneMakerOrNoneAreHeardTogether() {
    Statement west = told("Of the west", Set.of("W"), null, new Usual("W", 1930), 0.6);
    Statement east = told("Of the east", Set.of("E"), null, null, 0.6);
    Statement thrale = told("Of Thrale", null, "thrale", null, 0.9);
    Statement zwick = told("Of Zwickel", null, "zwick", null, 0.9);
    assertThat(west.and(east)).isEmpty();
    assertThat(thrale.and(zwick)).isEmpty();
    for (Optional<Statement> both : List.of(west.and(thrale), thrale.and(west))) {
      assertThat(both.get().regions()).containsExactly("W");
      assertThat(both.get().maker()).isEqualTo("thrale");
      assertThat(both.get().usual()).isEqualTo(new Usual("W", 1930));
      assertThat(both.get().reliability()).isEqualTo(0.9);
      assertThat(both.get().allows("W")).isTrue();
      assertThat(both.get().allows("E")).isFalse();
    }
    assertThat(west.and(thrale).get().label()).isEqualTo("Of the west; of Thrale");
    assertThat(west.and(west).get().label()).isEqualTo("Of the west");
    assertThat(thrale.allows("E")).isTrue();
  }

  @Test
  void designsStandBesideOneAnotherEachOnce() {
    Statement one = told("a", null, null, null, 0.5, new Design(1910, true));
    Statement two =
        told("b", null, null, null, 0.5, new Design(1910, true), new Design(1920, false));
    assertThat(one.and(two).get().designs())
        .containsExactly(new Design(1910, true), new Design(1920, false));
  }

  @Test
  void whatSaysNothingOfOriginIsKnownAsSuch() {
    assertThat(told("a", null, "thrale", null, 0.5).isOfOrigin()).isFalse();
    assertThat(told("a", null, "thrale", null, 0.5).isDated()).isFalse();
    assertThat(told("a", Set.of("W"), null, null, 0.5).isOfOrigin()).isTrue();
    assertThat(told("a", null, null, null, 0.5, new Design(1910, true)).isDated()).isTrue();
    assertThat(years(1900, null).isOfOrigin()).isTrue();
    assertThat(years(null, 1900).isDated()).isTrue();
    assertThat(some(Set.of(1900)).isDated()).isTrue();
    assertThat(years(1900, null).believed(0.3).reliability()).isEqualTo(0.3);
  }
}
