package snikra.server.journal;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;

/** An entry in the database: the knife as known then, and what was held of it, both as JSON. */
@Entity
@Table(name = "journal_entry")
class JournalEntity {
  @Id private String id;

  @Column(nullable = false, updatable = false)
  private String knifeId;

  @Column(nullable = false, updatable = false)
  private Instant begunAt;

  @Column(nullable = false)
  private Instant changedAt;

  @Column(nullable = false, updatable = false)
  private boolean own;

  @Lob
  @Column(nullable = false)
  private String specimen;

  @Lob
  @Column(nullable = false)
  private String content;

  private Instant removedAt;

  protected JournalEntity() {}

  JournalEntity(
      String id, String knifeId, Instant now, boolean own, String specimen, String content) {
    this.id = id;
    this.knifeId = knifeId;
    this.begunAt = now;
    this.changedAt = now;
    this.own = own;
    this.specimen = specimen;
    this.content = content;
  }

  String id() {
    return id;
  }

  String knifeId() {
    return knifeId;
  }

  Instant begunAt() {
    return begunAt;
  }

  Instant changedAt() {
    return changedAt;
  }

  boolean isOwn() {
    return own;
  }

  String specimen() {
    return specimen;
  }

  String content() {
    return content;
  }

  void rewrite(String specimen, String content, Instant now) {
    this.specimen = specimen;
    this.content = content;
    this.changedAt = now;
  }

  void setRemovedAt(Instant removedAt) {
    this.removedAt = removedAt;
  }

  boolean isRemoved() {
    return removedAt != null;
  }
}
