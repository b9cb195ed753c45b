package snikra.core.dating;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.code.SeenHallmark;
import snikra.core.code.SeenNumber;
import snikra.core.dating.Evidence.Statement;
import snikra.core.dating.Evidence.Statement.Design;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.mark.MarkReader;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.Pattern.Era;
import snikra.core.pattern.PatternVerdict;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.StoryEvent;
import snikra.core.provenance.StoryEvent.Kind;
import snikra.core.provenance.StoryEvent.Source;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Sought;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;

/** What a knife as found says of its origin, before any of it is weighed. */
class GatheringTest {
  private static final ReferenceShelf SHELF = Shelf.invented();

  private static Seen<String> sure(String value) {
    return new Seen<>(value, Sureness.SURE);
  }

  private static Specimen knife(
      List<SeenBlade> blades,
      List<SeenFace> marks,
      Map<String, Seen<String>> seen,
      StoryEvent... story) {
    return new Specimen(
        null,
        null,
        null,
        null,
        null,
        null,
        blades,
        marks,
        null,
        List.of(),
        List.of(new SeenNumber("unheard", "12")),
        List.of(new SeenHallmark("unheard", "K", null, null)),
        seen,
        Map.of(),
        List.of(story),
        List.of(),
        Map.of(),
        Set.of(Sought.NUMBER),
        List.of(),
        null,
        List.of());
  }

  private static Evidence of(Specimen knife) {
    return of(knife, SHELF, 0);
  }

  private static Evidence of(Specimen knife, ReferenceShelf shelf, double share) {
    PatternVerdict.Name name =
        new PatternVerdict.Name(
            "jack", "Jack", List.of(), share, share, List.of(), List.of(), List.of(), List.of(), "",
            null);
    return Gathering.of(
        knife,
        new MarkReader(shelf).read(knife.marks()),
        new PatternVerdict("Jack", "Jack", share > 0 ? List.of(name) : List.of(), 1 - share),
        shelf);
  }

  private static StoryEvent event(
      Kind kind, @Nullable String date, Source source, @Nullable String teller) {
    return event(kind, date, source, teller, null, null, null);
  }

  private static StoryEvent event(
      Kind kind,
      @Nullable String date,
      Source source,
      @Nullable String teller,
      @Nullable String region,
      @Nullable String maker,
      @Nullable Map<String, String> shows) {
    return new StoryEvent(
        kind,
        date == null ? null : EdtfDate.parse(date),
        null,
        null,
        source,
        null,
        null,
        null,
        region,
        maker,
        teller,
        shows,
        null,
        null);
  }

  private static List<Statement> told(StoryEvent... story) {
    return of(knife(List.of(), List.of(), Map.of(), story)).statements();
  }

  @Test
  void aHeldKnifeWasThereByThenAndOneDatedIsOfThoseYears() {
    Statement held = told(event(Kind.HELD, "1936", Source.DOCUMENT, null)).get(0);
    assertThat(held.byYear()).isEqualTo(1936);
    assertThat(held.notBefore()).isNull();
    assertThat(held.years()).isNull();
    assertThat(held.label()).isEqualTo("Held 1936");
    assertThat(held.reliability()).isEqualTo(SHELF.judgement().of("story.document"));
    Statement dated = told(event(Kind.DATED, "1911/1913", Source.BOOK, null)).get(0);
    assertThat(dated.years()).containsExactlyInAnyOrder(1911, 1912, 1913);
    assertThat(dated.label()).isEqualTo("Said to be of 1911/1913");
    assertThat(told(event(Kind.HELD, null, Source.DOCUMENT, null))).isEmpty();
  }

  @Test
  void aMakerAndACountryAreClaimedWithOrWithoutAYear() {
    Statement both =
        told(event(Kind.BOUGHT, "1936", Source.DEALER, null, "W", "thrale", null)).get(0);
    assertThat(both.label()).isEqualTo("Bought 1936, by thrale, from W");
    assertThat(both.regions()).containsExactly("W");
    assertThat(both.maker()).isEqualTo("thrale");
    Statement undated =
        told(event(Kind.BOUGHT, null, Source.DEALER, null, null, "unheard", null)).get(0);
    assertThat(undated.label()).isEqualTo("Said to be by unheard");
    assertThat(undated.byYear()).isNull();
    assertThat(undated.years()).isNull();
  }

