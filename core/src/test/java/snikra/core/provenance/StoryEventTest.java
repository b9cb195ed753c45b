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
  void ofAFindOnlyTheCountyOrCountryIsToldToStrangers() {
    assertThat(at(Kind.FOUND, "Mill field, by the weir, Overwater").vaguePlace())
        .isEqualTo("Overwater");
    assertThat(at(Kind.FOUND, "Mill field").vaguePlace()).isNull();
    assertThat(at(Kind.FOUND, "Mill field,").vaguePlace()).isNull();
    assertThat(at(Kind.FOUND, null).vaguePlace()).isNull();
    assertThat(at(Kind.BOUGHT, "Fair, Lower Quay").vaguePlace()).isEqualTo("Fair, Lower Quay");

    StoryEvent found = at(Kind.FOUND, "Mill field, Overwater").keptVague();
    assertThat(found.place()).isEqualTo("Overwater");
    assertThat(found.note()).isNull();
    assertThat(found.holder()).isEqualTo("Orla Venn");
    StoryEvent bought = at(Kind.BOUGHT, "Fair, Lower Quay");
    assertThat(bought.keptVague()).isEqualTo(bought);
    assertThat(papered(Kind.FOUND).keptVague().document()).as("its paper tells the field").isNull();
    assertThat(papered(Kind.BOUGHT).keptVague().document()).isEqualTo("p-1");
  }

  private static StoryEvent papered(Kind kind) {
    return new StoryEvent(
        kind,
        null,
        null,
        null,
        Source.DOCUMENT,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        null,
        "p-1");
  }

  private static StoryEvent at(Kind kind, String place) {
    return new StoryEvent(
        kind, null, "Orla Venn", place, Source.FAMILY, null, null, "by the third oak");
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
            shows,
            null,
            null);
    shows.clear();
    assertThat(event.shows()).containsExactly(Map.entry("bail", "wire"));
    assertThat(priced("1").shows()).isNull();
  }
}
