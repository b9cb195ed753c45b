package snikra.server.reference;

import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.care.CareBook;
import snikra.core.clue.Caution;
import snikra.core.clue.Feature;
import snikra.core.code.AssayOffice;
import snikra.core.code.CodeScheme;
import snikra.core.code.NumberTable;
import snikra.core.code.SeenCode;
import snikra.core.code.Sign;
import snikra.core.condition.ConditionBook;
import snikra.core.examination.Choices;
import snikra.core.examination.Examiner;
import snikra.core.examination.Station;
import snikra.core.judgement.Judgement;
import snikra.core.measure.Length;
import snikra.core.measure.MeasureBook.Quantity;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.BolsterLayout;
import snikra.core.pattern.Frame;
import snikra.core.pattern.ShieldForm;
import snikra.core.provenance.EdtfDate;
import snikra.core.reference.ReferenceShelf;
import snikra.server.photos.PhotoRole;

/** {@code GET /api/book}: every choice there is, with the words and outlines to show it. */
@RestController
class BookController {
  private final ReferenceDesk desk;
  private volatile Written written;

  /** The book of one examiner: it is long, and asked for with every page. */
  private record Written(Examiner of, Book book) {}

  BookController(ReferenceDesk desk) {
    this.desk = desk;
  }

  private static Book book(ReferenceShelf shelf) {
    return new Book(
        Arrays.stream(Station.values()).map(BookController::station).toList(),
        usualFirst(shelf),
        shelf.patterns().blades(),
        shelf.patterns().bolsters(),
        shelf.patterns().shields(),
        shelf.patterns().patterns().stream().map(p -> new Named(p.id(), p.name())).toList(),
        shelf.makers().stream().map(m -> new Named(m.id(), m.name())).toList(),
        shelf.regions().stream().map(r -> new Named(r.id(), r.label())).toList(),
        shelf.clues().features().stream().map(BookController::question).toList(),
        shelf.condition(),
        shelf.care().works(),
        shelf.measures().quantities(),
        shelf.clues().cautions(),
        Arrays.stream(Sign.values()).map(sign -> sign(sign, shelf)).toList(),
        SeenCode.PLACES,
        shelf.numberTables().stream().map(BookController::registered).toList(),
        shelf.assayOffices(),
        PhotoRole.choices(),
        Choices.all(),
        new Accepted(Length.ACCEPTED, EdtfDate.ACCEPTED));
  }

  /** All that can be chosen. */
  record Book(
      List<StationChoice> stations,
      List<Frame> frames,
      List<BladeType> blades,
      List<BolsterLayout> bolsters,
      List<ShieldForm> shields,
      List<Named> patterns,
      List<Named> makers,
      List<Named> regions,
      List<Question> questions,
      ConditionBook condition,
      List<CareBook.Work> works,
      List<Quantity> quantities,
      List<Caution> cautions,
      List<SignChoice> signs,
      List<String> places,
      List<Registered> registered,
      List<AssayOffice> assayOffices,
      List<PhotoRole.RoleChoice> photoRoles,
      Choices choices,
      Accepted accepted) {}

  /**
   * A sign of which date codes are made.
   *
   * @param counted whether one writes how many there are
   * @param forms in which schemes on the shelf strike it
   */
  record SignChoice(Sign id, boolean counted, List<String> forms) {}

  /**
   * A station of the bench.
   *
   * @param key that leads there
   * @param drawnLarge whether one works there with the large drawing
   */
  record StationChoice(String id, String name, String key, boolean drawnLarge) {}

  private static StationChoice station(Station s) {
    return new StationChoice(s.toString(), s.label(), s.key(), s.isDrawnLarge());
  }

  /** Something with a name. */
  record Named(String id, String name) {}

  /**
   * A series of patents, designs or models.
   *
   * @param numbered whether its numbers say more than its wording
   */
  record Registered(String id, String label, List<String> wording, boolean numbered, String note) {}

  private static SignChoice sign(Sign sign, ReferenceShelf shelf) {
    List<String> forms =
        shelf.makers().stream()
            .flatMap(maker -> maker.codes().stream())
            .filter(scheme -> scheme.sign() == sign && scheme.form() != null)
            .map(CodeScheme::form)
            .distinct()
            .sorted()
            .toList();
    return new SignChoice(sign, sign.isCounted(), forms);
  }

  private static Registered registered(NumberTable t) {
    return new Registered(t.id(), t.label(), t.wording(), t.isNumbered(), t.note());
  }

  /**
   * A feature to look at, with its answers.
   *
   * @param alike what, found on one blade, is usual on the next as well
   */
  record Question(
      String id,
      String station,
      String label,
      @Nullable String group,
      Feature.Asked asked,
      Feature.@Nullable Alike alike,
      List<Answer> answers) {}

  /** An answer, how to know it, how to make sure and what it is worth. */
  record Answer(
      String id,
      String label,
      String lookFor,
      @Nullable String test,
      @Nullable String drawnAs,
      String why) {}

  /** How to write what is typed freely. */
  record Accepted(String length, String date) {}

  private static Question question(snikra.core.clue.Feature f) {
    return new Question(
        f.id(),
        f.station(),
        f.label(),
        f.group(),
        f.asked(),
        f.alike(),
        f.clues().stream()
            .map(c -> new Answer(c.id(), c.label(), c.lookFor(), c.test(), c.drawnAs(), c.why()))
            .toList());
  }

  // Outlines in the order of how often one meets a pattern that is at home in them.
  private static List<Frame> usualFirst(ReferenceShelf shelf) {
    Map<String, Double> use = new HashMap<>();
    shelf
        .patterns()
        .patterns()
        .forEach(p -> p.frames().forEach((f, w) -> use.merge(f, w * p.weight(), Double::sum)));
    return shelf.patterns().frames().stream()
        .sorted(Comparator.comparingDouble((Frame f) -> -use.getOrDefault(f.id(), 0.0)))
        .toList();
  }

  private Book current() {
    Examiner examiner = desk.examiner();
    Written last = written;
    if (last == null || !Objects.equals(last.of, examiner)) {
      last = new Written(examiner, book(examiner.shelf()));
      written = last;
    }
    return last.book;
  }

  /** {@code GET /api/judgement}: priors and rates nobody can look up, each with its reason. */
  @GetMapping("/api/judgement")
  List<Judgement.RateGroup> judgement() {
    return desk.examiner().shelf().judgement().groups();
  }

  /** All that can be chosen at the bench, with its words and shapes. */
  @GetMapping("/api/book")
  ResponseEntity<Book> book() {
    return ResponseEntity.ok()
        .cacheControl(CacheControl.maxAge(Duration.ZERO).mustRevalidate())
        .body(current());
  }
}
