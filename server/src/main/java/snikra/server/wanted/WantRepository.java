package snikra.server.wanted;

import java.util.List;
import org.springframework.data.repository.ListCrudRepository;

/** Knives one looks for, by id. */
public interface WantRepository extends ListCrudRepository<WantEntity, String> {
  /** All of them, the oldest first. */
  List<WantEntity> findAllByOrderByMadeAtAscIdAsc();
}
