package snikra.server.trial;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.nio.charset.StandardCharsets;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.condition.OwnSchools;
import snikra.core.reference.FactSlip;
import snikra.core.reference.MarkSlip;

/**
 * {@code /api/trials}: which verdicts other references would move, worked out in the background.
 * Nothing is changed.
 */
@RestController
@RequestMapping("/api/trials")
class TrialController {
  private final TrialDesk desk;

  TrialController(TrialDesk desk) {
    this.desk = desk;
  }

  /** Begins with the pack in the body. */
  @PostMapping(path = "/pack", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  Trial.Progress ofPack(
      @RequestParam(defaultValue = "the file") String name,
      @RequestBody(required = false) byte[] body) {
    return desk.ofPack(name, body == null ? "" : new String(body, StandardCharsets.UTF_8));
  }

  /**
   * Begins with a mark put on file.
   *
   * @param instead id of a mark of one's own in whose place it would stand
   */
  @PostMapping(path = "/mark", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = MarkSlip.class)))
  Trial.Progress ofMark(
      @RequestParam(required = false) @Nullable String instead, @RequestBody String body) {
    return desk.ofMark(body, instead);
  }

  /**
   * Begins with what a maker fitted or listed put on file.
   *
   * @param instead key of a fact of one's own in whose place it would stand
   */
  @PostMapping(path = "/fact", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = FactSlip.class)))
  Trial.Progress ofFact(
      @RequestParam(required = false) @Nullable String instead, @RequestBody String body) {
    return desk.ofFact(body, instead);
  }

  /** Begins with a pack that is here switched on or off. */
  @PostMapping("/switch")
  Trial.Progress ofSwitching(@RequestParam String pack, @RequestParam boolean on) {
    return desk.ofSwitching(pack, on);
  }

  /** Begins with the school that would head the pages, against another as it stands. */
  @PostMapping(path = "/grading", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = OwnSchools.class)))
  Trial.Progress ofGrading(@RequestParam String against, @RequestBody String body) {
    return desk.ofGrading(body, against);
  }

  /** How far a trial is, and what moved. */
  @GetMapping("/{id}")
  Trial.Progress progress(@PathVariable String id) {
    return desk.progress(id);
  }

  /** Stops it, or takes it up where it was. */
  @PutMapping("/{id}")
  Trial.Progress run(@PathVariable String id, @RequestParam boolean running) {
    return running ? desk.goOn(id) : desk.stop(id);
  }
}
