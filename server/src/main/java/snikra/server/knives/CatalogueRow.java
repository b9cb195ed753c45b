package snikra.server.knives;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** What was worked out of one version of a knife for the tray, as it is sent. */
@Entity
@Table(name = "catalogue_row")
class CatalogueRow {
  /** As long as a text may be that lies in its row and not apart from it. */
  private static final int LONGEST = 1_000_000;

  @Id private String knifeId;

  @Column(nullable = false)
  private long version;

  @Column(nullable = false)
  private String workedBy;

  @Column(nullable = false, length = LONGEST)
  private String entry;

  @Column(nullable = false, length = LONGEST)
  private String card;

  protected CatalogueRow() {}

  /**
   * A row.
   *
   * @param card by which the knife is found
   */
  CatalogueRow(String knifeId, long version, String workedBy, String entry, String card) {
    this.knifeId = knifeId;
    this.version = version;
    this.workedBy = workedBy;
    this.entry = entry;
    this.card = card;
  }

  String knifeId() {
    return knifeId;
  }

  String entry() {
    return entry;
  }

  String card() {
    return card;
  }

  boolean isOf(long otherVersion) {
    return version == otherVersion;
  }

  boolean isBy(String by) {
    return workedBy.equals(by);
  }
}
