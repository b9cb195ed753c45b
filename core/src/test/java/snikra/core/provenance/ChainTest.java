package snikra.core.provenance;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.provenance.Chain.Blank;
import snikra.core.provenance.Chain.Stretch;
import snikra.core.provenance.Chain.Tenure;
import snikra.core.provenance.StoryEvent.Kind;
import snikra.core.provenance.StoryEvent.Source;

class ChainTest {
  private static final int NOW = 2026;
  private static final List<Kind> KINDS =
      List.of(Kind.HELD, Kind.BOUGHT, Kind.GIVEN, Kind.INHERITED, Kind.FOUND);
  private static final Stretch MADE = new Stretch(1900, 1910);

  private static StoryEvent event(Kind kind, @Nullable String date, @Nullable String holder) {
    return event(kind, date, holder, Source.FAMILY);
  }

  private static StoryEvent event(
      Kind kind, @Nullable String date, @Nullable String holder, Source source) {
    EdtfDate when = date == null ? null : EdtfDate.parse(date);
    return new StoryEvent(kind, when, holder, null, source, null, null, null);
  }

  private static Chain chain(StoryEvent... story) {
    return Chain.of(List.of(story), MADE, NOW, 10);
  }

  @Test
  void aYearIsSureAndAboutAYearIsNot() {
    Tenure plain = chain(event(Kind.HELD, "1917", "Ada")).tenures().get(0);
    assertThat(plain.surely()).isEqualTo(new Stretch(1917, 1917));
    Tenure about = chain(event(Kind.HELD, "1917~", "Ada")).tenures().get(0);
    assertThat(about.surely()).isNull();
    assertThat(List.of(about.from(), about.to())).containsExactly(1912, 1922);
  }

  @Test
  void aStretchOfYearsIsHeldThroughoutAndAChoiceOfYearsIsNot() {
    assertThat(chain(event(Kind.HELD, "1917/1919", "Ada")).tenures().get(0).surely())
        .isEqualTo(new Stretch(1917, 1919));
    assertThat(chain(event(Kind.HELD, "{1917..1919}", "Ada")).tenures().get(0).surely())
        .isEqualTo(new Stretch(1917, 1919));
    assertThat(chain(event(Kind.HELD, "[1917,1919]", "Ada")).tenures().get(0).surely()).isNull();
  }

  @Test
  void twoWordsOfOneHolderAreOneHoldingAndAllBetweenIsSure() {
    Chain chain = chain(event(Kind.BOUGHT, "191X", "Ada"), event(Kind.HELD, "1936", " ada "));
    assertThat(chain.tenures()).hasSize(1);
    assertThat(chain.tenures().get(0).surely()).isEqualTo(new Stretch(1919, 1936));
    assertThat(chain.tenures().get(0).events()).containsExactly(0, 1);
  }

  @Test
  void handsWithoutANameAreEachAnother() {
    assertThat(chain(event(Kind.HELD, "1917", null), event(Kind.HELD, "1920", null)).tenures())
        .hasSize(2);
  }

  @Test
  void byAYearReachesBackToTheMakingOrIsThatYearAlone() {
    StoryEvent by = event(Kind.HELD, "../1936", "Ada");
    Tenure known = chain(by).tenures().get(0);
    assertThat(List.of(known.from(), known.to())).containsExactly(1900, 1936);
    Tenure unknown = Chain.of(List.of(by), null, NOW, 10).tenures().get(0);
    assertThat(List.of(unknown.from(), unknown.to())).containsExactly(1936, 1936);
  }

  @Test
  void whatIsGivenOrInheritedComesFromTheOneBefore() {
    Chain inherited = chain(event(Kind.HELD, "1917", "Ada"), event(Kind.INHERITED, "1960", "Bo"));
    assertThat(inherited.tenures().get(0).to()).isEqualTo(1960);
    assertThat(inherited.gaps()).isEmpty();
    Chain bought = chain(event(Kind.HELD, "1917", "Ada"), event(Kind.BOUGHT, "1960", "Bo"));
    assertThat(bought.tenures().get(0).to()).isEqualTo(1917);
    assertThat(bought.gaps()).containsExactly(new Blank(1917, 1960, false));
  }

  @Test
  void aGapBeginsAtTheMakingAndIsOneFromItsLengthOn() {
    assertThat(chain(event(Kind.HELD, "1920", "Ada")).gaps())
        .containsExactly(new Blank(1910, 1920, true));
    assertThat(chain(event(Kind.HELD, "1919", "Ada")).gaps()).isEmpty();
    assertThat(chain().gaps()).isEmpty();
  }

