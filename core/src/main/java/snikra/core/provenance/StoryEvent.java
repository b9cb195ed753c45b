package snikra.core.provenance;

import java.math.BigDecimal;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * One link in the chain of where a knife has been.
 *
 * @param price what was paid, with its currency as a three-letter code
 * @param region the country it is said to be from, by its id
 * @param maker who is said to have made it, by its id
 * @param teller who says so, where it is known: what one tells twice counts once
 * @param shows what such a knife is shown with at its date: answers by the id of their feature;
 *     null where it tells of this knife
 * @param letters what was cut into the knife then, initials or words
 * @param document a photograph or scan of the paper that says so, by its id among the photographs
 *     of this knife
 */
public record StoryEvent(
    Kind kind,
    @Nullable EdtfDate date,
    @Nullable String holder,
    @Nullable String place,
    Source source,
    @Nullable BigDecimal price,
    @Nullable String currency,
    @Nullable String note,
    @Nullable String region,
    @Nullable String maker,
    @Nullable String teller,
    @Nullable Map<String, String> shows,
    @Nullable String letters,
    @Nullable String document) {

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

    /** Whether it tells that somebody had it. */
    public boolean isHeld() {
      return this == HELD || isHandedOn();
    }

    /** Whether it came from one hand into another. */
    public boolean isHandedOn() {
      return this == BOUGHT || this == GIVEN || this == INHERITED;
    }

    /** Whether it came from the one who had it before, so that nothing lies between. */
    public boolean isFromTheOneBefore() {
      return this == GIVEN || this == INHERITED;
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /** Who says so; what their word weighs is a number of judgement. */
  public enum Source {
    OWN_RECORD,
    DOCUMENT,
    CATALOGUE,
    PRICE_LIST,
    ADVERTISEMENT,
    BOOK,
    LIST,
    FAMILY,
    DEALER,
    HEARSAY,
    FORUM;

    /** Whether it is talk that goes from mouth to mouth, so that many who tell it are one. */
    public boolean isPassedOn() {
      return this == FAMILY || this == DEALER || this == HEARSAY || this == FORUM;
    }

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
  }

  /** A link that claims nothing but its date. */
  public StoryEvent(
      Kind kind,
      @Nullable EdtfDate date,
      @Nullable String holder,
      @Nullable String place,
      Source source,
      @Nullable BigDecimal price,
      @Nullable String currency,
      @Nullable String note) {
    this(
        kind, date, holder, place, source, price, currency, note, null, null, null, null, null,
        null);
  }

  /**
   * The place as strangers may be told it. Where a thing came out of the ground others would dig:
   * of a find only what stands after the last comma is told, the county or country, and nothing
   * where there is no comma.
   */
  public @Nullable String vaguePlace() {
    if (kind != Kind.FOUND || place == null) {
      return place;
    }
    int comma = place.lastIndexOf(',');
    String wider = comma < 0 ? "" : place.substring(comma + 1).strip();
    return wider.isEmpty() ? null : wider;
  }

  /**
   * The same as strangers may be told it; what is noted of a find often says the place too, and so
   * does the paper it is told by.
   */
  public StoryEvent keptVague() {
    return kind != Kind.FOUND
        ? this
        : new StoryEvent(
            kind,
            date,
            holder,
            vaguePlace(),
            source,
            price,
            currency,
            null,
            region,
            maker,
            teller,
            shows,
            letters,
            null);
  }

  public StoryEvent {
    shows = shows == null ? null : Map.copyOf(shows);
    if (price != null && !(price.signum() >= 0)) {
      throw new IllegalArgumentException("price must be 0 or more; found " + price);
    }
  }
}
