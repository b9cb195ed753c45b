package snikra.server.schedules;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import snikra.server.kept.KeptText;

/** A schedule in the database, as it was made. */
@Entity
@Table(name = "schedule")
class ScheduleEntity extends KeptText {
  private Instant removedAt;

  protected ScheduleEntity() {}

  ScheduleEntity(String id, String content, Instant now) {
    super(id, content, now);
  }

  boolean isRemoved() {
    return removedAt != null;
  }

  void setRemovedAt(@Nullable Instant at) {
    removedAt = at;
  }
}
