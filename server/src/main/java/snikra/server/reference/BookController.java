package snikra.server.reference;

import java.time.Duration;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.condition.ConditionBook;
import snikra.core.examination.Examiner;
import snikra.core.examination.Stations;
import snikra.core.measure.Length;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.BolsterLayout;
import snikra.core.pattern.Frame;
import snikra.core.provenance.EdtfDate;
import snikra.core.reference.ReferenceShelf;

/** {@code GET /api/book}: every choice there is, with the words and outlines to show it. */
@RestController
class BookController {
  private final Book book;

  BookController(Examiner examiner) {
    ReferenceShelf shelf = examiner.shelf();
    book =
        new Book(
            Stations.ORDER,
            shelf.patterns().frames(),
            shelf.patterns().blades(),
            shelf.patterns().bolsters(),
            shelf.patterns().patterns().stream().map(p -> new Named(p.id(), p.name())).toList(),
            shelf.makers().stream().map(m -> new Named(m.id(), m.name())).toList(),
            shelf.clues().features().stream().map(BookController::question).toList(),
            shelf.condition(),
            new Accepted(Length.ACCEPTED, EdtfDate.ACCEPTED));
  }

  /** All that can be chosen. */
  record Book(
      List<String> stations,
      List<Frame> frames,
      List<BladeType> blades,
      List<BolsterLayout> bolsters,
      List<Named> patterns,
      List<Named> makers,
      List<Question> questions,
      ConditionBook condition,
      Accepted accepted) {}

  /** Something with a name. */
  record Named(String id, String name) {}

  /** A feature to look at, with its answers. */
  record Question(String id, String station, String label, List<Answer> answers) {}

  /** An answer, how to know it and what it is worth. */
  record Answer(String id, String label, String lookFor, String why) {}

  /** How to write what is typed freely. */
  record Accepted(String length, String date) {}

  private static Question question(snikra.core.clue.Feature f) {
    return new Question(
        f.id(),
        f.station(),
        f.label(),
        f.clues().stream().map(c -> new Answer(c.id(), c.label(), c.lookFor(), c.why())).toList());
  }

  @GetMapping("/api/book")
  ResponseEntity<Book> book() {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ZERO).mustRevalidate())
        .body(book);
  }
}
