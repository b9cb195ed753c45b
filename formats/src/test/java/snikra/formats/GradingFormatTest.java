package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.tuple;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.Looked;
import snikra.core.condition.OwnSchools;
import snikra.core.condition.School;
import snikra.core.condition.SchoolVerdict;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Specimen;

class GradingFormatTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);
  private static final ConditionBook BOOK = EXAMINER.shelf().condition();
  private static final Specimen HONED =
      SpecimenFormat.read(
          "{\"condition\":{\"blade-wear\":{\"value\":\"honed\",\"sureness\":\"sure\"}}}",
          EXAMINER.shelf());

  private static String own(String more) {
    return """
        {"heads": "mine", "own": [{"id": "mine", "kind": "worst-fault", "label": "My own",
          "about": "As we judge at the club.", "together": 3, "otherBlades": 1 %s}]}
        """
        .formatted(more);
  }

  private static List<Problem> refused(String json) {
    InvalidInput e = catchThrowableOfType(InvalidInput.class, () -> GradingFormat.read(json, BOOK));
    assertThat(e).as(json).isNotNull();
    return e.problems();
  }

  private static SchoolVerdict headed(OwnSchools choice) {
    ConditionBook book = BOOK.with(choice);
    return book.judge(Looked.at(HONED, LookReliability.of(EXAMINER.shelf().judgement()))).get(0);
  }

  @Test
  void aSchoolOfOnesOwnHeadsThePageAndItsCapsCount() {
    OwnSchools mine =
        GradingFormat.read(
            own(", \"caps\": {\"blade-wear\": {\"full\": \"mint\", \"honed\": \"mint\"}}"), BOOK);
    assertThat(headed(mine).label()).isEqualTo("My own");
    assertThat(headed(mine).best().id()).isEqualTo("mint");
    assertThat(headed(GradingFormat.read(own(""), BOOK)).best().id()).isEqualTo("excellent");
    assertThat(GradingFormat.read(GradingFormat.write(mine), BOOK)).isEqualTo(mine);
  }

  @Test
  void asShippedTheFirstSchoolHeads() {
    assertThat(BOOK.with(OwnSchools.none(BOOK))).isEqualTo(BOOK);
    OwnSchools strict = GradingFormat.read("{\"heads\": \"strict\", \"own\": []}", BOOK);
    assertThat(BOOK.with(strict).schools())
        .extracting(School::id)
        .containsExactly("strict", "usual", "club", "points", "pocket");
  }

  @Test
  void headedByAScaleOfItsOwnKnivesAreListedByTheNextThatUsesTheGrades() {
    OwnSchools pocket = GradingFormat.read("{\"heads\": \"pocket\", \"own\": []}", BOOK);
    ConditionBook book = BOOK.with(pocket);
    Looked looked = Looked.at(HONED, LookReliability.of(EXAMINER.shelf().judgement()));
    assertThat(headed(pocket).best().id()).isEqualTo("carry");
    assertThat(book.grade(looked).best().id()).isEqualTo("excellent");
    assertThat(book.chances(looked).keySet())
        .isSubsetOf("mint", "near-mint", "excellent", "very-good", "good", "fair", "poor", "parts");
  }

  @Test
  void allASchoolLetsPassIsWrittenOut() {
    for (School school : BOOK.schools()) {
      Map<String, Map<String, String>> all = BOOK.caps(school);
      assertThat(all.get("blade-wear")).as(school.id()).hasSize(6);
      School full =
          new School(
              "full",
              school.kind(),
              "Full",
              "",
              school.levels(),
              all,
              school.together(),
              school.otherBlades(),
              school.parts(),
              school.bands());
      Looked looked = Looked.at(HONED, LookReliability.of(EXAMINER.shelf().judgement()));
      assertThat(BOOK.judge(full, looked).chances())
          .isEqualTo(BOOK.judge(school, looked).chances());
    }
    Map<String, String> replaced = new HashMap<>(BOOK.caps(BOOK.schools().get(2)).get("rehandled"));
    assertThat(replaced).containsEntry("yes", "fair");
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "\"wear\": {\"honed\": \"mint\"}|own[0].caps|wear",
        "\"blade-wear\": {\"polished\": \"mint\"}|own[0].caps.blade-wear|polished",
        "\"blade-wear\": {\"honed\": \"superb\"}|own[0].caps.blade-wear.honed|superb",
        "\"blade-wear\": {\"half\": \"mint\"}|own[0].caps.blade-wear.half|mint",
        "\"rehandled\": {\"no\": \"mint\"}|own[0].caps.rehandled|no",
      })
  void aCapThatCannotBeIsRefusedByItsField(String caps, String field, String given) {
    assertThat(refused(own(", \"caps\": {" + caps + "}")))
        .extracting(Problem::field, Problem::given)
        .containsExactly(tuple(field, given));
  }

  @Test
  void aWorseFindingLetsNoMorePassThanAMilderOne() {
    assertThat(
            refused(own(", \"caps\": {\"blade-wear\": {\"tenth\": \"fair\"}}")).get(0).accepted())
        .isEqualTo("must be fair or worse: a milder finding of Blade wear lets no more pass");
  }

  @Test
  void pointsComeToAHundredAndTheirBandsFall() {
    String points =
        """
        {"heads": "usual", "own": [{"id": "ours", "kind": "points", "label": "Ours", "about": "x",
          "otherBlades": 0.5, "parts": [
            {"id": "blades", "label": "Blades", "points": 32}, {"id": "action", "label": "Action", "points": 20},
            {"id": "covers", "label": "Covers", "points": 18}, {"id": "bolsters", "label": "Bolsters", "points": 8},
            {"id": "frame", "label": "Frame", "points": 7}, {"id": "originality", "label": "Originality", "points": 8},
            {"id": "marks", "label": "Marks", "points": 7}],
          "bands": {"mint": 99, "near-mint": 96, "excellent": 88, "very-good": 77, "good": 65, "fair": 48, "poor": 25, "parts": 0}}]}
        """;
    assertThat(GradingFormat.read(points, BOOK).own()).hasSize(1);
    assertThat(refused(points.replace("\"points\": 32", "\"points\": 30")).get(0).given())
        .isEqualTo("98 points");
    assertThat(refused(points.replace("\"good\": 65", "\"good\": 77")).get(0).accepted())
        .isEqualTo("must be less than 77, that of very-good");
    assertThat(refused(points.replace("\"parts\": 0", "\"parts\": 5")).get(0).field())
        .isEqualTo("own[0].bands.parts");
    assertThat(refused(points.replace("\"mint\": 99, ", "")).get(0).field())
        .isEqualTo("own[0].bands");
    assertThat(refused(points.replace("{\"id\": \"marks\"", "{\"id\": \"sheath\"")).get(0).field())
        .isEqualTo("own[0].parts");
  }

  @Test
  void whoHeadsMustBeThereAndNoTwoSchoolsAreOne() {
    assertThat(refused("{\"heads\": \"nobody\", \"own\": []}").get(0).field()).isEqualTo("heads");
    assertThat(refused(own("").replace("\"mine\"", "\"club\"")).get(0).field())
        .isEqualTo("own[0].id");
    assertThat(refused("{\"own\": []}").get(0).field()).isEqualTo("heads");
  }
}
