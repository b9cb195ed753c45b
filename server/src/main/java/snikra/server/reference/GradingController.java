package snikra.server.reference;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.OwnSchools;
import snikra.core.condition.School;

/** {@code /api/grading}: how this collection judges condition. */
@RestController
@RequestMapping("/api/grading")
class GradingController {
  private final ReferenceDesk desk;

  GradingController(ReferenceDesk desk) {
    this.desk = desk;
  }

  /**
   * The schools there are.
   *
   * @param heads id of the one that heads every page
   */
  record GradingTold(String heads, List<SchoolTold> schools) {}

  /**
   * A school, with all it lets pass.
   *
   * @param shipped whether it came with Snikra; one's own can be changed
   * @param levels its scale, best first
   * @param caps by point and finding, and by what was done with the answer "yes": the best level
   */
  record SchoolTold(
      School school,
      boolean shipped,
      List<School.Level> levels,
      Map<String, Map<String, String>> caps) {}

  /** The schools of grading, those that ship and one's own. */
  @GetMapping
  GradingTold grading() {
    ConditionBook shipped = desk.shippedGrading();
    OwnSchools choice = desk.grading();
    return new GradingTold(
        choice.heads(),
        Stream.concat(shipped.schools().stream(), choice.own().stream())
            .map(
                s ->
                    new SchoolTold(
                        s, shipped.schools().contains(s), shipped.levels(s), shipped.caps(s)))
            .toList());
  }

  /** Judges so from now on. */
  @PutMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = OwnSchools.class)))
  GradingTold judge(@RequestBody String body) {
    desk.judge(body);
    return grading();
  }
}
