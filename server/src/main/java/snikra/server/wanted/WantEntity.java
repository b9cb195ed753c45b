package snikra.server.wanted;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import snikra.server.kept.KeptText;

/** A knife one looks for, in the database. */
@Entity
@Table(name = "want")
class WantEntity extends KeptText {
  protected WantEntity() {}

  WantEntity(String id, String content, Instant now) {
    super(id, content, now);
  }
}
