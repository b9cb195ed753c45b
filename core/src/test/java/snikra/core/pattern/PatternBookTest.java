package snikra.core.pattern;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.measure.Length;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Side;
import snikra.core.specimen.Specimen;

class PatternBookTest {
  private static final PatternBook BOOK = Patterns.invented();

  private static PatternBook with(
      List<Frame> frames,
      List<BladeType> blades,
      List<BolsterLayout> bolsters,
      List<Pull> pulls,
      Map<String, Pattern.Asked> dividers,
      List<SpringLayout> layouts,
      List<Pattern> patterns) {
    return new PatternBook(
        frames,
        blades,
        BOOK.room(),
        BOOK.shields(),
        bolsters,
        pulls,
        dividers,
        layouts,
        BOOK.modifiers(),
        patterns);
  }

  private static <T> List<T> less(List<T> all, int which) {
    List<T> rest = new ArrayList<>(all);
    rest.remove(which);
    return rest;
  }

  @ParameterizedTest
  @CsvSource({
    "frame, frame of jack must be in the book; found round",
    "blade, blade of jack must be in the book; found clip",
    "bolsters, bolsters of jack must be in the book; found both",
    "pull, pull of jack must be in the book; found nick",
    "dividers, dividers of jack must be in the book; found either",
    "pattern, pattern of two-long must be in the book; found pen-knife",
    "look-alike, look-alike of jack must be in the book; found pen-knife"
  })
  void whatAPatternNamesMustBeInTheBook(String what, String told) {
    assertThatThrownBy(
            () ->
                with(
                    what.equals("frame") ? less(BOOK.frames(), 0) : BOOK.frames(),
                    what.equals("blade") ? less(BOOK.blades(), 0) : BOOK.blades(),
                    what.equals("bolsters") ? less(BOOK.bolsters(), 0) : BOOK.bolsters(),
                    what.equals("pull") ? less(BOOK.pulls(), 0) : BOOK.pulls(),
                    what.equals("dividers") ? Map.of() : BOOK.dividers(),
                    what.equals("look-alike") ? List.of() : BOOK.springLayouts(),
                    what.equals("pattern") || what.equals("look-alike")
                        ? less(BOOK.patterns(), 1)
                        : BOOK.patterns()))
        .hasMessage(told);
  }

  @Test
  void wordsFitIntoASentenceAndWhatIsNotInTheBookKeepsItsId() {
    assertThat(BOOK.frameWords("round")).isEqualTo("round frame");
    assertThat(BOOK.frameWords("square")).isEqualTo("square frame");
    assertThat(BOOK.bladeWords("clip")).isEqualTo("clip");
    assertThat(BOOK.bolsterWords("front")).isEqualTo("front bolsters");
    assertThat(BOOK.bolsterWords("odd")).isEqualTo("odd");
    assertThat(PatternBook.empty().patterns()).isEmpty();
    assertThat(BOOK.mechanisms()).hasSize(1);
    assertThat(SlotAssignment.article("opener")).isEqualTo("an opener");
    assertThat(SlotAssignment.article("awl")).isEqualTo("an awl");
    assertThat(SlotAssignment.article("clip")).isEqualTo("a clip");
  }

  private static Specimen knife(
      @Nullable Integer springs, @Nullable String closed, SeenBlade... blades) {
    return new Specimen(
        null,
        null,
        null,
        null,
        closed == null ? null : Length.parse(closed),
        springs == null ? null : Seen.sure(springs),
        List.of(blades),
        List.of(),
        null,
        Map.of(),
        Map.of(),
        List.of(),
        List.of());
  }

  private static SeenBlade at(@Nullable End end, @Nullable String length) {
    return new SeenBlade(
        null,
        end == null ? null : Seen.sure(end),
        null,
        null,
        null,
        length == null ? null : Length.parse(length),
        List.of(),
        null,
        Map.of());
  }

  private static boolean isOf(SpringLayout.Blades blades, Specimen knife) {
    return new SpringLayout("l", "L", blades, List.of(), "", "").isOf(knife, Set.of(), 0.6);
  }

  @Test
  void bladesAreCountedAtEachEndOnceTheEndsOfAllAreKnown() {
    var one = new SpringLayout.Blades(null, 1, null, null, null);
    var other = new SpringLayout.Blades(null, null, 1, null, null);
    assertThat(isOf(one, knife(1, null, at(End.A, null)))).isTrue();
    assertThat(isOf(one, knife(1, null, at(End.B, null)))).isFalse();
    assertThat(isOf(other, knife(1, null, at(End.B, null)))).isTrue();
    assertThat(isOf(one, knife(1, null, at(End.A, null), at(End.A, null)))).isFalse();
    assertThat(isOf(one, knife(1, null, at(End.A, null), at(null, null)))).isFalse();
    assertThat(isOf(other, knife(1, null, at(End.A, null), at(null, null)))).isFalse();
  }