  @Test
  void whatOneTellerSaysTwiceIsOneWitness() {
    StoryEvent[] story = {
      event(Kind.HELD, "1940", Source.FAMILY, "Ada"),
      event(Kind.HELD, "1930", Source.DOCUMENT, " ADA "),
      event(Kind.HELD, "1950", Source.DOCUMENT, "Bo"),
      event(Kind.HELD, null, Source.DOCUMENT, "Bo")
    };
    List<Statement> said = told(story);
    assertThat(said).extracting(Statement::id).containsExactly("story-1", "story-3");
    assertThat(said.get(0).byYear()).isEqualTo(1930);
    assertThat(said.get(0).reliability()).isEqualTo(SHELF.judgement().of("story.document"));
    assertThat(Gathering.toldIn(knife(List.of(), List.of(), Map.of(), story), SHELF))
        .containsExactly("story-1", "story-1", "story-3", null);
  }

  @Test
  void manyMouthsOfOneRumourAreOneAndPapersOfTwoDaysAreTwo() {
    assertThat(
            told(
                event(Kind.HELD, "1940", Source.HEARSAY, null),
                event(Kind.BOUGHT, "1950", Source.HEARSAY, null)))
        .hasSize(1);
    assertThat(
            told(
                event(Kind.HELD, "1940", Source.DOCUMENT, null),
                event(Kind.HELD, "1950", Source.DOCUMENT, null),
                event(Kind.BOUGHT, "1950", Source.DOCUMENT, null)))
        .hasSize(3);
    assertThat(
            told(
                event(Kind.HELD, "1940", Source.DOCUMENT, null),
                event(Kind.HELD, "1940", Source.DOCUMENT, null)))
        .hasSize(1);
    assertThat(
            told(
                event(Kind.HELD, null, Source.BOOK, null, "W", null, null),
                event(Kind.HELD, null, Source.BOOK, null, "E", null, null)))
        .as("two books")
        .hasSize(2);
  }

  @Test
  void aTellerWhoContradictsHimselfStandsTwice() {
    List<Statement> said =
        told(
            event(Kind.DATED, "1911", Source.FAMILY, "Ada"),
            event(Kind.DATED, "1930", Source.FAMILY, "Ada"),
            event(Kind.HELD, "1950", Source.FAMILY, "Ada"));
    assertThat(said).extracting(Statement::id).containsExactlyInAnyOrder("story-1", "story-2");
    assertThat(said)
        .filteredOn(s -> s.id().equals("story-1"))
        .allMatch(s -> s.byYear() == 1911 && s.years().equals(Set.of(1911)));
  }

  @Test
  void whatSuchAKnifeIsShownWithIsHeldAgainstWhatWasLookedAt() {
    Map<String, String> shows = Map.of("spacer", "metal", "jigging", "worm", "build", "west");
    StoryEvent advertisement =
        event(Kind.ADVERTISED, "1910/1913", Source.ADVERTISEMENT, null, "W", "thrale", shows);
    Seen<String> either = new Seen<>("west", Sureness.SURE, Map.of("east", 0.3));
    Map<String, Seen<String>> seen =
        Map.of("spacer", sure("plastic"), "jigging", sure("worm"), "build", either);
    Statement said = of(knife(List.of(), List.of(), seen, advertisement)).statements().get(0);
    assertThat(said.designs()).containsExactly(new Design(1911, true), new Design(1911, false));
    assertThat(said.byYear()).isNull();
    assertThat(said.label())
        .isEqualTo("Advertised 1910/1913, shown with build: west, jigging: worm, spacer: metal");
    assertThat(said.regions()).containsExactly("W");
    assertThat(said.maker()).isEqualTo("thrale");
    assertThat(told(advertisement)).as("nothing of it was looked at").isEmpty();
  }

  @Test
  void looksAreTakenFromTheKnifeAndItsMainBladeAndFromNoOther() {
    SeenBlade main = blade(Map.of("wording", sure("country")));
    SeenBlade second = blade(Map.of("opener", sure("two-part")));
    Map<String, Seen<String>> seen =
        Map.of(
            "spacer",
            sure("plastic"),
            "lifter",
            new Seen<>(null, Sureness.CANNOT_TELL),
            "unheard",
            sure("x"));
    Evidence evidence = of(knife(List.of(main, second), List.of(), seen));
    assertThat(evidence.observed().stream().map(o -> o.feature().id()).toList())
        .containsExactlyInAnyOrder("spacer", "wording");
    assertThat(evidence.lookedInVain()).containsExactlyInAnyOrder("lifter", "number");
    assertThat(evidence.statements()).as("tables nobody has on file").isEmpty();
    assertThat(evidence.found()).containsEntry("spacer", "plastic").containsEntry("blades", "2");
    assertThat(evidence.found()).doesNotContainKeys("lifter", "opener", "wording");
  }

