package snikra.server.knives;

import java.util.List;
import org.springframework.data.repository.ListCrudRepository;

/** Searches that are kept, by id. */
public interface SavedSearchRepository extends ListCrudRepository<SavedSearchEntity, String> {
  /** All of them, the oldest first. */
  List<SavedSearchEntity> findAllByOrderByMadeAtAscIdAsc();
}
