package snikra.server.knives;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Knives by id; those in the tray in the order they came. */
public interface KnifeRepository extends JpaRepository<KnifeEntity, String> {

  /** All that are not deleted. */
  List<KnifeEntity> findByDeletedAtIsNullOrderByNumber();

  /** Where every knife that is not deleted stands, without what was found of it. */
  @Query(
      "select new snikra.server.knives.Catalogue$Standing(k.id, k.number, k.version)"
          + " from KnifeEntity k where k.deletedAt is null order by k.number")
  List<Catalogue.Standing> standing();

  /** Which of these knives there are. */
  @Query("select k.id from KnifeEntity k where k.id in :ids")
  Set<String> idsAmong(Collection<String> ids);

  /** All that came with a list, deleted or not. */
  List<KnifeEntity> findByBatch(String batch);

  /** Which of these knives are in the tray. */
  @Query("select k.id from KnifeEntity k where k.id in :ids and k.deletedAt is null")
  Set<String> inTrayAmong(Collection<String> ids);

  /** How many are not deleted. */
  long countByDeletedAtIsNull();

  /** Those that are deleted, the last first. */
  List<KnifeEntity> findByDeletedAtIsNotNullOrderByDeletedAtDesc();

  /** The next number in the tray; numbers are never given twice. */
  @Query(value = "select next value for knife_number", nativeQuery = true)
  int nextNumber();
}
