package snikra.server.knives;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.event.EventListener;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Examiner;
import snikra.core.examination.Sketch;
import snikra.core.examination.Verdict;
import snikra.core.provenance.StoryEvent;
import snikra.core.search.Card;
import snikra.core.search.Facet;
import snikra.core.search.Found;
import snikra.core.specimen.Specimen;
import snikra.formats.Json;
import snikra.formats.KnivesList;
import snikra.formats.SpecimenFormat;
import snikra.formats.UnreadableKnife;
import snikra.server.reference.Verdicts;

/**
 * The tray: every knife in a few words. A row is worked out once for each version of a knife and
 * each state of the references, kept as it is sent, and shown meanwhile where a newer one is still
 * being worked out. It can be thrown away at any time: what is missing is made anew.
 */
public class Catalogue implements AutoCloseable {
  /** So many are worked out while one waits; more are left to the background. */
  static final int AT_ONCE = 24;

  private static final Logger LOG = LoggerFactory.getLogger(Catalogue.class);
  private static final int KEPT_TOGETHER = 200;
  private static final int HANDS =
      Math.max(1, Math.min(4, Runtime.getRuntime().availableProcessors()));
  private static final long PATIENCE_S = 10;

  private final CatalogueRepository kept;
  private final KnifeRepository knives;
  private final Supplier<Examiner> desk;
  private final Supplier<String> by;
  private final Verdicts verdicts;
  private final TransactionTemplate transaction;

  private final Map<String, CatalogueRow> rows = new ConcurrentHashMap<>();
  private final Set<String> unkept = ConcurrentHashMap.newKeySet();
  private final Queue<String> open = new ConcurrentLinkedQueue<>();
  private final AtomicInteger working = new AtomicInteger();
  private final AtomicLong changes = new AtomicLong();
  private final Finder finder = new Finder();
  private volatile boolean isRead;

  /** Set when Snikra stops: what is still open is left for the next start. */
  private volatile boolean isStopping;

  private final ExecutorService hands =
      Executors.newFixedThreadPool(
          HANDS,
          task -> {
            Thread hand = new Thread(task, "catalogue");
            hand.setDaemon(true);
            return hand;
          });

  /**
   * A catalogue.
   *
   * @param by tells the references, and the build that reads them, apart from others
   */
  public Catalogue(
      CatalogueRepository kept,
      KnifeRepository knives,
      Supplier<Examiner> desk,
      Supplier<String> by,
      Verdicts verdicts,
      PlatformTransactionManager transactions) {
    this.kept = kept;
    this.knives = knives;
    this.desk = desk;
    this.by = by;
    this.verdicts = verdicts;
    this.transaction = new TransactionTemplate(transactions);
  }

  /** Where a knife stands in the tray. */
  public record Standing(String id, int number, long version) {}

  /** Writes all knives in the tray, in their order, as a list. */
  void write(OutputStream out) throws IOException {
    String now = by.get();
    List<Standing> all = upToDate(now);
    out.write('[');
    boolean isFirst = true;
    for (Standing knife : all) {
      if (!isFirst) {
        out.write(',');
      }
      isFirst = false;
      out.write(told(knife, now).getBytes(StandardCharsets.UTF_8));
    }
    out.write(']');
  }

  private String told(Standing knife, String now) {
    CatalogueRow row = rows.get(knife.id());
    if (row == null) {
      return Json.mapper()
          .writeValueAsString(TrayEntry.pending(knife.id(), knife.number(), knife.version()));
    }
    return row.isOf(knife.version()) && row.isBy(now)
        ? row.entry()
        : "{\"stale\":true," + row.entry().substring(1);
  }

  // Few are worked out at once; many in the background, and shown as they were.
  private List<Standing> upToDate(String now) {
    read();
    List<Standing> all = knives.standing();
    List<Standing> missing = all.stream().filter(k -> !isUpToDate(k, now)).toList();
    if (missing.size() <= AT_ONCE) {
      missing.forEach(k -> work(k.id()));
    } else {
      Set<String> waiting = Set.copyOf(open);
      missing.stream().map(Standing::id).filter(id -> !waiting.contains(id)).forEach(open::add);
      lendHands();
    }
    return all;
  }

