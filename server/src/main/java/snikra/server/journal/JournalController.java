package snikra.server.journal;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** {@code /api/knives/.../journal} and {@code /api/journal}: what was held of a knife, and when. */
@RestController
class JournalController {
  private final Journal journal;

  JournalController(Journal journal) {
    this.journal = journal;
  }

  /** The journal of a knife, the last entry first. */
  @GetMapping("/api/knives/{knife}/journal")
  List<JournalEntry> journal(@PathVariable String knife) {
    return journal.of(knife);
  }

  /** Writes into the journal of a knife, with what is held of it at the time. */
  @PostMapping(path = "/api/knives/{knife}/journal", consumes = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  JournalEntry write(@PathVariable String knife, @RequestBody Journal.Written written) {
    return journal.write(knife, written);
  }

  /** Whether the question of an entry is still open. */
  @PutMapping("/api/journal/{entry}")
  JournalEntry question(@PathVariable String entry, @RequestParam boolean open) {
    return journal.question(entry, open);
  }

  /** Takes an entry out; it can be put back. */
  @DeleteMapping("/api/journal/{entry}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String entry) {
    journal.remove(entry, true);
  }

  /** Puts an entry back that was taken out. */
  @PostMapping("/api/journal/{entry}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable String entry) {
    journal.remove(entry, false);
  }
}
