package snikra.server.photos;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import snikra.server.keeping.Sha256;

/** A photograph in the database; its bytes are in files under its id. */
@Entity
@Table(name = "photo")
class PhotoEntity {
  @Id private String id;

  @Column(updatable = false)
  private @Nullable String knifeId;

  @Column(updatable = false)
  private @Nullable String saleId;

  @Column(nullable = false)
  private String role;

  @Column(nullable = false, updatable = false)
  private String fileName;

  @Column(nullable = false, updatable = false)
  private String type;

  @Column(nullable = false, updatable = false)
  private int width;

  @Column(nullable = false, updatable = false)
  private int height;

  @Column(nullable = false, updatable = false)
  private long sizeBytes;

  @Column(updatable = false)
  private String takenAt;

  @Column(nullable = false, updatable = false)
  private Instant addedAt;

  @Column private @Nullable Instant takenAwayAt;

  @Column private @Nullable String sha256;

  protected PhotoEntity() {}

  PhotoEntity(String id, Of of, PhotoRole role, String fileName, Picture picture, Instant now) {
    this.id = id;
    this.knifeId = of.knife();
    this.saleId = of.sale();
    this.role = role.toString();
    this.fileName = fileName;
    this.type = picture.type();
    this.width = picture.width();
    this.height = picture.height();
    this.sizeBytes = picture.original().length;
    this.takenAt = picture.takenAt();
    this.addedAt = now;
    this.sha256 = Sha256.of(picture.original());
  }

  String id() {
    return id;
  }

  /** What a photograph is of: a knife, or a sale in the sales book. */
  record Of(@Nullable String knife, @Nullable String sale) {
    @Override
    public String toString() {
      return knife != null ? "knife " + knife : "sale " + sale;
    }
  }

  Of of() {
    return new Of(knifeId, saleId);
  }

  @Nullable String sha256() {
    return sha256;
  }

  void setSha256(String sum) {
    sha256 = sum;
  }

  String type() {
    return type;
  }

  void setRole(PhotoRole changed) {
    role = changed.toString();
  }

  /** Takes it away, or with null puts it back. */
  void takeAway(@Nullable Instant when) {
    takenAwayAt = when;
  }

  Photo shown() {
    return new Photo(id, PhotoRole.of(role), fileName, type, width, height, sizeBytes, takenAt);
  }
}
