package snikra.server.sales;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A sale in the database, in the open format; those of one table share a batch. */
@Entity
@Table(name = "sale")
class SaleEntity {
  @Id private String id;

  @Lob
  @Column(nullable = false)
  private String sale;

  @Column(updatable = false)
  private String batch;

  @Column(nullable = false, updatable = false)
  private Instant addedAt;

  private Instant removedAt;

  protected SaleEntity() {}

  SaleEntity(String id, String sale, @Nullable String batch, Instant now) {
    this.id = id;
    this.sale = sale;
    this.batch = batch;
    this.addedAt = now;
  }

  String id() {
    return id;
  }

  String sale() {
    return sale;
  }

  void setSale(String changed) {
    sale = changed;
  }

  @Nullable String batch() {
    return batch;
  }

  boolean isRemoved() {
    return removedAt != null;
  }

  void setRemovedAt(@Nullable Instant at) {
    removedAt = at;
  }
}
