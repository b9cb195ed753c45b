package snikra.server.knives;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;

/** A search of the tray that is kept, in the database. */
@Entity
@Table(name = "saved_search")
class SavedSearchEntity {
  @Id private String id;

  @Lob
  @Column(nullable = false)
  private String content;

  @Column(nullable = false, updatable = false)
  @SuppressWarnings("UnusedVariable") // By it they are put in order.
  private Instant madeAt;

  protected SavedSearchEntity() {}

  SavedSearchEntity(String id, String content, Instant now) {
    this.id = id;
    this.content = content;
    this.madeAt = now;
  }

  String id() {
    return id;
  }

  String content() {
    return content;
  }

  void setContent(String content) {
    this.content = content;
  }
}