  private boolean isUpToDate(Standing knife, String now) {
    CatalogueRow row = rows.get(knife.id());
    return row != null && row.isOf(knife.version()) && row.isBy(now);
  }

  private void lendHands() {
    while (working.get() < HANDS && working.getAndIncrement() < HANDS) {
      hands.execute(this::workOff);
    }
  }

  private void workOff() {
    try {
      String id = open.poll();
      while (id != null && !isStopping) {
        work(id);
        if (unkept.size() >= KEPT_TOGETHER) {
          keep();
        }
        id = open.poll();
      }
      keep();
    } finally {
      working.decrementAndGet();
    }
  }

  /** Works out what is told of a knife that was just saved: the verdict on it is at hand mostly. */
  @EventListener
  public void saved(SavedKnife knife) {
    // At once, so that who searches before it is worked out waits for it and does not miss it.
    changes.incrementAndGet();
    if (!isStopping) {
      hands.execute(() -> work(knife.id()));
    }
  }

  private void work(String id) {
    if (isStopping) {
      return;
    }
    try {
      String now = by.get();
      knives.findById(id).filter(k -> !k.isDeleted()).ifPresent(k -> put(row(k, now)));
    } catch (RuntimeException e) {
      // One knife that cannot be worked out must not keep the others from being shown.
      LOG.error("Knife {} was not worked out for the tray.", id, e);
    }
  }

  private CatalogueRow row(KnifeEntity knife, String now) {
    Examiner examiner = desk.get();
    try {
      Specimen specimen = SpecimenFormat.readKept(knife.specimen());
      SavedKnife saved =
          new SavedKnife(knife.id(), knife.number(), knife.version(), knife.updatedAt(), specimen);
      Optional<Verdict> atHand = verdicts.atHand(examiner, specimen);
      Examiner.Entered entered =
          atHand
              .map(v -> examiner.enter(knife.number(), specimen, v))
              .orElseGet(() -> examiner.enter(knife.number(), specimen));
      Sketch sketch = atHand.map(Verdict::sketch).orElseGet(() -> examiner.sketch(specimen));
      return row(knife, now, TrayEntry.of(saved, entered.summary(), sketch), entered.card());
    } catch (UnreadableKnife e) {
      return row(
          knife,
          now,
          TrayEntry.unreadable(knife.id(), knife.number(), knife.version(), e.getMessage()),
          Card.unread(knife.number()));
    }
  }

  private static CatalogueRow row(KnifeEntity knife, String now, TrayEntry entry, Card card) {
    return new CatalogueRow(
        knife.id(),
        knife.version(),
        now,
        Json.mapper().writeValueAsString(entry),
        Json.mapper().writeValueAsString(card));
  }

  private void put(CatalogueRow row) {
    rows.put(row.knifeId(), row);
    unkept.add(row.knifeId());
    changes.incrementAndGet();
  }

  /** Notes that knives came or went. */
  @EventListener
  public void changed(TrayChanged tray) {
    changes.incrementAndGet();
  }

  /** Knives that answer to a search, as far as they are worked out. */
  Found find(FoundBy by) {
    bringUp();
    return finder.find(by.words(), by.ticked(), desk.get().shelf().judgement().of("search.may-be"));
  }

  /** The cards of the knives that answer to a search, by number, as far as they are worked out. */
  public List<Card> cards(FoundBy by) {
    return finder.cards(find(by));
  }

  /** Knives that are taken for something on file of a maker, as far as they are worked out. */
  List<Finder.InSets> inSets() {
    bringUp();
    return finder.inSets();
  }

  /**
   * Gets ready to be asked: rows that are kept are read, and what they are found by put in order.
   */
  public void open() {
    bringUp();
  }

  private void bringUp() {
    String now = this.by.get();
    // Looked at before the rows are: what comes meanwhile is brought in by the next search.
    long state = changes.get();
    if (finder.isBehind(state, now)) {
      finder.bring(upToDate(now), rows, changes.get() == state ? state : -1, now);
    }
  }

  /**
   * Knives that answer to a search as they lie in the tray, by number; those that cannot be read
   * are among them.
   */
  public List<TrayEntry> entries(FoundBy by) {
    return finder.rows(find(by)).stream()
        .map(row -> Json.mapper().readValue(row.entry(), TrayEntry.class))
        .toList();
  }

