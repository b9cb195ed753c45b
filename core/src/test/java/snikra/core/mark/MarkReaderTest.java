package snikra.core.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Layout;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Technique;

class MarkReaderTest {
  private final MarkReader reader = new MarkReader(Shelf.invented());

  @Test
  void tenGoodLettersSettleTheMaker() {
    MarkEvidence evidence = reader.read(List.of(tang("THRALE", "WIND____")));

    assertThat(evidence.candidates().get(0).variant().id()).isEqualTo("thrale-old");
    // As sure as the listing is: no more than its sources are believed.
    assertThat(evidence.candidates().get(0).probability()).isBetween(0.985, 0.99);
    assertThat(evidence.candidates().get(0).agreeing()).isEqualTo(10);
  }

  @Test
  void twoGoodLettersDoNot() {
    MarkEvidence evidence = reader.read(List.of(tang("TH____")));
    assertThat(evidence.candidates().get(0).probability()).isLessThan(0.9);
    assertThat(evidence.unlisted()).isGreaterThan(0.1);
  }

  @Test
  void aLostLetterThatTwoMarksFillDifferentlyLeavesBoth() {
    MarkEvidence evidence = reader.read(List.of(tang("ZWICKEL", "& DA_")));

    // Two marks struck for 25 and 17 years are met that often.
    assertThat(evidence.candidates().get(0).probability() / 25.5)
        .isCloseTo(evidence.candidates().get(1).probability() / 18.5, within(0.003));
    assertThat(evidence.candidates().get(0).lines().get(1).get(4).fit())
        .isEqualTo(MarkLetter.Fit.SUPPLIED);
  }

  @Test
  void linesReadInTheWrongOrderAreStillThatMark() {
    MarkCandidate turned = reader.read(List.of(tang("WINDOVER", "THRALE"))).candidates().get(0);

    assertThat(turned.variant().id()).isEqualTo("thrale-old");
    assertThat(turned.probability()).isGreaterThan(0.9);
    assertThat(turned.agreeing()).isEqualTo(14);
    assertThat(reader.read(List.of(tang("THRALE", "WINDOVER"))).candidates().get(0).probability())
        .isGreaterThan(turned.probability());
  }

  @Test
  void aConfusableLetterCostsLessThanAnyOther() {
    double confused = likelihood("ZWIGKEL");
    double other = likelihood("ZWIMKEL");

    assertThat(confused).isGreaterThan(other);
    assertThat(likelihood("ZWICKEL")).isGreaterThan(confused);
  }

  @Test
  void aStretchOfUnknownLengthStandsForAnyNumberOfLetters() {
    assertThat(reader.read(List.of(tang("ZW*", "& DAX"))).candidates().get(0).variant().id())
        .isEqualTo("zwick-dax");
  }

  @Test
  void aWrongLetterIsShownAgainstTheMark() {
    MarkCandidate lead = reader.read(List.of(tang("THRAWE", "WINDOVER"))).candidates().get(0);

    assertThat(lead.lines().get(0).get(4)).isEqualTo(new MarkLetter("L", MarkLetter.Fit.AGAINST));
    assertThat(lead.agreeing()).isEqualTo(lead.letters() - 1);
  }

  @Test
  void accentsSpacesAndPointsAreNoEvidence() {
    assertThat(likelihood("Z.WICK ÉL")).isEqualTo(likelihood("ZWICKEL"));
  }

  @Test
  void aWornFaceSaysNothingAndABareOneSpeaksAgainstEveryMark() {
    assertThat(reader.read(List.of(face(FaceState.WORN))).anySeen()).isFalse();
    MarkEvidence bare = reader.read(List.of(face(FaceState.BARE)));
    assertThat(bare.logLikelihood()[0]).isLessThan(bare.logUnlisted());
  }

