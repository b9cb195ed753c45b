package snikra.server.reference;

import java.security.MessageDigest;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.OwnSchools;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.mark.PackReview;
import snikra.core.mark.PackReview.Remark;
import snikra.core.reference.Maker;
import snikra.core.reference.Region;
import snikra.core.value.KeptSale;
import snikra.formats.GradingFormat;
import snikra.formats.InvalidInput;
import snikra.formats.OwnPack;
import snikra.formats.PackFormat;
import snikra.formats.PackFormat.Change;
import snikra.formats.PackFormat.Pack;
import snikra.formats.SaleFormat;
import snikra.formats.ShippedShelf;
import snikra.server.keeping.Sha256;

/**
 * The reference packs in use: those that ship, and those the collector brought. Whoever examines
 * asks here for the examiner each time, for it changes with the packs.
 */
public class ReferenceDesk {
  static final int MOST_PACKS = 20;

  private final PackRepository kept;
  private final GradingRepository graded;
  private final TransactionTemplate transaction;
  private final Clock clock;
  private final Examiner bare;

  /** Whether what ships, all of it invented, is in use where the collector has not said. */
  private final boolean examples;

  private volatile State state;
  private volatile List<KeptSale> sales = List.of();

  /**
   * A pack at hand.
   *
   * @param pack null where it cannot be read any more
   */
  public record Held(
      String id,
      boolean shipped,
      boolean on,
      String yaml,
      @Nullable Pack pack,
      List<Remark> remarks) {}

  /**
   * What came of bringing a pack.
   *
   * @param changes against the version that was here; empty for a new pack
   */
  public record Brought(
      String id, String title, boolean isNew, List<Change> changes, List<Remark> remarks) {}

  private record State(
      List<Held> packs, OwnSchools grading, Examiner examiner, String fingerprint) {}

  /**
   * A desk with the packs that are kept.
   *
   * @param bare examiner with the shelf as shipped
   * @param examples whether the invented packs that ship are in use until they are switched off
   */
  public ReferenceDesk(
      PackRepository kept,
      GradingRepository graded,
      PlatformTransactionManager transactions,
      Clock clock,
      Examiner bare,
      boolean examples) {
    this.kept = kept;
    this.graded = graded;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
    this.bare = bare;
    this.examples = examples;
    this.state = open();
  }

  /** The examiner with all packs that are switched on. */
  public Examiner examiner() {
    return state.examiner;
  }

  /** The same for the same references in the same year: by it one knows whether a verdict holds. */
  public String fingerprint() {
    return state.fingerprint;
  }

  private String fingerprint(List<Held> packs, OwnSchools grading) {
    MessageDigest digest = Sha256.begin();
    Sha256.add(digest, GradingFormat.write(grading));
    sales.forEach(s -> Sha256.add(digest, s.id() + SaleFormat.write(s.sale())));
    Sha256.add(digest, ShippedShelf.bookText() + bare.thisYear());
    packs.stream().filter(Held::on).forEach(p -> Sha256.add(digest, p.yaml()));
    return Sha256.end(digest);
  }

  /** Reads the packs anew: they were changed from outside, as when a copy is brought back. */
  public synchronized void reopen() {
    state = open();
  }

  /** Values by this sales book from now on. */
  public synchronized void sellBy(List<KeptSale> book) {
    sales = book;
    State now = state;
    state =
        new State(
            now.packs, now.grading, now.examiner.with(book), fingerprint(now.packs, now.grading));
  }

  /** How this collection judges condition. */
  public OwnSchools grading() {
    return state.grading;
  }

  /** The book of condition as it ships. */
  public ConditionBook shippedGrading() {
    return bare.shelf().condition();
  }

  /**
   * Judges so from now on.
   *
   * @throws InvalidInput with every problem
   */
  public synchronized void judge(String json) {
    OwnSchools choice = GradingFormat.read(json, shippedGrading());
    transaction.executeWithoutResult(
        status -> graded.save(new GradingEntity(GradingFormat.write(choice))));
    state = open();
  }

  // Of an older book, it must not keep the application from starting.
  private OwnSchools readGrading() {
    OwnSchools shipped = OwnSchools.none(shippedGrading());
    try {
      return graded
          .findById(GradingEntity.ONLY)
          .map(row -> GradingFormat.read(row.choice(), shippedGrading()))
          .orElse(shipped);
    } catch (InvalidInput e) {
      return shipped;
    }
  }

  /** All packs, switched on or not. */
  public List<Held> packs() {
    return state.packs;
  }

