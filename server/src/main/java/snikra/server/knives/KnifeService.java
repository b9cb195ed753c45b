package snikra.server.knives;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Examiner;
import snikra.core.specimen.Specimen;
import snikra.formats.SpecimenFormat;

/** Keeps knives. A knife comes back as it was saved; what is concluded is never kept. */
public class KnifeService {
  private final KnifeRepository knives;
  private final Examiner examiner;
  private final TransactionTemplate transaction;
  private final Clock clock;

  /** Entries worked out so far, by knife; one is thrown away when its version changes. */
  private final Map<String, TrayEntry> entries = new ConcurrentHashMap<>();

  public KnifeService(
      KnifeRepository knives,
      Examiner examiner,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.knives = knives;
    this.examiner = examiner;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  /** All knives in the tray, each in a few words. */
  public List<TrayEntry> tray() {
    return knives.findByDeletedAtIsNullOrderByNumber().stream().map(this::entry).toList();
  }

  /** One knife. */
  public SavedKnife get(String id) {
    return saved(find(id));
  }

  /** Keeps a new knife. When this returns it is on disk. */
  public SavedKnife add(Specimen knife) {
    String written = SpecimenFormat.write(knife);
    return transaction.execute(
        status ->
            saved(
                knives.save(
                    new KnifeEntity(
                        UUID.randomUUID().toString(), knives.nextNumber(), written, now()))));
  }

  /**
   * Changes a knife. When this returns the change is on disk.
   *
   * @throws KnifeChangedMeanwhile when it is no longer at this version
   */
  public SavedKnife change(String id, long version, Specimen knife) {
    String written = SpecimenFormat.write(knife);
    return at(id, version, k -> k.change(written, now()));
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

  private TrayEntry entry(KnifeEntity knife) {
    return entries.compute(
        knife.id(),
        (id, known) ->
            known != null && known.version() == knife.version() ? known : summarise(knife));
  }

  private TrayEntry summarise(KnifeEntity knife) {
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
