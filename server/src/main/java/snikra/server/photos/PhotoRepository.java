package snikra.server.photos;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.ListCrudRepository;

/** Photographs by id, and those of a knife in the order they came. */
public interface PhotoRepository extends ListCrudRepository<PhotoEntity, String> {

  /** All of one knife that are there. */
  List<PhotoEntity> findByKnifeIdAndTakenAwayAtIsNullOrderByAddedAt(String knifeId);

  /** All of several knives that are there. */
  List<PhotoEntity> findByKnifeIdInAndTakenAwayAtIsNullOrderByAddedAt(Collection<String> knives);

  /** One that is there. */
  Optional<PhotoEntity> findByIdAndTakenAwayAtIsNull(String id);

  /** All of one knife, taken away or not. */
  List<PhotoEntity> findByKnifeId(String knifeId);

  /** All of sales that are there. */
  List<PhotoEntity> findBySaleIdIsNotNullAndTakenAwayAtIsNullOrderByAddedAt();

  /** All of one sale, taken away or not. */
  List<PhotoEntity> findBySaleId(String saleId);

  /** How many of one sale are there. */
  long countBySaleIdAndTakenAwayAtIsNull(String saleId);

  /** How many of one knife are there. */
  long countByKnifeIdAndTakenAwayAtIsNull(String knifeId);

  /** Those taken away before a time. */
  List<PhotoEntity> findByTakenAwayAtBefore(Instant time);
}
