package snikra.server.schedules;

import java.time.Instant;
import java.util.List;
import org.springframework.data.repository.ListCrudRepository;

/** Schedules by id. */
public interface ScheduleRepository extends ListCrudRepository<ScheduleEntity, String> {
  /** All that are there, the latest first. */
  List<ScheduleEntity> findByRemovedAtIsNullOrderByMadeAtDescIdAsc();

  /** Lets go of what was taken out before. */
  void deleteByRemovedAtBefore(Instant before);
}
