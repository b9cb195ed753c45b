package snikra.server.reference;

import java.util.List;
import org.springframework.data.repository.ListCrudRepository;

/** Packs by id, in the order they came. */
public interface PackRepository extends ListCrudRepository<PackEntity, String> {

  /** All of them. */
  List<PackEntity> findAllByOrderByAddedAt();
}
