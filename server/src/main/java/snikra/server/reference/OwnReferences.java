package snikra.server.reference;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Objects;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.reference.FactSlip;
import snikra.core.reference.MarkSlip;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.YearsMoved;
import snikra.formats.InvalidInput;
import snikra.formats.OwnFacts;
import snikra.formats.OwnPack;
import snikra.formats.OwnSchemes;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * What the collector puts on file, step by step: each can be undone and done again, the last first.
 */
public class OwnReferences {
  /** So many steps can be undone; what they put on file stays for good. */
  static final int MOST_STEPS = 200;

  private final FiledStepRepository steps;
  private final ReferenceDesk desk;
  private final TransactionTemplate transaction;
  private final Clock clock;

  public OwnReferences(
      FiledStepRepository steps,
      ReferenceDesk desk,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.steps = steps;
    this.desk = desk;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  /**
   * A step.
   *
   * @param mark its lines; of several the first
   * @param what {@code put-on}, {@code changed} or {@code taken-out}
   * @param many to how many marks it was done
   * @param undone whether it was taken back, and can be done again
   */
  public record FiledStep(
      String id,
      String maker,
      String mark,
      String what,
      int many,
      boolean undone,
      Instant madeAt) {}

  /** All steps that are remembered, the first first. */
  public List<FiledStep> steps() {
    return steps.findAllByOrderByPlace().stream()
        .map(
            s ->
                new FiledStep(
                    s.id(), s.maker(), s.mark(), s.what(), s.many(), s.isUndone(), s.madeAt()))
        .toList();
  }

  /** What filing this would make of the pack; nothing is kept. */
  public OwnPack.Filed look(MarkSlip slip) {
    return OwnPack.with(desk.own(), slip, desk.examiner().shelf());
  }

  /** What filing these would make of the pack; nothing is kept. */
  public OwnPack.Filed lookFacts(List<FactSlip> slips) {
    return OwnFacts.with(desk.own(), slips, desk.examiner().shelf());
  }

  /**
   * Puts facts on file in one step.
   *
   * @throws InvalidInput with every problem
   */
  public OwnPack.Filed fileFacts(List<FactSlip> slips) {
    return step((text, shelf) -> OwnFacts.with(text, slips, shelf));
  }

  /** A fact of one's own, as a slip. */
  public FactSlip factSlip(String maker, String key) {
    return OwnFacts.slip(desk.own(), maker, key);
  }

  /** What changing a fact of one's own would make of the pack; nothing is kept. */
  public OwnPack.Filed lookChanged(String maker, String key, FactSlip slip) {
    return OwnFacts.changed(desk.own(), maker, key, slip, desk.examiner().shelf());
  }

  /**
   * Changes a fact of one's own.
   *
   * @throws InvalidInput with every problem
   */
  public OwnPack.Filed changeFact(String maker, String key, FactSlip slip) {
    return step((text, shelf) -> OwnFacts.changed(text, maker, key, slip, shelf));
  }

  /** What other years for a mark or another fact would make of the pack; nothing is kept. */
  public OwnPack.Filed lookMoved(YearsMoved to) {
    return OwnFacts.moved(desk.own(), to, desk.examiner().shelf());
  }

  /** Gives a mark or another fact of one's own other years. */
  public OwnPack.Filed move(YearsMoved to) {
    return step((text, shelf) -> OwnFacts.moved(text, to, shelf));
  }

  /** Takes a fact of one's own out. */
  public OwnPack.Filed takeOutFact(String maker, String key) {
    return step((text, shelf) -> OwnFacts.without(text, maker, key, shelf));
  }

  /** The examiner there would be with the pack so. */
  public Examiner with(OwnPack.Filed filed) {
    return desk.with(OwnPack.ID, filed.yaml());
  }

  /**
   * Puts a mark on file.
   *
   * @throws InvalidInput with every problem
   */
  public OwnPack.Filed file(MarkSlip slip) {
    return fileAll(List.of(slip));
  }

  /**
   * Puts several marks on file in one step.
   *
   * @throws InvalidInput with every problem
   */
  public OwnPack.Filed fileAll(List<MarkSlip> slips) {
    return step((text, shelf) -> OwnPack.with(text, slips, shelf));
  }

  /** What changing a mark of one's own would make of the pack; nothing is kept. */
  public OwnPack.Filed lookChanged(String mark, MarkSlip slip) {
    return OwnPack.changed(desk.own(), mark, slip, desk.examiner().shelf());
  }

  /** A mark of one's own, as a slip. */
  public MarkSlip slip(String mark) {
    return OwnPack.slip(desk.own(), mark, desk.examiner().shelf());
  }

  /**
   * Changes a mark of one's own.
   *
   * @throws InvalidInput with every problem
   */
  public OwnPack.Filed change(String mark, MarkSlip slip) {
    return step((text, shelf) -> OwnPack.changed(text, mark, slip, shelf));
  }

  /** Takes a mark of one's own out. */
  public OwnPack.Filed takeOut(String mark) {
    return step((text, shelf) -> OwnPack.without(text, mark, shelf));
  }

  /**
   * Puts a way of dating on file.
   *
   * @param code as a pack has it, without id, note and source
   * @throws InvalidInput with every problem
   */
  public OwnPack.Filed fileCode(String maker, ObjectNode code, OwnSchemes.Known known) {
    return step((text, shelf) -> OwnSchemes.withCode(text, maker, code, known, shelf));
  }

  /**
   * Puts a way of numbering on file.
   *
   * @param fields as a pack has them
   * @throws InvalidInput with every problem
   */
  public OwnPack.Filed fileNumbers(String maker, ArrayNode fields, OwnSchemes.Known known) {
    return step((text, shelf) -> OwnSchemes.withNumbers(text, maker, fields, known, shelf));
  }

  /** Takes a way of dating of one's own out. */
  public OwnPack.Filed takeOutCode(String code) {
    return step((text, shelf) -> OwnSchemes.withoutCode(text, code, shelf));
  }

  /** Takes the numbers one put on file for a maker out. */
  public OwnPack.Filed takeOutNumbers(String maker) {
    return step((text, shelf) -> OwnSchemes.withoutNumbers(text, maker, shelf));
  }

  private synchronized OwnPack.Filed step(
      BiFunction<@Nullable String, ReferenceShelf, OwnPack.Filed> make) {
    String before = desk.own();
    OwnPack.Filed filed = make.apply(before, desk.examiner().shelf());
    keep(
        filed.yaml(),
        () -> {
          List<FiledStepEntity> all = steps.findAllByOrderByPlace();
          // What was undone cannot be done again once something else was put on file.
          steps.deleteAll(all.stream().filter(FiledStepEntity::isUndone).toList());
          List<FiledStepEntity> done = all.stream().filter(s -> !s.isUndone()).toList();
          if (done.size() >= MOST_STEPS) {
            steps.delete(done.get(0));
          }
          steps.flush();
          steps.save(
              new FiledStepEntity(
                  done.isEmpty() ? 1 : done.get(done.size() - 1).place() + 1,
                  filed,
                  before,
                  clock.instant().truncatedTo(ChronoUnit.MILLIS)));
        });
    return filed;
  }

  /** Takes the last step back. */
  public synchronized void undo() {
    FiledStepEntity last =
        steps.findAllByOrderByPlace().stream()
            .filter(s -> !s.isUndone())
            .reduce((first, second) -> second)
            .orElseThrow(() -> refused("nothing", "must be something you put on file"));
    requireAsItWas(last.textAfter());
    turn(last, last.textBefore(), true);
  }

  /** Does the step again that was taken back last. */
  public synchronized void redo() {
    FiledStepEntity next =
        steps.findAllByOrderByPlace().stream()
            .filter(FiledStepEntity::isUndone)
            .findFirst()
            .orElseThrow(() -> refused("nothing", "must be something you took back"));
    requireAsItWas(next.textBefore());
    turn(next, next.textAfter(), false);
  }

  private void turn(FiledStepEntity step, @Nullable String text, boolean undone) {
    keep(
        text,
        () -> {
          step.setUndone(undone);
          steps.save(step);
        });
  }

  // The step and the pack are kept together or not at all.
  private void keep(@Nullable String text, Runnable step) {
    try {
      transaction.executeWithoutResult(
          status -> {
            step.run();
            desk.keepOwn(text);
          });
    } catch (RuntimeException e) {
      desk.reopen();
      throw e;
    }
  }

  private void requireAsItWas(@Nullable String text) {
    if (!Objects.equals(text, desk.own())) {
      throw refused(
          "a pack that was changed since", "must be as it was left: put another file in, or go on");
    }
  }

  private static InvalidInput refused(String given, String accepted) {
    return new InvalidInput(List.of(new Problem("your references", given, accepted)));
  }
}
