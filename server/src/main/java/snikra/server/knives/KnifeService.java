package snikra.server.knives;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.formats.SpecimenFormat;
import snikra.formats.UnreadableKnife;

/** Keeps knives. A knife comes back as it was saved; what is concluded is never kept. */
public class KnifeService {
  /** How long a knife that was taken out can be put back. */
  public static final Duration KEPT_FOR = Duration.ofDays(30);

  /** Two who take out and put back one knife at once wait for one another so often. */
  private static final int TRIES = 5;

  private final KnifeRepository knives;
  private final Supplier<Examiner> desk;
  private final TransactionTemplate transaction;
  private final Consumer<Object> whenChanged;
  private final Clock clock;

  public KnifeService(
      KnifeRepository knives,
      Supplier<Examiner> desk,
      PlatformTransactionManager transactions,
      Consumer<Object> whenChanged,
      Clock clock) {
    this.knives = knives;
    this.desk = desk;
    this.transaction = new TransactionTemplate(transactions);
    this.whenChanged = whenChanged;
    this.clock = clock;
  }

  /** Which knives bear marks of a maker, by mark. */
  public Map<String, List<Resting>> bearing(String maker) {
    Examiner examiner = desk.get();
    Map<String, List<Resting>> byMark = new TreeMap<>();
    readable()
        .forEach(
            knife ->
                examiner
                    .leadingMark(knife.specimen())
                    .filter(mark -> mark.maker().id().equals(maker))
                    .ifPresent(
                        mark ->
                            byMark
                                .computeIfAbsent(mark.variant().id(), id -> new ArrayList<>())
                                .add(Resting.of(knife, examiner))));
    return byMark;
  }

  /** Which knives show this answer to a question of the clue book. */
  public List<Resting> showing(String feature, String answer) {
    Examiner examiner = desk.get();
    return readable()
        .filter(
            knife -> {
              Seen<String> seen = knife.specimen().seen().get(feature);
              return seen != null && answer.equals(seen.value());
            })
        .map(knife -> Resting.of(knife, examiner))
        .toList();
  }

  /** Every knife in the tray that can be read, as it was found. */
  public List<SavedKnife> all() {
    return readable().toList();
  }

  // One that cannot be read is told in the tray; it must not keep the others from being used.
  private Stream<SavedKnife> readable() {
    return knives.findByDeletedAtIsNullOrderByNumber().stream()
        .map(
            kept -> {
              try {
                return saved(kept);
              } catch (UnreadableKnife e) {
                return null;
              }
            })
        .filter(Objects::nonNull);
  }

  /** A knife whose verdict rests on a fact. */
  public record Resting(String id, int number, String title) {
    static Resting of(SavedKnife knife, Examiner examiner) {
      String own = knife.specimen().title();
      return new Resting(
          knife.id(), knife.number(), own != null ? own : examiner.title(knife.specimen()));
    }
  }

  /** One knife. */
  public SavedKnife get(String id) {
    return saved(find(id));
  }

  /** The text of a knife as it is kept, readable or not. */
  public String text(String id) {
    return find(id).specimen();
  }

  /** How many knives are in the tray. */
  public long count() {
    return knives.countByDeletedAtIsNull();
  }

  /** Keeps a new knife under an id of its own. When this returns it is on the disk. */
  public SavedKnife add(Specimen knife) {
    return add(UUID.randomUUID().toString(), knife);
  }

  /**
   * Keeps a new knife. When this returns it is on the disk. Sent again, because the answer was
   * lost, it is answered with what is there.
   *
   * @param id given by whoever sends it, once for each knife
   */
  public SavedKnife add(String id, Specimen knife) {
    Optional<KnifeEntity> here = knives.findById(id);
    if (here.isPresent()) {
      return assured(find(id));
    }
    String written = SpecimenFormat.write(knife);
    try {
      SavedKnife saved =
          transaction.execute(
              status ->
                  saved(
                      knives.saveAndFlush(new KnifeEntity(id, knives.nextNumber(), written, now())),
                      knife));
      whenChanged.accept(saved);
      return saved;
    } catch (DataIntegrityViolationException e) {
      return assured(find(id));
    }
  }

