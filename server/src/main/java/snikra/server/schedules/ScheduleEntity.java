package snikra.server.schedules;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A schedule in the database, as it was made. */
@Entity
@Table(name = "schedule")
class ScheduleEntity {
  @Id private String id;

  @Lob
  @Column(nullable = false, updatable = false)
  private String content;

  @Column(nullable = false, updatable = false)
  @SuppressWarnings("UnusedVariable") // By it they are put in order.
  private Instant madeAt;

  private Instant removedAt;

  protected ScheduleEntity() {}

  ScheduleEntity(String id, String content, Instant now) {
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

  boolean isRemoved() {
    return removedAt != null;
  }

  void setRemovedAt(@Nullable Instant at) {
    removedAt = at;
  }
}