  @Test
  void spellingsOfTheTradeAreOneAndTheSame() {
    assertThat(reader.read(List.of(tang("ZWICKEL", "UND DAX"))).logLikelihood()[1])
        .isGreaterThan(reader.read(List.of(tang("ZWICKEL", "ONT DAX"))).logLikelihood()[1] + 8);
    assertThat(Glyph.umlautsApart("M\u00dcHLE")).isEqualTo("MUEHLE");
    assertThat(Glyph.letters("\u0152il")).isEqualTo(new char[] {'O', 'E', 'I', 'L'});
  }

  @Test
  void whatDecidesBetweenTwoMarksIsNamedAndWhatWould() {
    MarkRival read = reader.read(List.of(tang("ZWICKEL", "& DAX"))).rival();
    assertThat(read.decides()).containsExactly("Line 2, from letter 4: X, not L.");
    assertThat(read.wouldTell()).isEmpty();

    MarkRival worn = reader.read(List.of(tang("ZWICKEL", "& DA_"))).rival();
    assertThat(worn.decides()).isEmpty();
    assertThat(worn.wouldTell()).hasSize(1);
    assertThat(worn.mark()).startsWith("zwick-da");
  }

  @Test
  void theRunOfALineSpeaksForTheMarkThatRunsSo() {
    MarkReader shelf = new MarkReader(Shelf.invented().withMakers(List.of(archedAndStraight())));
    assertThat(layouts(shelf, Layout.ARCHED)).first().isEqualTo("a");
    assertThat(layouts(shelf, Layout.STRAIGHT)).first().isEqualTo("s");
    SeenFace etched = new SeenFace(1, Face.BLADE, FaceState.READ, null, List.of("ORBEL"));
    MarkEvidence evidence = shelf.read(List.of(tang("THRALE"), etched));
    assertThat(evidence.candidates().get(0).variant().id()).isEqualTo("a");
    assertThat(evidence.rival().decides())
        .contains("The flat of the main blade: ORBEL, not nothing.");
    assertThat(evidence.rival().wouldTell()).contains("Its first line: arched, not straight.");
  }

  private static Maker archedAndStraight() {
    MarkVariant straight = Shelf.mark("s", 1890, 1912, "THRALE");
    List<String> line = List.of("THRALE");
    MarkVariant arched =
        new MarkVariant(
            "a",
            line,
            List.of(),
            List.of("ORBEL"),
            Layout.ARCHED,
            Technique.STRUCK,
            false,
            1890,
            1912,
            1,
            "",
            "",
            0.99,
            Map.of());
    return Shelf.maker("thrale", List.of(), straight, arched);
  }

  private static List<String> layouts(MarkReader reader, Layout layout) {
    SeenFace face =
        new SeenFace(
            1, Face.MARK, FaceState.READ, Technique.STRUCK, layout, List.of("THRALE"), null);
    return reader.read(List.of(face)).candidates().stream().map(c -> c.variant().id()).toList();
  }

  private static MarkVariant variant(
      String id,
      List<String> lines,
      List<String> pile,
      Technique technique,
      boolean everyBlade,
      Map<String, String> cut) {
    return new MarkVariant(
        id,
        lines,
        pile,
        List.of(),
        Layout.STRAIGHT,
        technique,
        everyBlade,
        1890,
        1912,
        1,
        "",
        "",
        0.99,
        cut);
  }

  private static MarkRival rival(MarkVariant one, MarkVariant other, SeenFace... faces) {
    return rival(Map.of(), one, other, faces);
  }

  private static MarkRival rival(
      Map<String, Seen<String>> seen, MarkVariant one, MarkVariant other, SeenFace... faces) {
    Maker maker = Shelf.maker("orbel", List.of(), one, other);
    return new MarkReader(Shelf.invented().withMakers(List.of(maker)))
        .read(List.of(faces), seen)
        .rival();
  }

  private static MarkVariant lines(String id, String... lines) {
    return variant(id, List.of(lines), List.of(), Technique.STRUCK, false, Map.of());
  }

