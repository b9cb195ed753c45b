package snikra.server.photos;

import java.util.List;
import org.springframework.data.repository.ListCrudRepository;

/** Photographs by id, and those of a knife in the order they came. */
public interface PhotoRepository extends ListCrudRepository<PhotoEntity, String> {

  /** All of one knife. */
  List<PhotoEntity> findByKnifeIdOrderByAddedAt(String knifeId);
}
