package snikra.server.reference;

import org.springframework.data.repository.ListCrudRepository;

/** How this collection judges condition. */
public interface GradingRepository extends ListCrudRepository<GradingEntity, Integer> {}
