package snikra.core.provenance;

import java.math.BigDecimal;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * One link in the chain of where a knife has been.
 *
 * @param price what was paid, with its currency as a three-letter code
 */
public record StoryEvent(
    Kind kind,
    @Nullable EdtfDate date,
    @Nullable String holder,
    @Nullable String place,
    Source source,
    @Nullable BigDecimal price,
    @Nullable String currency,
    @Nullable String note) {

  /**
   * What happened. By then the knife existed; where it is dated, a source says it was made then.
   */
  public enum Kind {
    HELD,
    BOUGHT,
    GIVEN,
    INHERITED,
    FOUND,
    ENGRAVED,
    ADVERTISED,
    DATED;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Who says so, with the weight of their word. */
  public enum Source {
    OWN_RECORD(0.985),
    DOCUMENT(0.95),
    CATALOGUE(0.9),
    BOOK(0.85),
    FAMILY(0.6),
    DEALER(0.5),
    HEARSAY(0.4);

    private final double reliability;

    Source(double reliability) {
      this.reliability = reliability;
    }

    /** Probability that the statement is true of this knife. */
    public double reliability() {
      return reliability;
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  public StoryEvent {
    if (price != null && !(price.signum() >= 0)) {
      throw new IllegalArgumentException("price must be 0 or more; found " + price);
    }
  }
}
