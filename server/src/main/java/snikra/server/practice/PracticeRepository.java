package snikra.server.practice;

import java.util.List;
import org.springframework.data.repository.ListCrudRepository;

/** Rounds of practice, by id. */
public interface PracticeRepository extends ListCrudRepository<PracticeEntity, String> {
  /** All of them, the oldest first. */
  List<PracticeEntity> findAllByOrderByMadeAtAscIdAsc();
}
