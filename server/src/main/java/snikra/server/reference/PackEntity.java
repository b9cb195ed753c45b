package snikra.server.reference;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/** A reference pack in the database, in the open format as it came; without text a shipped one. */
@Entity
@Table(name = "pack")
class PackEntity {
  @Id private String id;

  @Lob private String yaml;

  @Column(nullable = false)
  private boolean switchedOn;

  @Column(nullable = false, updatable = false)
  private Instant addedAt;

  protected PackEntity() {}

  PackEntity(String id, @Nullable String yaml, Instant now) {
    this.id = id;
    this.yaml = yaml;
    this.switchedOn = true;
    this.addedAt = now;
  }

  String id() {
    return id;
  }

  @Nullable String yaml() {
    return yaml;
  }

  void setYaml(String changed) {
    yaml = changed;
  }

  boolean isSwitchedOn() {
    return switchedOn;
  }

  void setSwitchedOn(boolean on) {
    switchedOn = on;
  }
}
