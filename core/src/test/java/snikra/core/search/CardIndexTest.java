package snikra.core.search;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CardIndexTest {
  private static final double MAY_BE = 0.05;
  private final CardIndex cards = new CardIndex();

  private static Card card(int number, String words, Map<Facet, List<String>> facets) {
    return new Card(
        number, List.of(words), facets, 0, List.of(), null, null, null, null, List.of());
  }

  private static Card of(int number, int firstDecade, List<Double> decades, double mm) {
    return new Card(
        number,
        List.of(),
        Map.of(),
        firstDecade,
        decades,
        mm,
        80.0 * number,
        90.0 * number,
        "GBP",
        List.of());
  }

  @BeforeEach
  void three() {
    cards.put(
        card(
            1,
            "Uncle's congress, QUILLF_R & DAX",
            Map.of(
                Facet.HANDLE, List.of("Jigged bone"),
                Facet.MAKER, List.of("Not yet known"),
                Facet.BLADES, List.of("4 blades"))));
    cards.put(
        card(
            2,
            "Swell-end jack with a saw; Müllersgrund",
            Map.of(Facet.HANDLE, List.of("Stag"), Facet.BLADES, List.of("2 blades"))));
    cards.put(
        card(
            3,
            "Congress of stag",
            Map.of(Facet.HANDLE, List.of("Ebony"), Facet.PLACE, List.of("Overwater"))));
  }

  private List<Integer> find(String search) {
    return find(search, Map.of());
  }

  private List<Integer> find(String search, Map<Facet, Set<String>> ticked) {
    return numbers(cards.find(search, ticked, MAY_BE));
  }

  private static List<Integer> numbers(Found found) {
    return found.hits().stream().map(Found.Hit::number).toList();
  }

  @ParameterizedTest
  @CsvSource({
    "'', 1 2 3",
    "congress, 1 3",
    "CONG, 1 3",
    "stag, 2 3",
    "handle stag, 2",
    "handle: jigged bone, 1",
    "maker known, 1",
    "mullersgrund, 2",
    "two blades, 2",
    "4 blades congress, 1",
    "from overwater, 3",
    "quillfer, 1",
    "quillf_r, 1",
    "2, 2",
    "saw jack, 2",
    "saw congress, ''",
    "';', 1 2 3",
  })
  void wordsAndNamedFacetsAreFound(String search, String expected) {
    assertThat(find(search).stream().map(String::valueOf).toList())
        .isEqualTo(expected.isEmpty() ? List.of() : List.of(expected.split(" ", -1)));
  }

  @Test
  void aSmallMisspellingIsReadAsWhatIsThereAndSaidSo() {
    Found found = cards.find("congres handel", Map.of(), MAY_BE);
    assertThat(meanings("congrass")).containsExactly("read as congress");
    assertThat(find("congrass")).containsExactly(1, 3);
    assertThat(found.phrases()).hasSize(2);
    assertThat(meanings("zzzzz")).containsExactly("in no knife here");
    assertThat(find("zzzzz")).isEmpty();
    // Three letters are too few to guess by.
    assertThat(meanings("jxc")).containsExactly("in no knife here");
  }

  private List<String> meanings(String search) {
    return cards.find(search, Map.of(), MAY_BE).phrases().stream()
        .map(p -> Meaning.of(p.condition()))
        .toList();
  }

  @Test
  void eachPhraseIsUnderstoodWhereItStands() {
    Found found = cards.find("Congress before 1930, handle stag", Map.of(), MAY_BE);
    assertThat(found.phrases()).extracting(Phrase::from).containsExactly(0, 9, 22);
    assertThat(found.phrases()).extracting(Phrase::to).containsExactly(8, 20, 33);
    assertThat(found.phrases().get(1).condition()).isEqualTo(new Condition.Years(null, 1929));
    assertThat(meanings("Congress before 1930, handle stag"))
        .containsExactly("", "may be of those years", "Handle");
  }

  @ParameterizedTest
  @CsvSource({
    "before 1910, 0.4",
    "after 1919, 0.3",
    "since 1919, 0.3",
    "1905-1914, 0.35",
    "1914 to 1905, 0.35",
    "1910s, 0.3",
    "in 1915, 0.03",
    "1925, 0.03",
    "1950, 0",
  })
  void yearsAreAnsweredByTheirChance(String search, double chance) {
    CardIndex dated = new CardIndex();
    dated.put(of(7, 1900, List.of(0.4, 0.3, 0.3), 90));
    assertThat(numbers(dated.find(search, Map.of(), 0.05)))
        .isEqualTo(chance >= 0.05 ? List.of(7) : List.of());
    Found all = dated.find(search, Map.of(), 0);
    assertThat(all.hits().get(0).chance())
        .isCloseTo(chance, org.assertj.core.api.Assertions.within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({
    "under 3 1/2 in, true",
    "over 3 1/2 in, false",
    "3 to 4 in, true",
    "80-89 mm, true",
    "89-95 mm, false",
    "88 mm, true",
    "about 3 15/32 in, true",
    "3 1/4 in, false",
    "8.8 cm, true",
    "under 600 GBP, true",
    "under £ 500, false",
    "over 631 gbp, false",
    "over 600 gbp, true",
    "over 600 eur, false",
  })
  void lengthsAndPricesAreUnderstood(String search, boolean found) {
    CardIndex one = new CardIndex();
    one.put(of(7, 1900, List.of(1.0), 88));
    assertThat(numbers(one.find(search, Map.of(), MAY_BE)))
        .isEqualTo(found ? List.of(7) : List.of());
    one.put(card(7, "unmeasured", Map.of()));
    assertThat(numbers(one.find(search, Map.of(), MAY_BE))).isEmpty();
  }

  @Test
  void whatIsTickedInAFacetDoesNotCountAgainstItsOtherValues() {
    Found found = cards.find("congress", Map.of(Facet.HANDLE, Set.of("Ebony")), MAY_BE);
    assertThat(numbers(found)).containsExactly(3);
    assertThat(valuesOf(found, Facet.HANDLE))
        .containsExactlyInAnyOrder(
            new Found.Value("Jigged bone", 1, 1),
            new Found.Value("Stag", 1, 0),
            new Found.Value("Ebony", 1, 1));
    assertThat(valuesOf(found, Facet.BLADES))
        .containsExactly(new Found.Value("2 blades", 1, 0), new Found.Value("4 blades", 1, 0));
    assertThat(find("", Map.of(Facet.HANDLE, Set.of("Ebony", "Stag")))).containsExactly(2, 3);
  }

  private static List<Found.Value> valuesOf(Found found, Facet facet) {
    return found.facets().stream()
        .filter(f -> f.facet() == facet)
        .flatMap(f -> f.values().stream())
        .toList();
  }

  @Test
  void aCardPutAgainOrTakenOutLeavesNothingBehind() {
    cards.put(card(1, "Barlow", Map.of()));
    cards.remove(3);
    cards.remove(99);
    assertThat(find("congress")).isEmpty();
    assertThat(meanings("congress")).containsExactly("in no knife here");
    assertThat(valuesOf(cards.find("", Map.of(), MAY_BE), Facet.PLACE)).isEmpty();
    assertThat(cards.size()).isEqualTo(2);
    cards.put(card(3, "Back again", Map.of()));
    assertThat(find("again")).containsExactly(3);
  }

  @Test
  void whateverIsPutInAndTakenOutASearchIsWhatGoingThroughAllCardsGives() {
    Random random = new Random(11);
    List<String> dictionary = List.of("bone", "bolster", "stag", "ebony", "jack", "jigged", "pen");
    List<String> handles = List.of("Bone", "Stag", "Ebony");
    for (int round = 0; round < 40; round++) {
      CardIndex index = new CardIndex();
      List<@Nullable Card> all = new ArrayList<>();
      for (int step = 0; step < 60; step++) {
        int number = random.nextInt(20);
        all.removeIf(c -> c.number() == number);
        index.remove(number);
        if (random.nextInt(4) > 0) {
          String words = pick(dictionary, random) + " " + pick(dictionary, random);
          Card card = card(number, words, Map.of(Facet.HANDLE, List.of(pick(handles, random))));
          all.add(card);
          index.put(card);
        }
      }
      String asked = pick(dictionary, random).substring(0, 1 + random.nextInt(3));
      Set<String> ticked = new HashSet<>(Set.of(pick(handles, random)));
      List<Integer> expected =
          all.stream()
              .filter(c -> ticked.contains(c.facets().get(Facet.HANDLE).get(0)))
              .filter(c -> says(c, asked))
              .map(Card::number)
              .sorted()
              .toList();
      assertThat(numbers(index.find(asked, Map.of(Facet.HANDLE, ticked), MAY_BE)))
          .isEqualTo(expected);
    }
  }

  private static boolean says(Card card, String begin) {
    String all = card.words().get(0) + " " + card.facets().get(Facet.HANDLE).get(0);
    return List.of(all.toLowerCase(java.util.Locale.ROOT).split(" ", -1)).stream()
        .anyMatch(w -> w.startsWith(begin));
  }

  private static String pick(List<String> from, Random random) {
    return from.get(random.nextInt(from.size()));
  }
}
