package snikra.core.mark;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;
import snikra.core.mark.Consensus.Letter;
import snikra.core.mark.Consensus.Line;
import snikra.core.mark.Consensus.Reading;
import snikra.core.reference.ReferenceShelf;

/** One mark out of several strikes, each worn in its own way. */
class ConsensusTest {
  private static final ReferenceShelf SHELF = Shelf.invented();
  private static final Consensus CONSENSUS = new Consensus(SHELF);
  private static final Channel CHANNEL =
      new Channel(SHELF.lettering(), LetterRates.of(SHELF.judgement()));

  private static List<Line> of(List<List<String>> strikes) {
    return CONSENSUS.of(strikes);
  }

  private static List<String> texts(List<List<String>> strikes) {
    return of(strikes).stream().map(Line::text).toList();
  }

  @Test
  void threeWornStrikesGiveAMarkThatNoneOfThemGives() {
    List<List<String>> strikes =
        List.of(
            List.of("GR_M_L_VE", "& _TT", "H_LL_W"),
            List.of("_RIM_LO_E", "_ OT_"),
            List.of("G_I_BLO*", "& O_T", "HO__OW"));
    assertThat(texts(strikes)).containsExactly("GRIMBLOVE", "& OTT", "HOLLOW");
    Line second = of(strikes).get(1);
    assertThat(second.strikes()).containsExactly("& _TT", "_ OT_", "& O_T");
    assertThat(of(strikes).get(2).strikes()).containsExactly("H_LL_W", null, "HO__OW");
    assertThat(second.letters())
        .extracting(Letter::spaced)
        .containsExactly(false, true, false, false);
  }

  @Test
  void aLetterThatNoStrikeShowsStaysLostAndADisputedOneIsDoubted() {
    Line line = of(List.of(List.of("TH_ALE"), List.of("TH_ALE"))).get(0);
    assertThat(line.text()).isEqualTo("TH_ALE");
    assertThat(line.letters().get(2).isRead()).isFalse();
    Line disputed = of(List.of(List.of("THRALE"), List.of("THRACE"))).get(0);
    assertThat(disputed.letters().get(4).chance()).isLessThan(0.9);
    assertThat(disputed.letters().get(0).chance()).isGreaterThan(0.999);
  }

  @Test
  void whatMostStrikesReadOutvotesOneThatIsDoubted() {
    assertThat(texts(List.of(List.of("ZWICKEL"), List.of("ZWIC?KEL"), List.of("ZWIG?KEL"))))
        .containsExactly("ZWICKEL");
  }

  @Test
  void aStrangerWithMoreLinesGivesTheMarkNoneOfThem() {
    List<Line> lines =
        of(
            List.of(
                List.of("ZWICKEL & SONS", "OBBERLITH", "WARRANTED"),
                List.of("GRIM_LOVE", "& OTT"),
                List.of("_RIMBLOVE", "& O_T")));
    assertThat(lines).extracting(Line::text).containsExactly("GRIMBLOVE", "& OTT");
    assertThat(lines).noneMatch(l -> l.isOn(0)).allMatch(l -> l.isOn(1) && l.isOn(2));
  }

  @Test
  void ofNothingReadThereIsNoLine() {
    assertThat(of(List.of())).isEmpty();
    assertThat(of(List.of(List.of("*"), List.of("*")))).isEmpty();
  }

  @Test
  void theLineClimbedToIsTheLikeliestOfAllThereMayBe() {
    char[] letters = Channel.letters();
    Random random = new Random(1893);
    for (int trial = 0; trial < 12; trial++) {
      String struck = "" + letter(random) + letter(random) + letter(random);
      List<Reading> readings = new ArrayList<>();
      for (int k = 0; k < 3; k++) {
        readings.add(new Reading(CHANNEL, worn(struck, 0.3, random)));
      }
      double best = CONSENSUS.score(readings, new char[0]);
      for (char a : letters) {
        best = Math.max(best, CONSENSUS.score(readings, new char[] {a}));
        for (char b : letters) {
          best = Math.max(best, CONSENSUS.score(readings, new char[] {a, b}));
          for (char c : letters) {
            best = Math.max(best, CONSENSUS.score(readings, new char[] {a, b, c}));
          }
        }
      }
      double found = CONSENSUS.score(readings, CONSENSUS.likeliest(readings));
      assertThat(found).as(struck).isGreaterThanOrEqualTo(best - 1e-9);
    }
  }

  @Test
  void moreStrikesReadMoreLettersRightThanTheBestOfThem() {
    Random random = new Random(1871);
    int together = 0;
    int single = 0;
    int all = 0;
    for (int mark = 0; mark < 40; mark++) {
      StringBuilder struck = new StringBuilder();
      for (int i = 0; i < 9; i++) {
        struck.append(letter(random));
      }
      List<List<String>> strikes = new ArrayList<>();
      int best = 0;
      for (int k = 0; k < 3; k++) {
        String read = worn(struck.toString(), 0.4, random);
        strikes.add(List.of(read));
        best = Math.max(best, right(read.replace("?", ""), struck));
      }
      single += best;
      together += right(texts(strikes).get(0), struck);
      all += struck.length();
    }
    assertThat(together).isGreaterThan(single + all / 10);
    assertThat(together / (double) all).isGreaterThan(0.85);
  }

  private static int right(String read, CharSequence struck) {
    int right = 0;
    for (int i = 0; i < Math.min(read.length(), struck.length()); i++) {
      right += read.charAt(i) == struck.charAt(i) ? 1 : 0;
    }
    return right;
  }

  private static char letter(Random random) {
    return CHANNEL.anyLetter(random);
  }

  private static String worn(String struck, double lost, Random random) {
    StringBuilder read = new StringBuilder();
    for (int i = 0; i < struck.length(); i++) {
      read.append(random.nextDouble() < lost ? '_' : CHANNEL.readAs(struck.charAt(i), random));
    }
    return read.toString();
  }

  @Test
  void fromWhichChanceOnALetterIsReadIsANumberOfJudgement() {
    List<List<String>> strikes = List.of(List.of("THRALE"), List.of("THRACE"));
    ReferenceShelf strict = SHELF.judgedBy(SHELF.judgement().with("consensus.letter", 0.999999));
    assertThat(new Consensus(strict).of(strikes).get(0).text()).contains("_");
    ReferenceShelf easy = SHELF.judgedBy(SHELF.judgement().with("consensus.letter", 0.01));
    assertThat(new Consensus(easy).of(List.of(List.of("TH_ALE"))).get(0).text())
        .doesNotContain("_");
  }

  @Test
  void howMuchSpeaksForALineBeingOneOfTheMarkIsANumberOfJudgement() {
    List<List<String>> strikes = List.of(List.of("THRALE", "WINDOVER"), List.of("WINDER"));
    assertThat(of(strikes).stream().filter(l -> l.strikes().get(1) != null)).hasSize(1);
    ReferenceShelf strict = SHELF.judgedBy(SHELF.judgement().with("consensus.line", 1e-12));
    assertThat(new Consensus(strict).of(strikes))
        .allSatisfy(l -> assertThat(l.strikes().get(1)).isNull());
  }
}
