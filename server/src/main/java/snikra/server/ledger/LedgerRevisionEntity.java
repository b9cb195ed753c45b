package snikra.server.ledger;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** A state of an entry of the ledger, in the open format. It is never changed. */
@Entity
@Table(name = "ledger_revision")
class LedgerRevisionEntity {
  @Id private String id;

  @Column(nullable = false, updatable = false)
  private String entry;

  @Column(nullable = false, updatable = false)
  private int revision;

  @Lob
  @Column(nullable = false, updatable = false)
  private String body;

  @Column(nullable = false, updatable = false)
  private boolean isStruck;

  @Column(nullable = false, updatable = false)
  private Instant madeAt;

  protected LedgerRevisionEntity() {}

  LedgerRevisionEntity(String entry, int revision, String body, boolean isStruck, Instant now) {
    this.id = UUID.randomUUID().toString();
    this.entry = entry;
    this.revision = revision;
    this.body = body;
    this.isStruck = isStruck;
    this.madeAt = now;
  }

  String entry() {
    return entry;
  }

  int revision() {
    return revision;
  }

  String body() {
    return body;
  }

  boolean isStruck() {
    return isStruck;
  }

  Instant madeAt() {
    return madeAt;
  }
}
