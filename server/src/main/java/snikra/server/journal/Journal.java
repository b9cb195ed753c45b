package snikra.server.journal;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
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
import snikra.core.examination.WhatChanged;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;
import snikra.server.journal.JournalEntry.Opinion;
import snikra.server.journal.JournalEntry.Own;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedKnife;

/**
 * Keeps the journals. A sitting at the bench makes one entry by itself; what the collector writes
 * stands beside it, and neither changes the other.
 */
public class Journal {
  /** Work on a knife that rests no longer than this is one sitting. */
  static final Duration SITTING = Duration.ofMinutes(30);

  private static final Logger LOG = LoggerFactory.getLogger(Journal.class);
  private static final int MOST_NOTE = 4000;

  /** A middle that moved by references alone is told from so many years on. */
  private static final int MOVED_YEARS = 2;

  private final JournalRepository entries;
  private final KnifeService knives;
  private final Supplier<Examiner> desk;
  private final TransactionTemplate transaction;
  private final Clock clock;

  /** What is kept of an entry beside the knife as it was. */
  record Content(
      Opinion opinion,
      @Nullable Integer median,
      List<WhatChanged.Learned> changes,
      List<String> because,
      boolean referencesMoved,
      @Nullable Own own) {}

  /** What a collector writes. */
  record Written(@Nullable String note, boolean question, @Nullable String held) {}

  public Journal(
      JournalRepository entries,
      KnifeService knives,
      Supplier<Examiner> desk,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.entries = entries;
    this.knives = knives;
    this.desk = desk;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  /** The journal of a knife, the last entry first. */
  public List<JournalEntry> of(String knife) {
    knives.get(knife);
    List<JournalEntry> out = new ArrayList<>();
    entries.findByKnifeIdAndRemovedAtIsNullOrderByBegunAt(knife).forEach(e -> out.add(0, told(e)));
    return out;
  }

  /** Enters what is held of a knife that was just saved. */
  @EventListener
  public void saved(SavedKnife knife) {
    try {
      transaction.executeWithoutResult(status -> enter(knife));
    } catch (RuntimeException e) {
      // The knife is kept already: that must not look as if it were not.
      LOG.error("The sitting with knife {} was not entered in its journal.", knife.id(), e);
    }
  }

  private void enter(SavedKnife knife) {
    List<JournalEntity> all = entries.findByKnifeIdAndRemovedAtIsNullOrderByBegunAt(knife.id());
    Instant now = now();
    JournalEntity last = all.isEmpty() ? null : all.get(all.size() - 1);
    boolean goesOn =
        last != null
            && !last.isOwn()
            && Duration.between(last.changedAt(), now).compareTo(SITTING) <= 0;
    JournalEntity before = goesOn ? (all.size() < 2 ? null : all.get(all.size() - 2)) : last;
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
    DatingVerdict dated = desk.get().date(specimen);
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
          List<JournalEntity> all = entries.findByKnifeIdAndRemovedAtIsNullOrderByBegunAt(knife);
          JournalEntity before = all.isEmpty() ? null : all.get(all.size() - 1);
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
                  c.opinion(), c.median(), c.changes(), c.because(), c.referencesMoved(), changed);
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
    DatingVerdict dated = examiner.dateWithReasons(knife);
    List<WhatChanged.Learned> changes = WhatChanged.between(then, knife, examiner.shelf());
    boolean isDated = !dated.explanations().isEmpty();
    Integer median = before == null ? null : content(before).median();
    boolean moved =
        median != null && Math.abs(examiner.date(then).median() - median) >= MOVED_YEARS;
    return new Content(
        new Opinion(
            examiner.title(knife),
            dated.opinion().strength().words(),
            dated.opinion().headline(),
            isDated ? dated.explanations().get(0).probability() : 0,
            isDated ? dated.nineTenths() : null),
        isDated ? dated.median() : null,
        changes,
        WhatChanged.because(changes, dated),
        moved,
        own);
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
    } catch (IllegalArgumentException e) {
      throw refused("held", held, e.getMessage().replaceFirst("; found .*$", ""));
    }
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
