package snikra.server.practice;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import snikra.server.kept.KeptText;

/** A round of practice, in the database. */
@Entity
@Table(name = "practice_round")
class PracticeEntity extends KeptText {
  protected PracticeEntity() {}

  PracticeEntity(String id, String content, Instant now) {
    super(id, content, now);
  }
}
