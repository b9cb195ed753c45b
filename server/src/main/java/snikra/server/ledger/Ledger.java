package snikra.server.ledger;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Problem;
import snikra.core.ledger.KeptEntry;
import snikra.core.ledger.LedgerBook;
import snikra.core.ledger.LedgerEntry;
import snikra.formats.InvalidInput;
import snikra.formats.LedgerFormat;

/**
 * The ledger. An entry is never changed: what is corrected or struck out stays to be seen, and what
 * does not hold together with the rest is not taken.
 */
public class Ledger {
  private static final String EMPTY = "GBP";

  private final LedgerRepository revisions;
  private final TransactionTemplate transaction;
  private final Clock clock;

  public Ledger(LedgerRepository revisions, PlatformTransactionManager transactions, Clock clock) {
    this.revisions = revisions;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  /**
   * An entry as it stands.
   *
   * @param revision how often it was written, counted from 1
   * @param struck whether it was struck out
   */
  public record EntryTold(String id, LedgerEntry entry, int revision, boolean struck) {}

  /** A state an entry was in. */
  public record RevisionTold(int revision, Instant at, LedgerEntry entry, boolean struck) {}

  /**
   * The ledger worked out.
   *
   * @param entries as they stand, the latest written last, those struck out too
   */
  public record LedgerTold(
      String currency,
      List<EntryTold> entries,
      List<LedgerBook.Lot> lots,
      List<LedgerBook.Year> years) {}

  /**
   * What an entry would be, before it is kept.
   *
   * @param shares what each of its knives would have of it, by its id in the ledger; empty while
   *     something is wrong
   */
  public record EntryLooked(
      List<Problem> problems, Map<String, BigDecimal> shares, String currency) {}

  /** The ledger as it stands. */
  public LedgerTold told() {
    List<EntryTold> entries = entries();
    LedgerBook book = book(standing(entries));
    return new LedgerTold(book.currency(), entries, book.lots(), book.years());
  }

  private List<EntryTold> entries() {
    Map<String, EntryTold> last = new LinkedHashMap<>();
    for (LedgerRevisionEntity r : revisions.findAllByOrderByMadeAtAscRevisionAsc()) {
      last.put(
          r.entry(),
          new EntryTold(r.entry(), LedgerFormat.readKept(r.body()), r.revision(), r.isStruck()));
    }
    return List.copyOf(last.values());
  }

  private static List<KeptEntry> standing(List<EntryTold> entries) {
    return entries.stream()
        .filter(e -> !e.struck())
        .map(e -> new KeptEntry(e.id(), e.entry()))
        .toList();
  }

  private static LedgerBook book(List<KeptEntry> standing) {
    return LedgerBook.of(standing, LedgerBook.currencyOf(standing, EMPTY));
  }

  /** What went in a year, as a table. */
  public String year(int year) {
    List<KeptEntry> standing = standing(entries());
    return LedgerFormat.year(standing, book(standing), year);
  }

  /** What an entry would be. */
  public EntryLooked look(String id, LedgerEntry entry) {
    List<KeptEntry> with = with(id, entry);
    LedgerBook book = book(with);
    return new EntryLooked(
        book.problems(), book.problems().isEmpty() ? book.sharesOf(id) : Map.of(), book.currency());
  }

  private List<KeptEntry> with(String id, @Nullable LedgerEntry entry) {
    List<KeptEntry> all = new ArrayList<>(standing(entries()));
    int at = all.stream().map(KeptEntry::id).toList().indexOf(id);
    if (at >= 0) {
      all.remove(at);
    }
    if (entry != null) {
      all.add(at < 0 ? all.size() : at, new KeptEntry(id, entry));
    }
    return all;
  }

  /**
   * Keeps a new entry. When this returns it is on the disk. Sent again it is kept once.
   *
   * @param id given by whoever sends it
   */
  public void add(String id, LedgerEntry entry) {
    if (revisions.findByEntryOrderByRevision(id).isEmpty()) {
      write(id, 0, entry, false);
    } else {
      transaction.executeWithoutResult(status -> {});
    }
  }

  /**
   * Keeps all of these new entries, or none of them; one that is known already is left as it is.
   *
   * @return those that were new
   */
  public synchronized List<KeptEntry> addAll(List<KeptEntry> entries) {
    List<EntryTold> there = entries();
    Set<String> known = there.stream().map(EntryTold::id).collect(Collectors.toSet());
    List<KeptEntry> added = entries.stream().filter(e -> !known.contains(e.id())).toList();
    List<KeptEntry> all = new ArrayList<>(standing(there));
    all.addAll(added);
    requireSound(all);
    transaction.executeWithoutResult(
        status ->
            added.forEach(
                e ->
                    revisions.save(
                        new LedgerRevisionEntity(
                            e.id(), 1, LedgerFormat.write(e.entry()), false, instant()))));
    return added;
  }

  /** Strikes all of these out, or none of them. */
  public synchronized void strikeAll(List<String> ids) {
    Set<String> out = Set.copyOf(ids);
    requireSound(standing(entries()).stream().filter(e -> !out.contains(e.id())).toList());
    transaction.executeWithoutResult(status -> out.forEach(this::strikeOut));
  }

  private void strikeOut(String id) {
    LedgerRevisionEntity last = last(id);
    if (!last.isStruck()) {
      revisions.save(
          new LedgerRevisionEntity(id, last.revision() + 1, last.body(), true, instant()));
    }
  }

  private static void requireSound(List<KeptEntry> standing) {
    List<Problem> problems = book(standing).problems();
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
  }

  /**
   * Corrects an entry; what it was stays to be seen.
   *
   * @param revision the one the correction was made to
   */
  public void correct(String id, int revision, LedgerEntry entry) {
    last(id);
    write(id, revision, entry, false);
  }

  /** Strikes an entry out, or lets it stand again. */
  public void strike(String id, boolean isStruck) {
    LedgerRevisionEntity last = last(id);
    if (last.isStruck() != isStruck) {
      write(id, last.revision(), LedgerFormat.readKept(last.body()), isStruck);
    }
  }

  // Each is written against all that stands: one after the other.
  private synchronized void write(String id, int after, LedgerEntry entry, boolean isStruck) {
    requireSound(with(id, isStruck ? null : entry));
    int now = revisions.findByEntryOrderByRevision(id).size();
    if (now != after) {
      throw changed(after, now);
    }
    try {
      transaction.executeWithoutResult(
          status ->
              revisions.saveAndFlush(
                  new LedgerRevisionEntity(
                      id, after + 1, LedgerFormat.write(entry), isStruck, instant())));
    } catch (DataIntegrityViolationException e) {
      throw changed(after, after + 1);
    }
  }

  private static InvalidInput changed(int given, int now) {
    return refused("revision", "" + given, "must be " + now + ": it was corrected meanwhile");
  }

  /** Every state of an entry, the first first. */
  public List<RevisionTold> history(String id) {
    last(id);
    return revisions.findByEntryOrderByRevision(id).stream()
        .map(
            r ->
                new RevisionTold(
                    r.revision(), r.madeAt(), LedgerFormat.readKept(r.body()), r.isStruck()))
        .toList();
  }

  private LedgerRevisionEntity last(String id) {
    List<LedgerRevisionEntity> all = revisions.findByEntryOrderByRevision(id);
    if (all.isEmpty()) {
      throw refused("entry", id, "must be in the ledger");
    }
    return all.get(all.size() - 1);
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }

  /** Today, where the ledger is kept. */
  LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
  }

  private Instant instant() {
    return clock.instant().truncatedTo(ChronoUnit.MICROS);
  }
}
