package snikra.server.journal;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.examination.Verdict;
import snikra.core.examination.WhatChanged;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.Specimen;
import snikra.core.wording.NotAccepted;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;
import snikra.server.journal.JournalEntry.Opinion;
import snikra.server.journal.JournalEntry.Own;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedKnife;
import snikra.server.reference.Verdicts;

/**
 * Keeps the journals. A sitting at the bench makes one entry by itself; what the collector writes
 * stands beside it, and neither changes the other.
 */
public class Journal implements AutoCloseable {
  /** Work on a knife that rests no longer than this is one sitting. */
  static final Duration SITTING = Duration.ofMinutes(30);

  private static final Logger LOG = LoggerFactory.getLogger(Journal.class);
  private static final int MOST_NOTE = 4000;

  /** A middle that moved by references alone is told from so many years on. */
  private static final int MOVED_YEARS = 2;

  private final JournalRepository entries;
  private final KnifeService knives;
  private final Verdicts verdicts;
  private final Supplier<Examiner> desk;
  private final TransactionTemplate transaction;
  private final Supplier<String> references;
  private final Executor background;
  private final Clock clock;

  /** Knives that were saved and are not yet entered, by id: of two saves the later is enough. */
  private final Map<String, SavedKnife> pending = new ConcurrentHashMap<>();

  /**
   * What is kept of an entry beside the knife as it was.
   *
   * @param references by which it was held; null in entries from before that was kept
   */
  record Content(
      Opinion opinion,
      @Nullable Integer median,
      List<WhatChanged.Learned> changes,
      List<String> because,
      boolean referencesMoved,
      @Nullable Own own,
      @Nullable String references) {}

  /** What a collector writes. */
  record Written(@Nullable String note, boolean question, @Nullable String held) {}

  /**
   * The journals.
   *
   * @param references tells the references in use apart from others
   * @param background works what was saved into the journal, after the save was answered
   */
  public Journal(
      JournalRepository entries,
      KnifeService knives,
      Verdicts verdicts,
      Supplier<Examiner> desk,
      Supplier<String> references,
      PlatformTransactionManager transactions,
      Executor background,
      Clock clock) {
    this.entries = entries;
    this.knives = knives;
    this.verdicts = verdicts;
    this.desk = desk;
    this.references = references;
    this.transaction = new TransactionTemplate(transactions);
    this.background = background;
    this.clock = clock;
  }

  /** The journal of a knife, the last entry first. */
  public List<JournalEntry> of(String knife) {
    knives.get(knife);
    settle(knife);
    List<JournalEntry> out = new ArrayList<>();
    entries.findByKnifeIdAndRemovedAtIsNullOrderByBegunAt(knife).forEach(e -> out.add(0, told(e)));
    return out;
  }

  /** Sees to it that what is held of a knife that was just saved is entered. */
  @EventListener
  public void saved(SavedKnife knife) {
    pending.merge(knife.id(), knife, (a, b) -> a.version() > b.version() ? a : b);
    background.execute(() -> settle(knife.id()));
  }

  /** Enters what is still pending of a knife. */
  private synchronized void settle(String id) {
    SavedKnife knife = pending.remove(id);
    if (knife == null) {
      return;
    }
    try {
      transaction.executeWithoutResult(status -> enter(knife));
    } catch (RuntimeException e) {
      // The knife is kept already: that must not look as if it were not.
      LOG.error("The sitting with knife {} was not entered in its journal.", knife.id(), e);
    }
  }

  /** Enters all that is still pending: what was saved a moment before Snikra stops. */
  @Override
  public void close() {
    List.copyOf(pending.keySet()).forEach(this::settle);
  }

  private void enter(SavedKnife knife) {
    List<JournalEntity> lastTwo = lastTwo(knife.id());
    Instant now = now();
    JournalEntity last = lastTwo.isEmpty() ? null : lastTwo.get(0);
    boolean goesOn =
        last != null
            && !last.isOwn()
            && Duration.between(last.changedAt(), now).compareTo(SITTING) <= 0;
    JournalEntity before = goesOn ? (lastTwo.size() < 2 ? null : lastTwo.get(1)) : last;
    Content content = content(before, knife.specimen(), null);
    if (content.changes().isEmpty()) {
      if (goesOn) {
        entries.delete(last);
      }
      return;
    }
    String specimen = SpecimenFormat.write(knife.specimen());
    if (goesOn) {
      last.rewrite(specimen, written(content), now);
    } else {
      entries.save(entity(knife.id(), now, false, specimen, content));
    }
  }