  @Test
  void twoLinesArePartedWhereTheyBeginToDifferAndWhereTheyCeaseTo() {
    assertThat(
            rival(lines("a", "ORBEL & SON"), lines("b", "ORBEL & CO SON"), tang("ORBEL & SON"))
                .wouldTell())
        .containsExactly("Line 1, from letter 7: nothing, not CO.");
    assertThat(
            rival(lines("a", "ORBEL & CO SON"), lines("b", "ORBEL & SON"), tang("ORBEL & CO SON"))
                .decides())
        .containsExactly("Line 1, from letter 7: CO, not nothing.");
    assertThat(rival(lines("a", "NORBEL"), lines("b", "MORBEL"), tang("NORBEL")).decides())
        .containsExactly("Line 1: N, not M.");
    assertThat(rival(lines("a", "ORBEL"), lines("b", "OR BEL"), tang("ORBEL")).decides()).isEmpty();
  }

  @Test
  void aLineMoreDecidesOnceItWasRead() {
    MarkVariant three = lines("a", "ORBEL", "& SON", "WINDOVER");
    MarkVariant one = lines("b", "ORBEL");
    assertThat(rival(three, one, tang("ORBEL", "& SON")).decides())
        .containsExactly("Below line 1: & SON WINDOVER, not nothing.");
    assertThat(rival(one, three, tang("ORBEL")).wouldTell())
        .containsExactly("Below line 1: nothing, not & SON WINDOVER.");
  }

  @Test
  void whatStandsElsewhereAndHowItWasPutOnTellsTwoMarksApart() {
    MarkVariant piled =
        variant("a", List.of("ORBEL"), List.of("BEST"), Technique.STRUCK, true, Map.of());
    MarkVariant bare = variant("b", List.of("ORBEL"), List.of(), Technique.ETCHED, false, Map.of());
    MarkRival open =
        rival(piled, bare, new SeenFace(1, Face.MARK, FaceState.READ, null, List.of("ORBEL")));
    assertThat(open.decides()).isEmpty();
    assertThat(open.wouldTell())
        .containsExactlyInAnyOrder(
            open.mark().equals("b")
                ? "The pile side of the main tang: BEST, not nothing."
                : "The pile side of the main tang: nothing, not BEST.",
            open.mark().equals("b") ? "Put on: struck, not etched." : "Put on: etched, not struck.",
            open.mark().equals("b")
                ? "The small blades: marked, not bare."
                : "The small blades: bare, not marked.");
    SeenFace bareSmall = new SeenFace(2, Face.MARK, FaceState.BARE, null, List.of());
    SeenFace wornSmall = new SeenFace(2, Face.MARK, FaceState.WORN, null, List.of());
    SeenFace etched =
        new SeenFace(1, Face.MARK, FaceState.READ, Technique.ETCHED, List.of("ORBEL"));
    SeenFace pile = new SeenFace(1, Face.PILE, FaceState.BARE, null, List.of());
    MarkRival settled = rival(piled, bare, etched, bareSmall, pile);
    assertThat(settled.mark()).isEqualTo("a");
    assertThat(settled.wouldTell()).isEmpty();
    assertThat(settled.decides())
        .containsExactlyInAnyOrder(
            "The pile side of the main tang: nothing, not BEST.",
            "Put on: etched, not struck.",
            "The small blades: bare, not marked.");
    assertThat(rival(piled, bare, etched, wornSmall).wouldTell())
        .contains("The small blades: bare, not marked.");
  }

  @Test
  void theCutOfLettersTellsTwoDiesApartOnceItWasSeen() {
    MarkVariant serif =
        variant("a", List.of("ORBEL"), List.of(), Technique.STRUCK, false, Map.of("build", "west"));
    MarkVariant plain =
        variant("b", List.of("ORBEL"), List.of(), Technique.STRUCK, false, Map.of("build", "east"));
    Map<String, Seen<String>> seen = Map.of("build", Seen.sure("west"));
    MarkRival told = rival(seen, serif, plain, tang("ORBEL"));
    assertThat(told.mark()).isEqualTo("b");
    assertThat(told.decides()).containsExactly("Build: west, not east.");
    assertThat(rival(serif, plain, tang("ORBEL")).wouldTell()).hasSize(1);
    MarkVariant untold = lines("c", "ORBEL");
    assertThat(rival(seen, serif, untold, tang("ORBEL")).decides()).isEmpty();
    assertThat(rival(seen, serif, serif, tang("ORBEL")).decides()).isEmpty();
  }

