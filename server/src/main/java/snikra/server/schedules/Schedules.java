package snikra.server.schedules;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.server.ResponseStatusException;
import snikra.core.condition.GradeVerdict;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.judgement.Judgement;
import snikra.core.value.Schedule;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.server.knives.Catalogue;
import snikra.server.knives.FoundBy;
import snikra.server.knives.KnifeService;
import snikra.server.knives.TrayEntry;

/**
 * Schedules for insurers and estates. Each is kept as it was made, with what was known on the day:
 * a later sale, look or reference changes nothing in it.
 */
public class Schedules {
  /** So many are set on paper in some three seconds; of more, several are made. */
  static final int MOST_LINES = 500;

  private final ScheduleRepository kept;
  private final Catalogue catalogue;
  private final Supplier<Examiner> desk;
  private final TransactionTemplate transaction;
  private final Clock clock;

  public Schedules(
      ScheduleRepository kept,
      Catalogue catalogue,
      Supplier<Examiner> desk,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.kept = kept;
    this.catalogue = catalogue;
    this.desk = desk;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  /**
   * A schedule in a few words.
   *
   * @param totals by currency
   * @param unvalued how many of its knives have no amount
   */
  public record ScheduleTold(
      String id,
      Schedule.Basis basis,
      LocalDate asOf,
      @Nullable String title,
      int knives,
      Map<String, BigDecimal> totals,
      int unvalued) {
    static ScheduleTold of(String id, Schedule s) {
      return new ScheduleTold(
          id, s.basis(), s.asOf(), s.title(), s.lines().size(), s.totals(), s.unvalued());
    }
  }

  /** What a schedule may be for, with what its amounts are and why. */
  public record BasisChoice(Schedule.Basis id, String label, String why) {}

  /** What a schedule may be for, by the numbers of judgement in use. */
  List<BasisChoice> choices() {
    Judgement judgement = desk.get().shelf().judgement();
    return List.of(Schedule.Basis.values()).stream()
        .map(
            b -> {
              Judgement.Rate rate =
                  judgement.rates().stream()
                      .filter(r -> r.id().equals(b.rate()))
                      .findFirst()
                      .orElseThrow();
              return new BasisChoice(b, rate.label(), rate.why());
            })
        .toList();
  }

  /** All that are kept, the latest first. */
  List<ScheduleTold> all() {
    return kept.findByRemovedAtIsNullOrderByMadeAtDescIdAsc().stream()
        .map(e -> ScheduleTold.of(e.id(), read(e)))
        .toList();
  }

  /** One of them, whole. */
  Schedule of(String id) {
    return kept.findById(id)
        .filter(e -> !e.isRemoved())
        .map(Schedules::read)
        .orElseThrow(() -> none(id));
  }

  /**
   * Makes one and keeps it; what is sent twice with one id is made once.
   *
   * @param by which knives it is of
   */
  ScheduleTold make(String id, Schedule.Basis basis, @Nullable String title, FoundBy by) {
    Optional<ScheduleEntity> there = kept.findById(id);
    if (there.isPresent()) {
      return ScheduleTold.of(id, read(there.get()));
    }
    List<TrayEntry> found =
        catalogue.entries(by).stream().filter(e -> e.summary() != null).toList();
    if (catalogue.left() > 0) {
      throw new ResponseStatusException(
          HttpStatus.CONFLICT,
          catalogue.left()
              + " knives are still being worked out. A schedule is made when all of them are.");
    }
    if (found.isEmpty() || found.size() > MOST_LINES) {
      throw new InvalidInput(
          List.of(
              new Problem(
                  "q",
                  found.size() + " knives",
                  "must find from 1 to " + MOST_LINES + " knives; of more, make several")));
    }
    Judgement judgement = desk.get().shelf().judgement();
    Schedule schedule =
        new Schedule(
            basis,
            LocalDate.now(clock),
            choices().stream()
                .filter(c -> c.id() == basis)
                .map(c -> c.label() + ". " + c.why())
                .findFirst()
                .orElseThrow(),
            title,
            found.stream().map(e -> line(e, basis, judgement)).toList());
    String content = Json.mapper().writeValueAsString(schedule);
    transaction.executeWithoutResult(
        status -> {
          kept.deleteByRemovedAtBefore(clock.instant().minus(KnifeService.KEPT_FOR));
          kept.save(new ScheduleEntity(id, content, clock.instant()));
        });
    return ScheduleTold.of(id, schedule);
  }

  private static Schedule.Line line(TrayEntry entry, Schedule.Basis basis, Judgement judgement) {
    Examiner.Summary of = Objects.requireNonNull(entry.summary());
    Schedule.Worth worth =
        of.middle() == null
            ? null
            : new Schedule.Worth(
                Objects.requireNonNull(of.low()), of.middle(), Objects.requireNonNull(of.high()));
    GradeVerdict grade = of.grade();
    return new Schedule.Line(
        entry.id(),
        entry.number(),
        entry.title(),
        of.title(),
        of.maker(),
        of.span() == null ? null : of.span().written(),
        grade.best() == null ? null : grade.best().label(),
        of.box(),
        worth == null ? null : Schedule.amount(basis, worth, judgement),
        of.low(),
        of.high(),
        worth == null ? null : of.currency(),
        of.counted());
  }

  /** Takes one out, or puts it back. */
  void remove(String id, boolean removed) {
    Instant at = removed ? clock.instant() : null;
    transaction.executeWithoutResult(
        status -> kept.findById(id).orElseThrow(() -> none(id)).setRemovedAt(at));
  }

  private static Schedule read(ScheduleEntity kept) {
    return Json.mapper().readValue(kept.content(), Schedule.class);
  }

  private static ResponseStatusException none(String id) {
    return new ResponseStatusException(HttpStatus.NOT_FOUND, "There is no schedule " + id + ".");
  }
}
