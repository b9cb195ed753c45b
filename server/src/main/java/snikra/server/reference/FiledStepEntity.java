package snikra.server.reference;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import snikra.formats.OwnPack;

/** A fact put on file: the text of the collector's own pack before and after it. */
@Entity
@Table(name = "filed_step")
class FiledStepEntity {
  @Id private String id;

  @Column(nullable = false, updatable = false)
  private int place;

  @Column(nullable = false, updatable = false)
  private String maker;

  @Column(nullable = false, updatable = false)
  private String mark;

  @Column(nullable = false, updatable = false)
  private String what;

  @Column(nullable = false, updatable = false)
  private int many;

  @Lob
  @Column(updatable = false)
  private String textBefore;

  @Lob
  @Column(nullable = false, updatable = false)
  private String textAfter;

  @Column(nullable = false)
  private boolean isUndone;

  @Column(nullable = false, updatable = false)
  private Instant madeAt;

  protected FiledStepEntity() {}

  FiledStepEntity(int place, OwnPack.Filed filed, @Nullable String textBefore, Instant now) {
    this.id = UUID.randomUUID().toString();
    this.place = place;
    this.maker = filed.maker();
    this.mark = filed.mark();
    this.what = filed.what().toString();
    this.many = filed.many();
    this.textBefore = textBefore;
    this.textAfter = filed.yaml();
    this.madeAt = now;
  }

  String id() {
    return id;
  }

  int place() {
    return place;
  }

  String maker() {
    return maker;
  }

  String mark() {
    return mark;
  }

  String what() {
    return what;
  }

  int many() {
    return many;
  }

  @Nullable String textBefore() {
    return textBefore;
  }

  String textAfter() {
    return textAfter;
  }

  boolean isUndone() {
    return isUndone;
  }

  void setUndone(boolean undone) {
    isUndone = undone;
  }

  Instant madeAt() {
    return madeAt;
  }
}