  private static SeenBlade blade(Map<String, Seen<String>> seen) {
    return new SeenBlade(null, null, null, null, null, null, List.of(), null, seen, Map.of());
  }

  @Test
  void whatMayBeOneOfTwoIsBothWithTheirSharesAndNoBoundOfItsOwn() {
    Seen<String> either = new Seen<>("plastic", Sureness.LIKELY, Map.of("metal", 0.4));
    Evidence evidence = of(knife(List.of(), List.of(), Map.of("spacer", either)));
    Evidence.Observed o = evidence.observed().get(0);
    assertThat(o.either().stream().map(a -> a.clue().id()).toList())
        .containsExactly("plastic", "metal");
    assertThat(o.either().get(0).share()).isCloseTo(0.6, within(1e-12));
    assertThat(o.clue().label()).isEqualTo("Plastic or metal");
    assertThat(o.clue().isDated()).isFalse();
    assertThat(o.sureness()).isEqualTo(Sureness.LIKELY);
    assertThat(evidence.found()).doesNotContainKey("spacer");
  }

  @Test
  void facesNobodyLookedAtAreToldTheMainTangFirst() {
    double main = SHELF.judgement().of("mark.main-tang-tells");
    double other = SHELF.judgement().of("mark.other-face-tells");
    List<SeenBlade> three = List.of(blade(Map.of()), blade(Map.of()), blade(Map.of()));
    assertThat(of(knife(three, List.of(), Map.of())).facesLeft())
        .containsExactly(
            new Evidence.FaceLeft("the mark side of the main tang", main),
            new Evidence.FaceLeft("the pile side of the main tang", other),
            new Evidence.FaceLeft("the tang of blade 2", other),
            new Evidence.FaceLeft("the tang of blade 3", other));
    List<SeenFace> looked =
        new ArrayList<>(Arrays.asList(bare(1, Face.MARK), bare(3, Face.MARK), bare(2, Face.PILE)));
    assertThat(
            of(knife(three, looked, Map.of())).facesLeft().stream()
                .map(Evidence.FaceLeft::label)
                .collect(Collectors.toList()))
        .containsExactly("the pile side of the main tang", "the tang of blade 2");
  }

  private static SeenFace bare(int blade, Face face) {
    return new SeenFace(blade, face, FaceState.BARE, null, List.of());
  }

  @Test
  void aPatternThatIsKnownSpeaksWithItsEraAndOneThatIsHardlyKnownDoesNot() {
    Pattern jack = Patterns.of("jack", new Era(1880, 1890, 1930), Map.of("W", 0.9));
    ReferenceShelf shelf = Shelf.invented(Patterns.book(jack));
    Specimen bare = knife(List.of(), List.of(), Map.of());
    double known = shelf.judgement().of("pattern.known");
    assertThat(of(bare, shelf, known - 0.01).observed()).isEmpty();
    Evidence.Observed seen = of(bare, shelf, known + 0.1).observed().get(0);
    assertThat(seen.feature().id()).isEqualTo(Gathering.PATTERN);
    assertThat(seen.patterns()).containsExactly(new Evidence.Share(jack, known + 0.1));
    assertThat(seen.clue().notBefore().year()).isEqualTo(1880);
    assertThat(seen.clue().notBefore().ramp()).isEqualTo(10);
    assertThat(seen.clue().notAfter().year()).isEqualTo(1930);
    Pattern open = Patterns.of("jack", new Era(1880, 1890, null), Map.of());
    assertThat(of(bare, Shelf.invented(Patterns.book(open)), 1).observed().get(0).clue().notAfter())
        .isNull();
    Pattern anyTime = Patterns.of("jack", null, Map.of());
    assertThat(of(bare, Shelf.invented(Patterns.book(anyTime)), 1).observed()).isEmpty();
    Pattern anyTimeHere = Patterns.of("jack", null, Map.of("W", 0.9));
    assertThat(
            of(bare, Shelf.invented(Patterns.book(anyTimeHere)), 1)
                .observed()
                .get(0)
                .clue()
                .notBefore())
        .isNull();
  }
}