  @ParameterizedTest
  @ValueSource(strings = {"59.9 mm", "60 mm", "75 mm"})
  void aBladeIsOfFullLengthFromSixTenthsOfTheHandleOn(String length) {
    var full = new SpringLayout.Blades(List.of(1), null, null, null, 2);
    boolean isFull = Length.parse(length).mm() >= 60;
    SeenBlade long1 = at(End.A, "70 mm");
    assertThat(isOf(full, knife(1, "100 mm", long1, at(End.B, length)))).isEqualTo(isFull);
    assertThat(isOf(full, knife(1, "100 mm", long1, at(End.B, null)))).isFalse();
    assertThat(isOf(full, knife(1, null, long1, at(End.B, length)))).isFalse();
    assertThat(isOf(full, knife(2, "100 mm", long1, long1))).isFalse();
    assertThat(isOf(full, knife(null, "100 mm", long1, long1))).isFalse();
    assertThat(isOf(full, knife(1, "100 mm", long1, long1, long1))).isTrue();
  }

  @Test
  void aMainIsAskedForWhatItPresses() {
    var both = new SpringLayout.Blades(null, null, null, Presses.BOTH, null);
    assertThat(isOf(both, knife(2, null, SeenBlade.sure("clip", End.A, Presses.BOTH, null))))
        .isTrue();
    assertThat(isOf(both, knife(2, null, SeenBlade.sure("clip", End.A, Presses.ONE, null))))
        .isFalse();
    assertThat(isOf(both, knife(2, null))).isFalse();
  }

  @Test
  void aLayoutOfWhichOnlySpringsWouldCountIsToldByItsPatternsAlone() {
    var springs = new SpringLayout.Blades(List.of(2), null, null, null, null);
    var named = new SpringLayout("l", "L", springs, List.of("jack"), "", "");
    Specimen two = knife(2, null, at(End.A, null));
    assertThat(named.isOf(two, Set.of(), 0.6)).isFalse();
    assertThat(named.isOf(two, Set.of("jack"), 0.6)).isTrue();
    assertThat(named.isOf(knife(1, null), Set.of("jack"), 0.6)).isTrue();
    assertThat(isOf(springs, two)).isTrue();
    assertThat(new SpringLayout("l", "L", springs, null, "", "").patterns()).isEmpty();
  }

  @Test
  void bladesOnEachOthersSideAreToldAsExchanged() {
    assertThat(departures(Side.PILE, Side.MARK)).containsExactly("saw and pen exchanged");
    assertThat(departures(Side.MARK, Side.PILE)).isEmpty();
    assertThat(departures(Side.PILE, Side.PILE)).isEmpty();
    assertThat(departures(Side.PILE, null)).isEmpty();
  }

  private static List<String> departures(@Nullable Side ofSaw, @Nullable Side ofPen) {
    List<SeenBlade> blades =
        List.of(
            SeenBlade.sure("clip", End.A, Presses.ONE, null),
            SeenBlade.sure("saw", End.B, null, ofSaw),
            SeenBlade.sure("pen", End.B, null, ofPen));
    Pattern stock = BOOK.pattern("stock").orElseThrow();
    return new SlotAssignment(BOOK, stock, blades, strict(), rates()).departures();
  }

  private static Tolerance strict() {
    return Tolerance.of(Shelf.judgement(), Pattern.School.STRICT);
  }

  private static NamingRates rates() {
    return NamingRates.of(Shelf.judgement());
  }

  @Test
  void whatIsLeftOutOfAPatternIsNothing() {
    Pattern jack = BOOK.pattern("jack").orElseThrow();
    Pattern bare =
        new Pattern(
            jack.id(),
            jack.name(),
            jack.family(),
            jack.role(),
            null,
            jack.surely(),
            null,
            null,
            null,
            null,
            jack.frames(),
            jack.closedLengthMm(),
            null,
            jack.springs(),
            jack.dividers(),
            jack.bolsters(),
            jack.pulls(),
            null,
            null,
            jack.slots(),
            jack.tells(),
            null,
            null,
            null);
    assertThat(bare.alsoCalled()).isEmpty();
    assertThat(bare.tellApart()).isEmpty();
    assertThat(bare.strictly()).isEmpty();
    assertThat(bare.inTrade()).isEmpty();
    assertThat(bare.weight()).isEqualTo(1);
    assertThat(bare.asks()).isEmpty();
    assertThat(bare.regions()).isEmpty();
  }
}
