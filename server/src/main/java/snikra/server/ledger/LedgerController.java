package snikra.server.ledger;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Problem;
import snikra.core.ledger.LedgerEntry;
import snikra.core.ledger.ToldPurchase;
import snikra.formats.InvalidInput;
import snikra.formats.LedgerFormat;
import snikra.formats.SpecimenFormat;
import snikra.server.ledger.Ledger.EntryLooked;
import snikra.server.ledger.Ledger.LedgerTold;
import snikra.server.ledger.Ledger.RevisionTold;
import snikra.server.ledger.StoryPurchases.TakenOver;

/** {@code /api/ledger}: what was paid, what came back, and what stayed. */
@RestController
@RequestMapping("/api/ledger")
class LedgerController {
  private static final int MOST_STRUCK = 20_000;

  private final Ledger ledger;
  private final StoryPurchases stories;

  LedgerController(Ledger ledger, StoryPurchases stories) {
    this.ledger = ledger;
    this.stories = stories;
  }

  /** All of the ledger: entries, knives, lots and years. */
  @GetMapping
  LedgerTold all() {
    return ledger.told();
  }

  /** What an entry would be: what is wrong with it, and how its money is shared. */
  @PostMapping(path = "/look", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = LedgerEntry.class)))
  EntryLooked look(@RequestParam UUID id, @RequestBody String body) {
    return ledger.look(id.toString(), read(body));
  }

  /**
   * Keeps a new entry.
   *
   * @param id an id of the sender's own, so that what is sent twice is kept once
   */
  @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = LedgerEntry.class)))
  LedgerTold add(@RequestParam UUID id, @RequestBody String body) {
    ledger.add(id.toString(), read(body));
    return ledger.told();
  }

  /**
   * Corrects an entry; what it was stays to be seen.
   *
   * @param revision the one the correction was made to
   */
  @PutMapping(path = "/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = LedgerEntry.class)))
  LedgerTold correct(
      @PathVariable String id, @RequestParam int revision, @RequestBody String body) {
    ledger.correct(id, revision, read(body));
    return ledger.told();
  }

  private LedgerEntry read(String body) {
    return LedgerFormat.read(SpecimenFormat.parse(body), ledger.today());
  }

  /** Strikes an entry out; it stays to be seen and can stand again. */
  @DeleteMapping("/{id}")
  LedgerTold strike(@PathVariable String id) {
    ledger.strike(id, true);
    return ledger.told();
  }

  /** Purchases that stand in the stories of knives and not here, as entries they would be. */
  @GetMapping("/stories")
  List<ToldPurchase> stories() {
    return stories.offered();
  }

  /** Takes over all purchases out of stories that can be. */
  @PostMapping("/stories")
  TakenOver takeOver() {
    return stories.takeOver();
  }

  /** Strikes several entries out, or none of them; at most {@value #MOST_STRUCK}. */
  @PostMapping(path = "/strike", consumes = MediaType.APPLICATION_JSON_VALUE)
  LedgerTold strikeAll(@RequestBody List<String> ids) {
    if (ids.size() > MOST_STRUCK) {
      throw new InvalidInput(
          List.of(new Problem("ids", ids.size() + " ids", "must be " + MOST_STRUCK + " or fewer")));
    }
    ledger.strikeAll(ids);
    return ledger.told();
  }

  /** Puts an entry back that was taken out. */
  @PostMapping("/{id}/restore")
  LedgerTold restore(@PathVariable String id) {
    ledger.strike(id, false);
    return ledger.told();
  }

  /** Every state an entry was in. */
  @GetMapping("/{id}/history")
  List<RevisionTold> history(@PathVariable String id) {
    return ledger.history(id);
  }

  /** What went in a year, a row for each knife, as a table to save. */
  @GetMapping(path = "/years/{year}", produces = "text/csv")
  ResponseEntity<String> year(@PathVariable int year) {
    String file =
        ContentDisposition.attachment().filename("ledger-" + year + ".csv").build().toString();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, file)
        .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .body(ledger.year(year));
  }
}
