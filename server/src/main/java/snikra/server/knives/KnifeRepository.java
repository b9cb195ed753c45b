package snikra.server.knives;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.ListCrudRepository;

/** Knives by id; those in the tray in the order they came. */
public interface KnifeRepository extends ListCrudRepository<KnifeEntity, String> {

  /** All that are not deleted. */
  List<KnifeEntity> findByDeletedAtIsNullOrderByNumber();

  /** The next number in the tray; numbers are never given twice. */
  @Query(value = "select next value for knife_number", nativeQuery = true)
  int nextNumber();
}
