package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import snikra.core.dating.State;
import snikra.core.examination.Examiner;
import snikra.core.examination.StoryReading;
import snikra.core.examination.StoryReading.Reconciling;
import snikra.core.examination.StoryReading.StoryLink;
import snikra.core.examination.Verdict.Finding;

class StoryReadingTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);
  private static final String OLD_MARK =
      "\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"VELDRAKE\",\"TARNMOOR FALLS\"]}]";
  private static final String ACETAL = "\"seen\":{\"handle_material\":\"acetal\"}";
  private static final String CARRIED =
      "{\"kind\":\"held\",\"date\":\"1917\",\"holder\":\"Grandfather\",\"source\":\"family\"}";

  private static StoryReading read(String json) {
    return EXAMINER.story(SpecimenFormat.read(json, EXAMINER.shelf()));
  }

  private static String story(String... events) {
    return "\"story\":[" + String.join(",", events) + "]";
  }

  @Test
  void carriedIn1917WithAHandleOfTheSixtiesIsDoubtedAndToldWhy() {
    StoryLink link = read("{" + ACETAL + "," + story(CARRIED) + "}").links().get(0);
    assertThat(link.doubted()).isTrue();
    assertThat(link.chance()).isLessThan(0.5 * link.alone());
    assertThat(link.alone()).isEqualTo(0.7);
    assertThat(link.text()).contains("speaks against it").contains("70% by its source alone");
    assertThat(link.ways().get(0).kind()).isEqualTo(State.Kind.UNTRUE);
    assertThat(link.ways())
        .anySatisfy(
            w -> {
              assertThat(w.kind()).isEqualTo(State.Kind.PART_REPLACED);
              assertThat(w.part()).isEqualTo("handle");
              assertThat(w.text()).contains("handle replaced");
              assertThat(w.chance()).isGreaterThan(0.5);
            });
  }

  @Test
  void underAnOldMarkTheHandleIsDoubtedAndTheStoryHolds() {
    StoryLink link =
        read("{" + OLD_MARK + "," + ACETAL + "," + story(CARRIED) + "}").links().get(0);
    assertThat(link.doubted()).isFalse();
    assertThat(link.chance()).isGreaterThan(0.5);
    assertThat(link.ways()).isEmpty();
  }

  @Test
  void whatTheKnifeCannotSpeakOfIsAsGoodAsItsSource() {
    StoryReading reading =
        read("{" + ACETAL + "," + story("{\"kind\":\"found\",\"source\":\"hearsay\"}") + "}");
    StoryLink link = reading.links().get(0);
    assertThat(link.chance()).isEqualTo(0.4).isEqualTo(link.alone());
    assertThat(link.text()).contains("nothing in it that the knife could speak of".substring(1));
    assertThat(link.from()).isNull();
    assertThat(link.when()).isNull();
    assertThat(read("{" + story(CARRIED.replace("1917", "1917~")) + "}").links().get(0).when())
        .isEqualTo("about 1917");
  }

  @Test
  void whatOneTellsStandsOrFallsTogether() {
    StoryReading reading =
        read(
            "{"
                + story(
                    CARRIED,
                    "{\"kind\":\"held\",\"date\":\"1925\",\"source\":\"family\"}",
                    "{\"kind\":\"held\",\"date\":\"1930\",\"source\":\"document\"}")
                + "}");
    assertThat(reading.links().get(0).with()).containsExactly(1);
    assertThat(reading.links().get(1).with()).containsExactly(0);
    assertThat(reading.links().get(2).with()).isEmpty();
    assertThat(reading.links().get(0).chance()).isEqualTo(reading.links().get(1).chance());
  }

  @Test
  void theYearsOfTheKnifeAreThoseWithoutTheStory() {
    StoryReading told = read("{" + ACETAL + "," + story(CARRIED) + "}");
    StoryReading untold = read("{" + ACETAL + "}");
    assertThat(told.made()).isEqualTo(untold.made());
    assertThat(told.from()).isEqualTo(1910);
    assertThat(told.to()).isEqualTo(2026);
    assertThat(untold.links()).isEmpty();
    assertThat(read("{}").made()).isNull();
  }

  @Test
  void gapsAndTwoHoldersAreAskedAbout() {
    StoryReading reading =
        read(
            "{"
                + OLD_MARK
                + ","
                + story(
                    "{\"kind\":\"held\",\"date\":\"1940/1960\",\"holder\":\"Ada\",\"source\":\"document\"}",
                    "{\"kind\":\"held\",\"date\":\"1950/1970\",\"holder\":\"Bo\",\"source\":\"document\"}",
                    "{\"kind\":\"bought\",\"date\":\"2001\",\"source\":\"own-record\"}")
                + "}");
    assertThat(reading.questions())
        .extracting(Finding::text)
        .containsExactly(
            "Ada and Bo both had it from 1950 to 1960: is one of the dates wrong, or was it another"
                + " knife?");
    assertThat(reading.holders()).containsExactly("Ada", "Bo", "This collection");
    assertThat(reading.toldGaps()).hasSize(2);
    assertThat(reading.toldGaps().get(1))
        .isEqualTo("1970 to 2001: nothing is known of where it was.");
  }

  private static StoryReading cut(String letters, String when) {
    return read(
        "{"
            + story(
                "{\"kind\":\"held\",\"date\":\"1912/1922\",\"holder\":\"John Bartle Rook\",\"source\":\"family\"}",
                "{\"kind\":\"held\",\"date\":\"1930/1950\",\"holder\":\"Ada Venn\",\"source\":\"family\"}",
                "{\"kind\":\"engraved\",\"letters\":\"%s\",\"date\":\"%s\",\"source\":\"family\"}"
                    .formatted(letters, when))
            + "}");
  }

  @Test
  void lettersThatWereCutAreHeldAgainstThoseWhoHadIt() {
    StoryReading fits = cut("J.B.R.", "1915");
    assertThat(fits.links())
        .extracting(StoryLink::letters)
        .containsExactly(null, null, "J.B.R. goes with John Bartle Rook.");
    assertThat(fits.questions()).isEmpty();

    assertThat(cut("K.L.", "1915").questions())
        .extracting(Finding::text)
        .containsExactly(
            "K.L. is cut into it, and that goes with nobody told of (John Bartle Rook, Ada Venn): is"
                + " a holder missing?");
    assertThat(cut("J.B.R.", "1940").questions())
        .extracting(Finding::text)
        .containsExactly(
            "J.B.R. goes with John Bartle Rook, who did not have it when it was cut (1940): is a"
                + " date wrong?");
  }

  @Test
  void wordsThatNameNobodyAreNotAskedAbout() {
    StoryReading words = cut("From the mill club", "1915");
    assertThat(words.questions()).isEmpty();
    assertThat(words.links().get(2).letters()).isNull();
  }

  @Test
  void whatMovesTheOddsByLittleIsNotSaidToSpeak() {
    String found = CARRIED.replace("1917", "2025").replace("family", "own-record");
    assertThat(read("{" + ACETAL + "," + story(found) + "}").links().get(0).text())
        .isEqualTo("The knife hardly speaks of it: 98% that it is so, as good as its source.");
  }

  @Test
  void theWaysBothCanBeAddUpToAll() {
    StoryLink link = read("{" + ACETAL + "," + story(CARRIED) + "}").links().get(0);
    double listed = link.ways().stream().skip(1).mapToDouble(Reconciling::chance).sum();
    assertThat(listed).isCloseTo(1, within(0.02));
    assertThat(link.ways().get(0).chance() + link.chance()).isEqualTo(1);
  }
}