  /** The pack with this id. */
  public Held pack(String id) {
    return packs().stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                refused(
                    "pack", id, "must be one of " + ids(packs().stream().map(Held::id).toList())));
  }

  /**
   * Takes a pack in, or only looks at it.
   *
   * @param file its name, for messages
   * @throws InvalidInput with every problem
   */
  public synchronized Brought bring(String file, String yaml, boolean keep) {
    Pack pack = usable(file, yaml);
    Held before = here(pack);
    List<Change> changes = before == null ? List.of() : PackFormat.changes(before.yaml(), yaml);
    if (keep) {
      change(
          pack.id(),
          new PackEntity(pack.id(), yaml, clock.instant().truncatedTo(ChronoUnit.MILLIS)),
          row -> row.setYaml(yaml));
    }
    return new Brought(
        pack.id(), pack.title(), before == null, changes, PackReview.remarks(pack.makers()));
  }

  /**
   * The examiner there would be with this pack taken in.
   *
   * @throws InvalidInput with every problem
   */
  public Examiner with(String file, String yaml) {
    Pack pack = usable(file, yaml);
    boolean isNew = here(pack) == null;
    return examiner(
        Stream.concat(
                packs().stream()
                    .filter(h -> h.on() || h.id().equals(pack.id()))
                    .map(h -> h.id().equals(pack.id()) ? pack : h.pack()),
                isNew ? Stream.of(pack) : Stream.empty())
            .toList());
  }

  /** The examiner there would be with this pack switched on or off. */
  public Examiner with(String id, boolean on) {
    Held held = pack(id);
    return examiner(
        packs().stream()
            .filter(h -> h.id().equals(held.id()) ? on && h.pack() != null : h.on())
            .map(Held::pack)
            .toList());
  }

  /** The text of the collector's own pack; null where there is none. */
  public @Nullable String own() {
    return packs().stream()
        .filter(h -> h.id().equals(OwnPack.ID))
        .map(Held::yaml)
        .findFirst()
        .orElse(null);
  }

  /** Keeps the collector's own pack so, in use; null takes it away. */
  synchronized void keepOwn(@Nullable String yaml) {
    if (yaml == null) {
      remove(OwnPack.ID);
      return;
    }
    usable(OwnPack.ID, yaml);
    change(
        OwnPack.ID,
        new PackEntity(OwnPack.ID, yaml, clock.instant().truncatedTo(ChronoUnit.MILLIS)),
        row -> {
          row.setYaml(yaml);
          row.setSwitchedOn(true);
        });
  }

  private Pack usable(String file, String yaml) {
    Pack pack = PackFormat.read(file, yaml);
    requireRegions(file, pack);
    Held before = here(pack);
    if (before != null && before.shipped()) {
      throw refused(
          file + ": id",
          pack.id(),
          "must be other than that of a pack that ships; lay a pack of your own over it");
    }
    if (before == null && packs().size() >= MOST_PACKS) {
      throw refused(file, packs().size() + " packs", "must be one of at most " + MOST_PACKS);
    }
    return pack;
  }

  private @Nullable Held here(Pack pack) {
    return packs().stream().filter(p -> p.id().equals(pack.id())).findFirst().orElse(null);
  }

  /** Switches a pack on or off. */
  public synchronized void switchTo(String id, boolean on) {
    Held held = pack(id);
    String yaml = held.shipped() ? null : held.yaml();
    change(
        id,
        new PackEntity(id, yaml, clock.instant().truncatedTo(ChronoUnit.MILLIS)),
        row -> row.setSwitchedOn(on));
  }

  /** Lets a pack go that the collector brought. */
  public synchronized void remove(String id) {
    if (pack(id).shipped()) {
      throw refused("pack", id, "must be one you brought; switch off what ships");
    }
    transaction.executeWithoutResult(status -> kept.deleteById(id));
    state = open();
  }

  private void change(String id, PackEntity anew, java.util.function.Consumer<PackEntity> change) {
    transaction.executeWithoutResult(
        status -> {
          PackEntity row = kept.findById(id).orElse(anew);
          change.accept(row);
          kept.save(row);
        });
    state = open();
  }

  private State open() {
    List<PackEntity> rows = kept.findAllByOrderByAddedAt();
    Map<String, Boolean> switched =
        rows.stream().collect(Collectors.toMap(PackEntity::id, PackEntity::isSwitchedOn));
    List<Held> packs = new ArrayList<>();
    for (String yaml : ShippedShelf.packTexts()) {
      Pack pack = PackFormat.read("shipped", yaml);
      packs.add(held(pack.id(), true, switched.getOrDefault(pack.id(), examples), yaml, pack));
    }
    for (PackEntity row : rows) {
      if (row.yaml() != null) {
        Pack pack = readOrNull(row);
        boolean on = row.isSwitchedOn() && pack != null;
        packs.add(held(row.id(), false, on, row.yaml(), pack));
      }
    }
    List<Pack> on = packs.stream().filter(Held::on).map(Held::pack).toList();
    OwnSchools grading = readGrading();
    return new State(
        List.copyOf(packs), grading, examiner(on, grading), fingerprint(packs, grading));
  }

  private Examiner examiner(List<Pack> on) {
    return examiner(on, state.grading);
  }

  private Examiner examiner(List<Pack> on, OwnSchools grading) {
    return bare.with(
            PackFormat.reading(on, bare.shelf())
                .with(PackFormat.assayOffices(on), PackFormat.makers(on))
                .gradedBy(shippedGrading().with(grading)))
        .with(sales);
  }

  private static Held held(
      String id, boolean shipped, boolean on, String yaml, @Nullable Pack pack) {
    List<Remark> remarks = pack == null ? List.of() : PackReview.remarks(pack.makers());
    return new Held(id, shipped, on, yaml, pack, remarks);
  }

  // A pack of an older schema must not keep the application from starting.
  private static @Nullable Pack readOrNull(PackEntity row) {
    try {
      return PackFormat.read(row.id(), row.yaml());
    } catch (InvalidInput e) {
      return null;
    }
  }

  private void requireRegions(String file, Pack pack) {
    Set<String> regions = new HashSet<>();
    bare.shelf().regions().stream().map(Region::id).forEach(regions::add);
    List<Problem> problems = new ArrayList<>();
    for (Maker m : pack.makers()) {
      if (!regions.contains(m.region())) {
        problems.add(
            new Problem(
                file + ": region of maker " + m.id(),
                m.region(),
                "must be one of " + ids(List.copyOf(regions))));
      }
    }
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
  }

  private static String ids(List<String> ids) {
    return ids.stream().sorted().collect(Collectors.joining(", "));
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }
}
