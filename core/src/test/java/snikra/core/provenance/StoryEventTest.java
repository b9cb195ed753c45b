package snikra.core.provenance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import snikra.core.provenance.StoryEvent.Kind;
import snikra.core.provenance.StoryEvent.Source;

class StoryEventTest {
  @Test
  void itWasHeldWhereSomebodyHadItAndHandedOnWhereItChangedHands() {
    Set<Kind> handedOn = EnumSet.of(Kind.BOUGHT, Kind.GIVEN, Kind.INHERITED);
    for (Kind kind : Kind.values()) {
      assertThat(kind.isHandedOn()).as("%s", kind).isEqualTo(handedOn.contains(kind));
      assertThat(kind.isHeld())
          .as("%s", kind)
          .isEqualTo(kind == Kind.HELD || handedOn.contains(kind));
    }
  }

  @Test
  void talkIsPassedOnAndPapersAreNot() {
    Set<Source> talk = EnumSet.of(Source.FAMILY, Source.DEALER, Source.HEARSAY, Source.FORUM);
    for (Source source : Source.values()) {
      assertThat(source.isPassedOn()).as("%s", source).isEqualTo(talk.contains(source));
    }
    assertThat(Source.OWN_RECORD).hasToString("own-record");
    assertThat(Kind.DATED).hasToString("dated");
  }

  @Test
  void aPriceMayBeNothingButNotLess() {
    assertThat(priced("0").price()).isZero();
    assertThat(priced("0.01").price()).isEqualByComparingTo("0.01");
    assertThatThrownBy(() -> priced("-0.01")).hasMessageContaining("-0.01");
  }

  private static StoryEvent priced(String price) {
    return new StoryEvent(
        Kind.BOUGHT, null, null, null, Source.DOCUMENT, new BigDecimal(price), "USD", null);
  }

  @Test
  void whatItShowedIsKeptAsItWas() {
    Map<String, String> shows = new HashMap<>(Map.of("bail", "wire"));
    StoryEvent event =
        new StoryEvent(
            Kind.ADVERTISED,
            null,
            null,
            null,
            Source.ADVERTISEMENT,
            null,
            null,
            null,
            null,
            null,
            null,
            shows);
    shows.clear();
    assertThat(event.shows()).containsExactly(Map.entry("bail", "wire"));
    assertThat(priced("1").shows()).isNull();
  }
}