  /**
   * Changes a knife. When this returns the change is on the disk. A change that is already made,
   * because it was sent twice, is answered with what is there.
   *
   * @throws KnifeChangedMeanwhile when it is no longer at this version
   */
  public SavedKnife change(String id, long version, Specimen knife) {
    String written = SpecimenFormat.write(knife);
    KnifeEntity kept = find(id);
    if (kept.specimen().equals(written)) {
      return assured(kept);
    }
    try {
      SavedKnife saved =
          transaction.execute(
              status -> {
                KnifeEntity row = find(id);
                if (row.version() != version) {
                  throw new KnifeChangedMeanwhile(version, saved(row));
                }
                row.change(written, now());
                return saved(knives.saveAndFlush(row), knife);
              });
      whenChanged.accept(saved);
      return saved;
    } catch (ConcurrencyFailureException e) {
      throw new KnifeChangedMeanwhile(version, saved(find(id)));
    }
  }

  /**
   * Keeps the knives of a list that are not in the tray yet, all or none of them; {@link
   * #removeBatch} takes them out again. When this returns they are on the disk. Their first entry
   * in the journal is made when they are first changed.
   *
   * @param batch by which they are known together; several calls may name one
   * @param all by an id that is the same whenever the same row comes
   * @return how many were kept
   */
  public int addAll(String batch, Map<String, Specimen> all) {
    int taken =
        transaction.execute(
            status -> {
              Map<String, KnifeEntity> here = new HashMap<>();
              knives.findAllById(all.keySet()).forEach(k -> here.put(k.id(), k));
              List<KnifeEntity> anew = new ArrayList<>();
              all.forEach(
                  (id, knife) -> {
                    KnifeEntity known = here.get(id);
                    if (known == null) {
                      String written = SpecimenFormat.write(knife);
                      anew.add(new KnifeEntity(id, knives.nextNumber(), written, now(), batch));
                    } else if (known.isDeleted()) {
                      known.comeAgain(batch, now());
                      anew.add(known);
                    }
                  });
              knives.saveAllAndFlush(anew);
              return anew.size();
            });
    whenChanged.accept(new TrayChanged());
    return taken;
  }

  /**
   * Changes several knives at once, all or none. When this returns the changes are on the disk.
   *
   * @return each as it was before
   * @throws NoSuchKnife when one is not in the tray
   */
  public Map<String, Specimen> changeAll(
      Collection<String> ids, BiFunction<String, Specimen, Specimen> change) {
    Map<String, Specimen> before = new LinkedHashMap<>();
    List<SavedKnife> changed = new ArrayList<>();
    patiently(
        () ->
            transaction.execute(
                status -> {
                  before.clear();
                  changed.clear();
                  for (String id : ids) {
                    KnifeEntity row = find(id);
                    Specimen was = SpecimenFormat.readKept(row.specimen());
                    Specimen is = change.apply(id, was);
                    before.put(id, was);
                    if (!is.equals(was)) {
                      row.change(SpecimenFormat.write(is), now());
                      changed.add(saved(knives.saveAndFlush(row), is));
                    }
                  }
                  return changed;
                }));
    changed.forEach(whenChanged);
    return before;
  }

  /** Which of these are in the tray. */
  public Set<String> inTrayAmong(Collection<String> ids) {
    return ids.isEmpty() ? Set.of() : knives.inTrayAmong(ids);
  }

  /** Takes all knives of a list out of the tray, or puts them back. */
  public void removeBatch(String batch, boolean isRemoved) {
    transaction.executeWithoutResult(
        status -> {
          List<KnifeEntity> rows = knives.findByBatch(batch);
          if (rows.isEmpty()) {
            throw new InvalidInput(
                List.of(new Problem("batch", batch, "must be of a list that was added")));
          }
          Instant now = now();
          rows.stream()
              .filter(k -> k.isDeleted() != isRemoved)
              .forEach(
                  k -> {
                    if (isRemoved) {
                      k.delete(now);
                    } else {
                      k.restore(now);
                    }
                  });
          knives.saveAllAndFlush(rows);
        });
    whenChanged.accept(new TrayChanged());
  }

