package snikra.core.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
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
