package snikra.server.kept;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.MappedSuperclass;
import java.time.Instant;

/** Something that is kept whole, as text, under an id of its own. */
@MappedSuperclass
public abstract class KeptText {
  @Id private String id;

  @Lob
  @Column(nullable = false)
  private String content;

  @Column(nullable = false, updatable = false)
  @SuppressWarnings("UnusedVariable") // By it they are put in order.
  private Instant madeAt;

  protected KeptText() {}

  protected KeptText(String id, String content, Instant now) {
    this.id = id;
    this.content = content;
    this.madeAt = now;
  }

  public String id() {
    return id;
  }

  public String content() {
    return content;
  }

  public void setContent(String content) {
    this.content = content;
  }
}