  @Test
  void aKnifeThatMayBeYoungerThanItsStoryStillHasAGapInIt() {
    Chain chain =
        Chain.of(
            List.of(event(Kind.HELD, "1917", "Ada"), event(Kind.BOUGHT, "1960", "Bo")),
            new Stretch(1900, NOW),
            NOW,
            10);
    assertThat(chain.gaps()).containsExactly(new Blank(1917, 1960, false));
  }

  @Test
  void whatCameIntoTheCollectionIsInItUntilToday() {
    Tenure ours = chain(event(Kind.BOUGHT, "1990", null, Source.OWN_RECORD)).tenures().get(0);
    assertThat(ours.own()).isTrue();
    assertThat(ours.surely()).isEqualTo(new Stretch(1990, NOW));
    Chain sold =
        chain(
            event(Kind.BOUGHT, "1990", null, Source.OWN_RECORD),
            event(Kind.BOUGHT, "1999", "Bo", Source.DOCUMENT));
    assertThat(sold.tenures().get(0).surely()).isEqualTo(new Stretch(1990, 1990));
  }

  @Test
  void twoWhoSurelyHadItAtOnceAreNamedButNotTheYearItChangedHands() {
    StoryEvent ada = event(Kind.HELD, "1910/1925", "Ada");
    assertThat(chain(ada, event(Kind.HELD, "1920/1930", "Bo")).atOnce())
        .singleElement()
        .satisfies(b -> assertThat(b.years()).isEqualTo(new Stretch(1920, 1925)));
    assertThat(chain(ada, event(Kind.BOUGHT, "1925", "Bo")).atOnce()).isEmpty();
    assertThat(chain(ada, event(Kind.HELD, "[1920,1930]", "Bo")).atOnce()).isEmpty();
  }

  @Test
  void whatTellsOfNobodyIsNoHolding() {
    assertThat(
            chain(
                    event(Kind.ADVERTISED, "1912", null),
                    event(Kind.DATED, "1912", null),
                    event(Kind.ENGRAVED, "1912", null),
                    event(Kind.HELD, null, "Ada"))
                .tenures())
        .isEmpty();
    assertThat(chain(event(Kind.ENGRAVED, "1912", "Ada")).tenures()).hasSize(1);
  }

  @Property(tries = 300)
  void theOrderInWhichItIsPutDownDoesNotMatter(
      @ForAll @Size(max = 6) List<@IntRange(min = 1905, max = 2020) Integer> years,
      @ForAll Random random) {
    List<StoryEvent> story = new ArrayList<>();
    for (int i = 0; i < years.size(); i++) {
      story.add(event(KINDS.get(i % KINDS.size()), "" + (years.get(i) + i), "Holder " + i % 3));
    }
    List<StoryEvent> shuffled = new ArrayList<>(story);
    Collections.shuffle(shuffled, random);
    List<Integer> distinct = story.stream().map(e -> e.date().earliestYear()).distinct().toList();
    if (distinct.size() == story.size()) {
      assertThat(bars(Chain.of(shuffled, MADE, NOW, 10)))
          .isEqualTo(bars(Chain.of(story, MADE, NOW, 10)));
    }
  }

  @Property(tries = 300)
  void whatIsSureIsPossibleAndNoGapLiesInAHolding(
      @ForAll @Size(max = 6) List<@IntRange(min = 1850, max = 2020) Integer> years) {
    List<StoryEvent> story = new ArrayList<>();
    for (int i = 0; i < years.size(); i++) {
      String date = i % 2 == 0 ? years.get(i) + "~" : years.get(i) + "/" + (years.get(i) + i);
      story.add(event(KINDS.get(i % KINDS.size()), date, "Holder " + i % 3));
    }
    Chain chain = Chain.of(story, MADE, NOW, 10);
    for (Tenure h : chain.tenures()) {
      assertThat(h.from()).isLessThanOrEqualTo(h.to());
      if (h.surely() != null) {
        assertThat(h.surely().from()).isBetween(h.from(), h.to());
        assertThat(h.surely().to()).isBetween(h.surely().from(), h.to());
      }
      for (Blank gap : chain.gaps()) {
        assertThat(gap.from() >= h.to() || gap.to() <= h.from()).isTrue();
      }
    }
  }

  private static List<String> bars(Chain chain) {
    List<String> out = new ArrayList<>();
    chain.tenures().forEach(h -> out.add(h.holder() + h.from() + h.to() + h.surely()));
    chain.gaps().forEach(g -> out.add(g.toString()));
    return out;
  }
}