  // What is there already may be from a save whose way to the disk failed: it is gone again.
  private SavedKnife assured(KnifeEntity knife) {
    transaction.executeWithoutResult(status -> {});
    return saved(knife);
  }

  /** Takes a knife out of the tray; {@link #restore} brings it back. */
  public void delete(String id) {
    find(id);
    row(
        id,
        knife -> {
          knife.delete(now());
          return knives.saveAndFlush(knife);
        });
    whenChanged.accept(new TrayChanged());
  }

  /** Puts a knife back that was taken out. */
  public SavedKnife restore(String id) {
    SavedKnife saved =
        saved(
            row(
                id,
                knife -> {
                  knife.restore(now());
                  return knives.saveAndFlush(knife);
                }));
    whenChanged.accept(new TrayChanged());
    return saved;
  }

  // Taking out and putting back need no version: the last who does so has it.
  private KnifeEntity row(String id, Function<KnifeEntity, KnifeEntity> change) {
    return patiently(
        () ->
            transaction.execute(
                status ->
                    change.apply(knives.findById(id).orElseThrow(() -> new NoSuchKnife(id)))));
  }

  // Whoever comes second to what another is changing just now begins anew.
  private static <T> T patiently(Supplier<T> work) {
    for (int left = TRIES; ; left--) {
      try {
        return work.get();
      } catch (ConcurrencyFailureException e) {
        if (left == 1) {
          throw e;
        }
      }
    }
  }

  /** The knives that were taken out and can still be put back, the last first. */
  public List<TakenOut> takenOut() {
    return knives.findByDeletedAtIsNotNullOrderByDeletedAtDesc().stream()
        .map(k -> new TakenOut(k.id(), k.number(), titleOf(k), k.deletedAt(), until(k)))
        .toList();
  }

  private static Instant until(KnifeEntity knife) {
    return knife.deletedAt().plus(KEPT_FOR);
  }

  private static @Nullable String titleOf(KnifeEntity knife) {
    try {
      return SpecimenFormat.readKept(knife.specimen()).title();
    } catch (UnreadableKnife e) {
      return null;
    }
  }

  /**
   * A knife that is not in the tray any more.
   *
   * @param until when it goes for good
   */
  public record TakenOut(
      String id, int number, @Nullable String title, Instant at, Instant until) {}

  /** Ids of the knives that were taken out long enough ago to go for good. */
  public List<String> due() {
    Instant longAgo = now().minus(KEPT_FOR);
    return knives.findByDeletedAtIsNotNullOrderByDeletedAtDesc().stream()
        .filter(k -> k.deletedAt().isBefore(longAgo))
        .map(KnifeEntity::id)
        .toList();
  }

  /** Makes sure that a knife was taken out, and so may go for good. */
  public void requireTakenOut(String id) {
    if (knives.findById(id).filter(KnifeEntity::isDeleted).isEmpty()) {
      throw new NoSuchKnife(id);
    }
  }

  /** Knives in the tray that cannot be read, each with why. */
  public List<String> unreadable() {
    List<String> out = new ArrayList<>();
    for (KnifeEntity knife : knives.findByDeletedAtIsNullOrderByNumber()) {
      try {
        saved(knife);
      } catch (UnreadableKnife e) {
        out.add("Knife " + knife.number() + ": " + e.getMessage());
      }
    }
    return out;
  }

  /** Lets a knife go for good that was taken out; what hangs on it must have gone before. */
  public void forget(String id) {
    transaction.executeWithoutResult(
        status -> knives.findById(id).filter(KnifeEntity::isDeleted).ifPresent(knives::delete));
  }

  private KnifeEntity find(String id) {
    return knives.findById(id).filter(k -> !k.isDeleted()).orElseThrow(() -> new NoSuchKnife(id));
  }

  private static SavedKnife saved(KnifeEntity k) {
    return saved(k, SpecimenFormat.readKept(k.specimen()));
  }

  private static SavedKnife saved(KnifeEntity k, Specimen specimen) {
    return new SavedKnife(k.id(), k.number(), k.version(), k.updatedAt(), specimen);
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