  @Test
  void ofManyMarksTheFourLikeliestAreShownAndOfEqualsTheFirst() {
    MarkVariant[] same = new MarkVariant[6];
    for (int i = 0; i < same.length; i++) {
      same[i] = lines("m" + i, i == 4 ? "ORBEL" : "ORBEX");
    }
    MarkReader many =
        new MarkReader(Shelf.invented().withMakers(List.of(Shelf.maker("orbel", List.of(), same))));
    assertThat(many.read(List.of(tang("ORBEL"))).candidates())
        .extracting(c -> c.variant().id())
        .containsExactly("m4", "m0", "m1", "m2");
  }

  @Test
  void wearTakesLettersAndLeavesTheRestAsTheyAreRead() {
    Wear wear = new Wear(Shelf.invented());
    Random random = new Random(3);
    int lost = 0;
    int right = 0;
    int confused = 0;
    for (int i = 0; i < 2000; i++) {
      String read = wear.read(List.of("COCOCOCOCO"), 0.4, random).get(0);
      assertThat(read).hasSize(10);
      for (int c = 0; c < 10; c++) {
        lost += read.charAt(c) == '_' ? 1 : 0;
        right += read.charAt(c) == "COCOCOCOCO".charAt(c) ? 1 : 0;
        confused += "GQ0".indexOf(read.charAt(c)) >= 0 ? 1 : 0;
      }
    }
    assertThat(lost / 20_000.0).isCloseTo(0.4, within(0.015));
    assertThat(right / 20_000.0).isCloseTo(0.6 * 0.97, within(0.015));
    assertThat(confused / 20_000.0).isCloseTo(0.6 * 0.0245, within(0.004));
    int often = 0;
    int all = 0;
    for (int i = 0; i < 2000; i++) {
      String line = wear.anyLine(random);
      assertThat(line.length()).isBetween(5, 10);
      assertThat(line).matches("[A-Z&0-9]+");
      often += (int) line.chars().filter(c -> c == 'E').count();
      all += line.length();
    }
    // By the letters as they are met: 110 in 1615 on this shelf.
    assertThat(often / (double) all).isCloseTo(110.0 / 1615, within(0.008));
  }

  @Property
  void probabilitiesSumToOne(@ForAll @AlphaChars @StringLength(min = 1, max = 12) String line) {
    MarkEvidence evidence = reader.read(List.of(tang(line)));
    double listed = evidence.candidates().stream().mapToDouble(MarkCandidate::probability).sum();

    assertThat(listed + evidence.unlisted()).isCloseTo(1, within(1e-9));
  }

  @Property
  void wearNeverRaisesTheLikelihoodOfARightReading(@ForAll @IntRange(max = 6) int lost) {
    String whole = "ZWICKEL";
    String worn = whole.substring(0, lost) + "_" + whole.substring(lost + 1);
    MarkEvidence sharp = reader.read(List.of(tang(whole)));
    MarkEvidence dull = reader.read(List.of(tang(worn)));

    assertThat(sharp.logLikelihood()[1] - sharp.logUnlisted())
        .isGreaterThan(dull.logLikelihood()[1] - dull.logUnlisted());
  }

  private double likelihood(String line) {
    return reader.read(List.of(tang(line))).logLikelihood()[1];
  }

  private static SeenFace tang(String... lines) {
    return new SeenFace(1, Face.MARK, FaceState.READ, Technique.STRUCK, List.of(lines));
  }

  private static SeenFace face(FaceState state) {
    return new SeenFace(1, Face.MARK, state, null, List.of());
  }
}
