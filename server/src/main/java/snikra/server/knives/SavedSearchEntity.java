package snikra.server.knives;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import snikra.server.kept.KeptText;

/** A search of the tray that is kept, in the database. */
@Entity
@Table(name = "saved_search")
class SavedSearchEntity extends KeptText {
  protected SavedSearchEntity() {}

  SavedSearchEntity(String id, String content, Instant now) {
    super(id, content, now);
  }
}
