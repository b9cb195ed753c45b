package snikra.server.wanted;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.examination.Sketch;
import snikra.core.search.Card;
import snikra.core.wanted.Sought;
import snikra.core.wanted.Want;
import snikra.core.wanted.Wants;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.server.knives.Catalogue;
import snikra.server.knives.FoundBy;
import snikra.server.reference.ReferenceDesk;

/** Keeps what a collector looks for, and holds it against the references and the tray. */
public class WantedList {
  private static final int MOST = 1000;
  private static final FoundBy ALL = FoundBy.of("", new String[0]);

  private final WantRepository wants;
  private final ReferenceDesk desk;
  private final Catalogue catalogue;
  private final TransactionTemplate transaction;

  public WantedList(
      WantRepository wants,
      ReferenceDesk desk,
      Catalogue catalogue,
      PlatformTransactionManager transactions) {
    this.wants = wants;
    this.desk = desk;
    this.catalogue = catalogue;
    this.transaction = new TransactionTemplate(transactions);
  }

  /**
   * What one looks for, as it is kept and as it is told.
   *
   * @param drawn how the model or the pattern looks; null where neither is named, or it is no
   *     longer on file
   */
  public record KeptWant(String id, Want want, Sought told, @Nullable Sketch drawn) {}

  /**
   * All of it.
   *
   * @param left knives that are not worked out yet, and may be one of them
   */
  record WantedTold(List<KeptWant> wants, int left) {}

  /** All of it, in the order in which it was first kept. */
  WantedTold all() {
    return new WantedTold(everything(), catalogue.left());
  }

  /** All that one looks for, in the order in which it was first kept. */
  public List<KeptWant> everything() {
    return told(want -> true);
  }

  /** What one looks for of a maker. */
  public List<KeptWant> of(String maker) {
    return told(want -> maker.equals(want.maker()));
  }

  private List<KeptWant> told(Predicate<Want> asked) {
    Examiner examiner = desk.examiner();
    List<Card> knives = catalogue.cards(ALL);
    Wants against = against(examiner);
    List<KeptWant> all = new ArrayList<>();
    for (WantEntity kept : wants.findAllByOrderByMadeAtAscIdAsc()) {
      Want want = Json.mapper().readValue(kept.content(), Want.class);
      if (asked.test(want)) {
        all.add(told(examiner, against, kept.id(), want, knives));
      }
    }
    return all;
  }

  private static Wants against(Examiner examiner) {
    return new Wants(examiner.shelf(), examiner.models(), examiner::ofPattern, examiner.thisYear());
  }

  private static KeptWant told(
      Examiner examiner, Wants against, String id, Want want, List<Card> knives) {
    return new KeptWant(id, want, against.told(want, knives), drawn(examiner, want).orElse(null));
  }

  private static Optional<Sketch> drawn(Examiner examiner, Want want) {
    return want.model() == null
        ? Optional.ofNullable(want.pattern())
            .filter(id -> examiner.shelf().patterns().pattern(id).isPresent())
            .map(id -> examiner.sketch(examiner.ofPattern(id)))
        : examiner.model(want.maker() + "/" + want.model()).map(examiner::sketch);
  }

  /** Keeps something one looks for under an id of the sender's own, or changes it. */
  KeptWant keep(UUID id, Want want) {
    Examiner examiner = desk.examiner();
    Wants against = against(examiner);
    List<Problem> problems = against.problems(want);
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    String content = Json.mapper().writeValueAsString(want);
    transaction.executeWithoutResult(
        status -> {
          WantEntity there = wants.findById(id.toString()).orElse(null);
          if (there != null) {
            there.setContent(content);
          } else if (wants.count() < MOST) {
            wants.save(new WantEntity(id.toString(), content, Instant.now()));
          } else {
            throw new InvalidInput(
                List.of(
                    new Problem("id", id.toString(), "at most " + MOST + " are kept: remove one")));
          }
        });
    return told(examiner, against, id.toString(), want, catalogue.cards(ALL));
  }

  /** Lets go of one; kept again under its id it is there again. */
  void remove(UUID id) {
    transaction.executeWithoutResult(status -> wants.deleteById(id.toString()));
  }

  /** Whether nothing is looked for. */
  boolean isEmpty() {
    return wants.count() == 0;
  }
}
