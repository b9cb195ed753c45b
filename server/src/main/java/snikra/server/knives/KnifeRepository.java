package snikra.server.knives;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Knives by id; those in the tray in the order they came. */
public interface KnifeRepository extends JpaRepository<KnifeEntity, String> {

  /** All that are not deleted. */
  List<KnifeEntity> findByDeletedAtIsNullOrderByNumber();

  /** How many are not deleted. */
  long countByDeletedAtIsNull();

  /** Those that are deleted, the last first. */
  List<KnifeEntity> findByDeletedAtIsNotNullOrderByDeletedAtDesc();

  /** The next number in the tray; numbers are never given twice. */
  @Query(value = "select next value for knife_number", nativeQuery = true)
  int nextNumber();
}
