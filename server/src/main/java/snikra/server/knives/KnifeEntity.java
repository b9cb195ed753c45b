package snikra.server.knives;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Table;
import jakarta.persistence.Transient;
import jakarta.persistence.Version;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Persistable;

/** A knife in the database. Its specimen is kept in the open format, as written. */
@Entity
@Table(name = "knife")
class KnifeEntity implements Persistable<String> {
  @Id private String id;

  @Column(nullable = false, unique = true, updatable = false)
  private int number;

  @Version private long version;

  @Lob
  @Column(nullable = false)
  private String specimen;

  @Column(nullable = false, updatable = false)
  private Instant createdAt;

  @Column(nullable = false)
  private Instant updatedAt;

  private @Nullable Instant deletedAt;

  /** The list it came with; null where it was entered by itself. */
  @Column(length = 36)
  private @Nullable String batch;

  @Transient private boolean isNew = true;

  protected KnifeEntity() {}

  KnifeEntity(String id, int number, String specimen, Instant now) {
    this.id = id;
    this.number = number;
    this.specimen = specimen;
    this.createdAt = now;
    this.updatedAt = now;
  }

  // Its id is given before it is kept: without this a new one would be looked for first, or written
  // over one that is there.
  @Override
  public boolean isNew() {
    return isNew;
  }

  @Override
  public String getId() {
    return id;
  }

  @PostLoad
  @PostPersist
  void isKept() {
    isNew = false;
  }

  /** A knife of a list. */
  KnifeEntity(String id, int number, String specimen, Instant now, String batch) {
    this(id, number, specimen, now);
    this.batch = batch;
  }

  String id() {
    return id;
  }

  int number() {
    return number;
  }

  long version() {
    return version;
  }

  String specimen() {
    return specimen;
  }

  Instant updatedAt() {
    return updatedAt;
  }

  @Nullable Instant deletedAt() {
    return deletedAt;
  }

  boolean isDeleted() {
    return deletedAt != null;
  }

  void change(String changed, Instant now) {
    specimen = changed;
    updatedAt = now;
  }

  /** Puts a knife back that came with a list before and was taken out with it. */
  void comeAgain(String with, Instant now) {
    batch = with;
    restore(now);
  }

  void delete(Instant now) {
    deletedAt = now;
  }

  void restore(Instant now) {
    deletedAt = null;
    updatedAt = now;
  }
}
