package snikra.server.sales;

import java.time.Instant;
import java.util.List;
import org.springframework.data.repository.ListCrudRepository;

/** Sales by id. */
public interface SaleRepository extends ListCrudRepository<SaleEntity, String> {
  /** All that are in the book, in the order they came. */
  List<SaleEntity> findByRemovedAtIsNullOrderByAddedAtAscIdAsc();

  /** All of one table, taken out or not. */
  List<SaleEntity> findByBatch(String batch);

  /** What was taken out before. */
  List<SaleEntity> findByRemovedAtBefore(Instant before);
}
