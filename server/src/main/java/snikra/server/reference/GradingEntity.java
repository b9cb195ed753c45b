package snikra.server.reference;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;

/** How this collection judges condition, in the open format. There is one row at most. */
@Entity
@Table(name = "grading")
class GradingEntity {
  static final int ONLY = 1;

  @Id private int id;

  @Lob
  @Column(nullable = false)
  private String choice;

  protected GradingEntity() {}

  GradingEntity(String choice) {
    this.id = ONLY;
    this.choice = choice;
  }

  String choice() {
    return choice;
  }
}