  /** Writes what the collector thinks into the journal, with what Snikra holds at the time. */
  JournalEntry write(String knife, Written own) {
    Specimen specimen = knives.get(knife).specimen();
    String note = own.note() == null ? "" : own.note().strip();
    String held = own.held() == null || own.held().isBlank() ? null : own.held().strip();
    if (note.isEmpty() && held == null) {
      throw refused("note", "nothing", "must be given, or years you hold");
    }
    if (note.length() > MOST_NOTE) {
      String given = note.length() + " characters";
      throw refused("note", given, "must be text of " + MOST_NOTE + " characters or fewer");
    }
    EdtfDate years = held == null ? null : years(held);
    DatingVerdict dated = verdicts.of(specimen).dating();
    settle(knife);
    Own kept =
        years == null
            ? new Own(note, own.question(), null, null, null, null)
            : new Own(
                note,
                own.question(),
                held,
                years.earliestYear(),
                years.latestYear(),
                dated.between(years.earliestYear(), years.latestYear()));
    return transaction.execute(
        status -> {
          JournalEntity before = lastTwo(knife).stream().findFirst().orElse(null);
          Content content = content(before, specimen, kept);
          return told(
              entries.save(entity(knife, now(), true, SpecimenFormat.write(specimen), content)));
        });
  }

  /** Marks a question as open or as answered. */
  JournalEntry question(String id, boolean open) {
    return transaction.execute(
        status -> {
          JournalEntity entry = own(id);
          Content c = content(entry);
          Own o = c.own();
          Own changed = new Own(o.note(), open, o.held(), o.from(), o.to(), o.probability());
          Content anew =
              new Content(
                  c.opinion(),
                  c.median(),
                  c.changes(),
                  c.because(),
                  c.referencesMoved(),
                  changed,
                  c.references());
          entry.rewrite(entry.specimen(), written(anew), entry.changedAt());
          return told(entry);
        });
  }

  /** Takes out what the collector wrote, or puts it back. */
  void remove(String id, boolean isRemoved) {
    transaction.executeWithoutResult(status -> own(id).setRemovedAt(isRemoved ? now() : null));
  }

  private JournalEntity own(String id) {
    return entries
        .findById(id)
        .filter(JournalEntity::isOwn)
        .orElseThrow(() -> refused("entry", id, "must be one the collector wrote"));
  }

  private Content content(@Nullable JournalEntity before, Specimen knife, @Nullable Own own) {
    Examiner examiner = desk.get();
    Specimen then = before == null ? Specimen.unseen() : SpecimenFormat.readKept(before.specimen());
    Optional<Verdict> verdict = verdicts.atHand(examiner, knife);
    DatingVerdict dated =
        verdict.map(Verdict::dating).orElseGet(() -> examiner.dateWithReasons(knife));
    List<WhatChanged.Learned> changes = WhatChanged.between(then, knife, examiner.shelf());
    boolean isDated = !dated.explanations().isEmpty();
    return new Content(
        new Opinion(
            verdict.map(v -> v.pattern().title()).orElseGet(() -> examiner.title(knife)),
            dated.opinion().strength().words(),
            dated.opinion().headline(),
            isDated ? dated.explanations().get(0).probability() : 0,
            isDated ? dated.nineTenths() : null),
        isDated ? dated.median() : null,
        changes,
        WhatChanged.because(changes, dated),
        before != null && referencesMoved(content(before), then, examiner),
        own,
        references.get());
  }

  // By the same references a knife is held to be what it was: it need not be dated again.
  private boolean referencesMoved(Content before, Specimen then, Examiner examiner) {
    return before.median() != null
        && !references.get().equals(before.references())
        && Math.abs(examiner.date(then).median() - before.median()) >= MOVED_YEARS;
  }

  private List<JournalEntity> lastTwo(String knife) {
    return entries.findTop2ByKnifeIdAndRemovedAtIsNullOrderByBegunAtDesc(knife);
  }

  /** Lets go of all that was entered of a knife. */
  public void forget(String knife) {
    transaction.executeWithoutResult(status -> entries.deleteByKnifeId(knife));
  }

  private static JournalEntity entity(
      String knife, Instant now, boolean own, String specimen, Content content) {
    return new JournalEntity(
        UUID.randomUUID().toString(), knife, now, own, specimen, written(content));
  }

  private static JournalEntry told(JournalEntity e) {
    Content c = content(e);
    return new JournalEntry(
        e.id(),
        e.begunAt(),
        e.changedAt(),
        c.opinion(),
        c.changes(),
        c.because(),
        c.referencesMoved(),
        c.own());
  }

  private static Content content(JournalEntity e) {
    return Json.mapper().readValue(e.content(), Content.class);
  }

  private static String written(Content content) {
    return Json.mapper().writeValueAsString(content);
  }

  private static EdtfDate years(String held) {
    try {
      return EdtfDate.parse(held);
    } catch (NotAccepted e) {
      throw refused("held", held, e.accepted());
    }
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
