package snikra.server.sales;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Problem;
import snikra.core.value.KeptSale;
import snikra.core.value.Sale;
import snikra.formats.InvalidInput;
import snikra.formats.SaleFormat;
import snikra.formats.UnreadableKnife;
import snikra.server.knives.KnifeService;

/** What like knives brought, entered once for the whole collection. */
public class SalesBook {
  static final int MOST = 50_000;

  private static final Logger LOG = LoggerFactory.getLogger(SalesBook.class);

  private final SaleRepository kept;
  private final TransactionTemplate transaction;
  private final Consumer<List<KeptSale>> whenChanged;
  private final Clock clock;
  private volatile List<KeptSale> sales = List.of();

  /**
   * A sales book.
   *
   * @param whenChanged told what is in the book, at once and after every change
   */
  public SalesBook(
      SaleRepository kept,
      PlatformTransactionManager transactions,
      Consumer<List<KeptSale>> whenChanged,
      Clock clock) {
    this.kept = kept;
    this.transaction = new TransactionTemplate(transactions);
    this.whenChanged = whenChanged;
    this.clock = clock;
    reopen();
  }

  /** All sales, in the order they came. */
  public List<KeptSale> all() {
    return sales;
  }

  /**
   * What was taken out by itself and not with all of its table: whoever did so does not want it,
   * where a whole table that was taken out may be brought again.
   */
  public Set<Sale.Told> letGo() {
    List<SaleEntity> rows = kept.findAll();
    Set<String> open =
        rows.stream()
            .filter(r -> !r.isRemoved() && r.batch() != null)
            .map(SaleEntity::batch)
            .collect(Collectors.toSet());
    return rows.stream()
        .filter(r -> r.isRemoved() && (r.batch() == null || open.contains(r.batch())))
        .map(r -> SaleFormat.readKept(r.sale()).told())
        .collect(Collectors.toSet());
  }

  /** Reads the book anew: it was changed from outside, as when a copy is brought back. */
  public final synchronized void reopen() {
    List<KeptSale> read = new ArrayList<>();
    for (SaleEntity row : kept.findByRemovedAtIsNullOrderByAddedAtAscIdAsc()) {
      try {
        read.add(new KeptSale(row.id(), SaleFormat.readKept(row.sale())));
      } catch (UnreadableKnife e) {
        // One that cannot be read must not keep the others from being weighed.
        LOG.warn("Sale {} cannot be read: {}", row.id(), e.getMessage());
      }
    }
    sales = List.copyOf(read);
    whenChanged.accept(sales);
  }

  /**
   * Keeps a sale. When this returns it is on the disk. Sent again it is kept once.
   *
   * @param id given by whoever sends it, once for each sale
   */
  public KeptSale add(String id, Sale sale) {
    requireRoom(1);
    transaction.executeWithoutResult(
        status -> {
          if (kept.findById(id).isEmpty()) {
            kept.save(new SaleEntity(id, SaleFormat.write(sale), null, now()));
          }
        });
    reopen();
    return find(id);
  }

  /** Keeps all sales of a table, or none of them; {@link #removeBatch} takes them out again. */
  public String addAll(List<Sale> all) {
    requireRoom(all.size());
    String batch = UUID.randomUUID().toString();
    Instant now = now();
    transaction.executeWithoutResult(
        status ->
            kept.saveAll(
                all.stream()
                    .map(
                        s ->
                            new SaleEntity(
                                UUID.randomUUID().toString(), SaleFormat.write(s), batch, now))
                    .toList()));
    reopen();
    return batch;
  }

  private void requireRoom(int more) {
    if (sales.size() + more > MOST) {
      throw refused(
          "sales", "" + (sales.size() + more), "must be " + MOST + " or fewer in the book");
    }
  }

  /** Changes a sale. */
  public KeptSale change(String id, Sale sale) {
    row(id, row -> row.setSale(SaleFormat.write(sale)));
    return find(id);
  }

  /** Takes a sale out of the book, or puts it back. */
  public void remove(String id, boolean isRemoved) {
    row(id, row -> row.setRemovedAt(isRemoved ? now() : null));
  }

  /** Takes all sales of a table out of the book, or puts them back. */
  public void removeBatch(String batch, boolean isRemoved) {
    transaction.executeWithoutResult(
        status -> {
          List<SaleEntity> rows = kept.findByBatch(batch);
          if (rows.isEmpty()) {
            throw refused("batch", batch, "must be of a table that was added");
          }
          rows.forEach(row -> row.setRemovedAt(isRemoved ? now() : null));
        });
    reopen();
  }

  /**
   * Lets go of what was taken out longer ago than it can be put back.
   *
   * @param with what hangs on a sale, by its id, and is let go first
   */
  public void throwAway(Consumer<String> with) {
    List<SaleEntity> due = kept.findByRemovedAtBefore(now().minus(KnifeService.KEPT_FOR));
    due.forEach(sale -> with.accept(sale.id()));
    transaction.executeWithoutResult(status -> kept.deleteAll(due));
  }

  /** Refuses what is not the id of a sale in the book. */
  public void require(String id) {
    find(id);
  }

  private void row(String id, Consumer<SaleEntity> change) {
    transaction.executeWithoutResult(
        status -> change.accept(kept.findById(id).orElseThrow(() -> none(id))));
    reopen();
  }

  private KeptSale find(String id) {
    return sales.stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow(() -> none(id));
  }

  private static InvalidInput none(String id) {
    return refused("sale", id, "must be in the sales book");
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
