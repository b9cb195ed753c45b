package snikra.server.ledger;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

/** States of entries. */
public interface LedgerRepository extends JpaRepository<LedgerRevisionEntity, String> {

  /** All, in the order they were made. */
  List<LedgerRevisionEntity> findAllByOrderByMadeAtAscRevisionAsc();

  /** Those of one entry, the first first. */
  List<LedgerRevisionEntity> findByEntryOrderByRevision(String entry);
}
