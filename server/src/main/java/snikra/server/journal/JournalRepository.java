package snikra.server.journal;

import java.util.List;
import org.springframework.data.repository.ListCrudRepository;

/** Entries by id, and those of a knife from the first to the last. */
public interface JournalRepository extends ListCrudRepository<JournalEntity, String> {

  /** All of one knife that are there. */
  List<JournalEntity> findByKnifeIdAndRemovedAtIsNullOrderByBegunAt(String knifeId);

  /** The last two of one knife that are there, the last first. */
  List<JournalEntity> findTop2ByKnifeIdAndRemovedAtIsNullOrderByBegunAtDesc(String knifeId);

  /** Lets go of all of one knife. */
  void deleteByKnifeId(String knifeId);
}
