package snikra.server.knives;

import org.springframework.data.jpa.repository.JpaRepository;

/** Rows of the catalogue by knife. */
public interface CatalogueRepository extends JpaRepository<CatalogueRow, String> {}
