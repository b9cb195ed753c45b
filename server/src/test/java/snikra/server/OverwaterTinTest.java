package snikra.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import org.junit.jupiter.api.Test;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.State;
import snikra.core.examination.Examiner;
import snikra.core.examination.Verdict;
import snikra.core.number.DecodedNumber;
import snikra.formats.Json;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;
import tools.jackson.databind.JsonNode;

/** Each knife of the sample tin teaches one thing; its verdict must be the one it teaches. */
class OverwaterTinTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);

  @Test
  void thePlainJackIsAsMadeAndDatedByItsMark() throws IOException {
    Verdict v = verdict(0);
    assertThat(v.pattern().title()).isEqualTo("Swell-end jack");
    assertThat(v.dating().explanations().get(0).state().kind()).isEqualTo(State.Kind.AS_MADE);
    assertThat(v.dating().nineTenths().from()).isGreaterThanOrEqualTo(1895);
    assertThat(v.dating().nineTenths().to()).isLessThanOrEqualTo(1913);
    assertThat(v.value().enough()).isTrue();
  }

  @Test
  void threeBladesAreNotAStockmanWhenTheMainBearsOnBothSprings() throws IOException {
    Verdict v = verdict(1);
    assertThat(v.pattern().title()).isEqualTo("Serpentine whittler");
    assertThat(v.findings()).anySatisfy(f -> assertThat(f.text()).contains("stockman"));
  }

  @Test
  void fourLostLettersLeaveTwoFirmsOpen() throws IOException {
    Verdict v = verdict(2);
    assertThat(v.dating().makers())
        .extracting(DatingVerdict.Attribution::maker)
        .startsWith("quillfer-dax", "quillfer-dal");
    assertThat(v.dating().makers().get(1).probability()).isGreaterThan(0.15);
    assertThat(v.value().enough()).isFalse();
  }

  @Test
  void theNumberContradictsTheHandleAndTheHandleIsTakenForReplaced() throws IOException {
    Verdict v = verdict(3);
    assertThat(v.number().decoded().holds("handle_material"))
        .isEqualTo(DecodedNumber.Holds.CONTRADICTS);
    assertThat(v.dating().states().get(0).state().part()).isEqualTo("handle");
    assertThat(v.findings()).anySatisfy(f -> assertThat(f.conflict()).isTrue());
  }

  @Test
  void theOldLookWithALatePartWasMadeLater() throws IOException {
    Verdict v = verdict(4);
    assertThat(v.dating().states().get(0).state().kind()).isEqualTo(State.Kind.OLD_STYLE);
    assertThat(v.dating().clues().get(0).feature()).isEqualTo("spacer");
    assertThat(v.dating().conflicts()).anySatisfy(c -> assertThat(c.rival()).startsWith("story"));
  }

  @Test
  void theCountryWordingNamesTheCountryAndItsTwoWindows() throws IOException {
    Verdict v = verdict(5);
    assertThat(v.dating().makers().get(0).region()).isEqualTo("DE");
    assertThat(v.dating().nineTenths().pieces()).hasSizeGreaterThan(1);
    assertThat(v.grade().best().label()).isEqualTo("Mint");
  }

  @Test
  void aSliverIsPoorWhateverElseIsGood() throws IOException {
    Verdict v = verdict(6);
    assertThat(v.pattern().title()).isEqualTo("Barlow");
    assertThat(v.grade().best().label()).isEqualTo("Poor");
    assertThat(v.grade().reasons().get(0).point()).isEqualTo("blade-wear");
  }

  @Test
  void withNothingToGoOnTheAnswerIsOpen() throws IOException {
    Verdict v = verdict(7);
    assertThat(v.dating().opinion().strength()).isEqualTo(DatingVerdict.Strength.OPEN);
    assertThat(v.dating().makers().get(0).probability()).isCloseTo(0.27, within(0.1));
    assertThat(v.grade().best().label()).isEqualTo("Parts");
  }

  private static Verdict verdict(int place) throws IOException {
    try (var in = OverwaterTinTest.class.getResourceAsStream("/snikra/overwater-tin.json")) {
      JsonNode knife = Json.mapper().readTree(in).get(place);
      return EXAMINER.examine(SpecimenFormat.read(knife, EXAMINER.shelf()));
    }
  }
}
