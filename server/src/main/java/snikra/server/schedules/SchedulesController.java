package snikra.server.schedules;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Problem;
import snikra.core.value.Schedule;
import snikra.formats.InvalidInput;
import snikra.formats.ScheduleTable;
import snikra.server.knives.FoundBy;
import snikra.server.knives.Ticked;
import snikra.server.schedules.Schedules.BasisChoice;
import snikra.server.schedules.Schedules.ScheduleTold;

/** {@code /api/schedules}: what knives are put down at for an insurer or an estate. */
@RestController
@RequestMapping("/api/schedules")
class SchedulesController {
  private static final int LONGEST_TITLE = 120;

  private final Schedules schedules;
  private final SchedulePaper paper;

  SchedulesController(Schedules schedules, SchedulePaper paper) {
    this.schedules = schedules;
    this.paper = paper;
  }

  /** What is kept, the latest first, and what a new one may be for. */
  record SchedulesTold(List<ScheduleTold> kept, List<BasisChoice> choices) {}

  /** All schedules that are kept, the latest first, and what a new one may be for. */
  @GetMapping
  SchedulesTold all() {
    return new SchedulesTold(schedules.all(), schedules.choices());
  }

  /**
   * Makes a schedule of what is found and keeps it.
   *
   * @param id an id of the sender's own, so that what is sent twice is made once
   * @param basis {@code insurance} or {@code estate}
   * @param title what it is of or for whom
   * @param q plain words, as in a search; all knives where there are none
   * @param request with {@code in}, what is ticked
   */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  @Ticked
  ScheduleTold make(
      @RequestParam UUID id,
      @RequestParam String basis,
      @RequestParam(required = false) @Nullable String title,
      @RequestParam(defaultValue = "") String q,
      @Parameter(hidden = true) HttpServletRequest request) {
    if (title != null && title.length() > LONGEST_TITLE) {
      throw refused("title", title.length() + " letters", "at most " + LONGEST_TITLE);
    }
    String said = title == null || title.isBlank() ? null : title.strip();
    return schedules.make(id.toString(), basis(basis), said, FoundBy.asked(q, request));
  }

  private static Schedule.Basis basis(String name) {
    for (Schedule.Basis basis : Schedule.Basis.values()) {
      if (basis.toString().equals(name)) {
        return basis;
      }
    }
    throw refused("basis", name, "must be insurance or estate");
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }

  /** A schedule as it was made. */
  @GetMapping("/{id}")
  Schedule one(@PathVariable String id) {
    return schedules.of(id);
  }

  /**
   * On paper, with a photograph of each knife; dates and money as the reader's country writes them.
   */
  @GetMapping(path = "/{id}/schedule.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> pdf(@PathVariable String id, @Parameter(hidden = true) Locale locale) {
    Schedule schedule = schedules.of(id);
    return saved(schedule, "pdf", MediaType.APPLICATION_PDF).body(paper.of(schedule, locale));
  }

  /** As a table. */
  @GetMapping(path = "/{id}/schedule.csv", produces = "text/csv")
  ResponseEntity<String> table(@PathVariable String id) {
    Schedule schedule = schedules.of(id);
    return saved(schedule, "csv", MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .body(ScheduleTable.write(schedule));
  }

  private static ResponseEntity.BodyBuilder saved(Schedule of, String ending, MediaType type) {
    LocalDate day = of.asOf();
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename("schedule-" + of.basis() + "-" + day + "." + ending)
                .build()
                .toString())
        .contentType(type);
  }

  /** Takes one out; it can be put back for thirty days. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String id) {
    schedules.remove(id, true);
  }

  /** Puts a schedule back that was taken out. */
  @PostMapping("/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable String id) {
    schedules.remove(id, false);
  }
}
