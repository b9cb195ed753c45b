package snikra.server.knives;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import java.util.function.Supplier;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Examiner;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;
import snikra.formats.SpecimenFormat;

/** Keeps knives. A knife comes back as it was saved; what is concluded is never kept. */
public class KnifeService {
  private final KnifeRepository knives;
  private final Supplier<Examiner> desk;
  private final TransactionTemplate transaction;
  private final Consumer<SavedKnife> whenSaved;
  private final Clock clock;

  /**
   * Entries worked out so far, by knife, and by whom; with other references they are worth nothing.
   */
  private final Map<String, TrayEntry> entries = new ConcurrentHashMap<>();

  private volatile Examiner workedOutBy;

  public KnifeService(
      KnifeRepository knives,
      Supplier<Examiner> desk,
      PlatformTransactionManager transactions,
      Consumer<SavedKnife> whenSaved,
      Clock clock) {
    this.knives = knives;
    this.desk = desk;
    this.transaction = new TransactionTemplate(transactions);
    this.whenSaved = whenSaved;
    this.clock = clock;
  }

  /** All knives in the tray, each in a few words. */
  public List<TrayEntry> tray() {
    Examiner examiner = desk.get();
    if (!Objects.equals(workedOutBy, examiner)) {
      entries.clear();
      workedOutBy = examiner;
    }
    return knives.findByDeletedAtIsNullOrderByNumber().stream()
        .map(knife -> entry(knife, examiner))
        .toList();
  }

  /** Which knives bear marks of a maker, by mark. */
  public Map<String, List<Resting>> bearing(String maker) {
    Examiner examiner = desk.get();
    Map<String, List<Resting>> byMark = new TreeMap<>();
    for (KnifeEntity knife : knives.findByDeletedAtIsNullOrderByNumber()) {
      Specimen specimen = SpecimenFormat.readKept(knife.specimen());
      examiner
          .leadingMark(specimen)
          .filter(mark -> mark.maker().id().equals(maker))
          .ifPresent(
              mark ->
                  byMark
                      .computeIfAbsent(mark.variant().id(), id -> new ArrayList<>())
                      .add(Resting.of(entry(knife, examiner))));
    }
    return byMark;
  }

  /** Which knives show this answer to a question of the clue book. */
  public List<Resting> showing(String feature, String answer) {
    Examiner examiner = desk.get();
    return knives.findByDeletedAtIsNullOrderByNumber().stream()
        .filter(
            knife -> {
              Seen<String> seen = SpecimenFormat.readKept(knife.specimen()).seen().get(feature);
              return seen != null && answer.equals(seen.value());
            })
        .map(knife -> Resting.of(entry(knife, examiner)))
        .toList();
  }

  /** Every knife in the tray as it was found. */
  public List<SavedKnife> all() {
    return knives.findByDeletedAtIsNullOrderByNumber().stream().map(KnifeService::saved).toList();
  }

  /** A knife whose verdict rests on a fact. */
  public record Resting(String id, int number, String title) {
    static Resting of(TrayEntry entry) {
      String own = entry.title();
      return new Resting(entry.id(), entry.number(), own == null ? entry.summary().title() : own);
    }
  }

  /** One knife. */
  public SavedKnife get(String id) {
    return saved(find(id));
  }

  /** Keeps a new knife. When this returns it is on disk. */
  public SavedKnife add(Specimen knife) {
    String written = SpecimenFormat.write(knife);
    SavedKnife saved =
        transaction.execute(
            status ->
                saved(
                    knives.save(
                        new KnifeEntity(
                            UUID.randomUUID().toString(), knives.nextNumber(), written, now()))));
    whenSaved.accept(saved);
    return saved;
  }

  /**
   * Changes a knife. When this returns the change is on disk.
   *
   * @throws KnifeChangedMeanwhile when it is no longer at this version
   */
  public SavedKnife change(String id, long version, Specimen knife) {
    String written = SpecimenFormat.write(knife);
    SavedKnife saved = at(id, version, k -> k.change(written, now()));
    whenSaved.accept(saved);
    return saved;
  }

  /** Takes a knife out of the tray; {@link #restore} brings it back. */
  public void delete(String id) {
    find(id);
    transaction.executeWithoutResult(status -> knives.findById(id).ifPresent(k -> k.delete(now())));
  }

  /** Puts a deleted knife back. */
  public SavedKnife restore(String id) {
    KnifeEntity kept = knives.findById(id).orElseThrow(() -> new NoSuchKnife(id));
    return at(id, kept.version(), k -> k.restore(now()));
  }

  private SavedKnife at(String id, long version, Consumer<KnifeEntity> change) {
    try {
      transaction.executeWithoutResult(
          status -> {
            KnifeEntity knife = knives.findById(id).orElseThrow(() -> new NoSuchKnife(id));
            if (knife.version() != version) {
              throw new KnifeChangedMeanwhile(version, saved(knife));
            }
            change.accept(knife);
          });
    } catch (OptimisticLockingFailureException e) {
      throw new KnifeChangedMeanwhile(version, get(id));
    }
    return get(id);
  }

  private KnifeEntity find(String id) {
    return knives.findById(id).filter(k -> !k.isDeleted()).orElseThrow(() -> new NoSuchKnife(id));
  }

  private TrayEntry entry(KnifeEntity knife, Examiner examiner) {
    return entries.compute(
        knife.id(),
        (id, known) ->
            known != null && known.version() == knife.version()
                ? known
                : summarise(knife, examiner));
  }

  private static TrayEntry summarise(KnifeEntity knife, Examiner examiner) {
    Specimen specimen = SpecimenFormat.readKept(knife.specimen());
    return new TrayEntry(
        knife.id(),
        knife.number(),
        knife.version(),
        specimen.title(),
        examiner.summarise(specimen),
        examiner.sketch(specimen));
  }

  private static SavedKnife saved(KnifeEntity k) {
    return new SavedKnife(
        k.id(), k.number(), k.version(), k.updatedAt(), SpecimenFormat.readKept(k.specimen()));
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