  /** Ids of the knives in the tray, by number. */
  public Map<Integer, String> numbers() {
    return knives.standing().stream().collect(Collectors.toMap(Standing::number, Standing::id));
  }

  /**
   * A knife that was found, as it is kept and as it is told.
   *
   * @param text the knife as it is kept
   * @param row as it lies in the tray
   * @param index as it is found
   */
  public record Shown(String id, int number, String text, String row, String index) {
    /** What was seen of it. */
    public Specimen knife() {
      return SpecimenFormat.readKept(text);
    }

    /**
     * What is told of it; nothing where it cannot be read. One without a story is not read at all.
     */
    public List<StoryEvent> story() {
      if (!text.contains("\"story\"")) {
        return List.of();
      }
      try {
        return knife().story();
      } catch (UnreadableKnife e) {
        return List.of();
      }
    }

    /** How it lies in the tray. */
    public TrayEntry entry() {
      return Json.mapper().readValue(row, TrayEntry.class);
    }

    /** What it is found by. */
    public Card card() {
      return Json.mapper().readValue(index, Card.class);
    }

    /** As it stands in a list; none where it cannot be read. */
    public Optional<KnivesList.Listed> listed() {
      return Optional.ofNullable(entry().summary())
          .map(
              summary ->
                  new KnivesList.Listed(
                      number, knife(), summary, card().known(Facet.COUNTRY).orElse(null)));
    }
  }

  /** Goes over the knives that answer to a search, each with what was worked out of it. */
  public void eachFound(FoundBy by, Consumer<Shown> each) {
    List<CatalogueRow> found = finder.rows(find(by));
    for (int from = 0; from < found.size(); from += KEPT_TOGETHER) {
      List<CatalogueRow> some = found.subList(from, Math.min(found.size(), from + KEPT_TOGETHER));
      Map<String, KnifeEntity> there = new HashMap<>();
      knives
          .findAllById(some.stream().map(CatalogueRow::knifeId).toList())
          .forEach(k -> there.put(k.id(), k));
      some.stream()
          .filter(r -> there.containsKey(r.knifeId()))
          .map(r -> shown(there.get(r.knifeId()), r))
          .forEach(each);
    }
  }

  private static Shown shown(KnifeEntity knife, CatalogueRow row) {
    return new Shown(knife.id(), knife.number(), knife.specimen(), row.entry(), row.card());
  }

  /** Keeps what was worked out, a good many rows at a time. */
  void keep() {
    List<String> ids = List.copyOf(unkept);
    for (int from = 0; from < ids.size(); from += KEPT_TOGETHER) {
      List<String> some = ids.subList(from, Math.min(ids.size(), from + KEPT_TOGETHER));
      unkept.removeAll(Set.copyOf(some));
      try {
        transaction.executeWithoutResult(status -> kept.saveAll(stillThere(some)));
      } catch (RuntimeException e) {
        // The disk may be full: nothing of the collector's is lost with a row.
        unkept.addAll(some);
        LOG.warn("What was worked out for the tray was not kept: {}", e.getMessage());
        return;
      }
    }
  }

  private List<CatalogueRow> stillThere(List<String> ids) {
    Set<String> there = knives.idsAmong(ids);
    List<CatalogueRow> out = new ArrayList<>();
    for (String id : ids) {
      Optional.ofNullable(rows.get(id)).filter(r -> there.contains(id)).ifPresent(out::add);
    }
    return out;
  }

  private synchronized void read() {
    if (!isRead) {
      kept.findAll().forEach(row -> rows.putIfAbsent(row.knifeId(), row));
      isRead = true;
    }
  }

  /** Lets go of all rows at hand: the knives were exchanged. */
  public synchronized void forget() {
    open.clear();
    rows.clear();
    unkept.clear();
    isRead = false;
    changes.incrementAndGet();
  }

  /** How a knife is told, for those who ask for one; null where it is not worked out yet. */
  @Nullable String entry(String id) {
    CatalogueRow row = rows.get(id);
    return row == null ? null : row.entry();
  }

  /** How many knives are still to be worked out. */
  public int left() {
    return open.size() + working.get();
  }

  @Override
  public void close() {
    isStopping = true;
    hands.shutdown();
    open.clear();
    try {
      hands.awaitTermination(PATIENCE_S, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
    keep();
  }
}
