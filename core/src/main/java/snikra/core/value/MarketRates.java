package snikra.core.value;

import java.util.EnumMap;
import java.util.Map;
import snikra.core.judgement.Judgement;
import snikra.core.specimen.Venue;

/**
 * Numbers of judgement by which sales are held against one another; prices in natural logarithms.
 *
 * @param level how far the level of a knife's own trade may be from that of the sales
 * @param kind how far prices of unlike knives differ
 * @param noise how far prices of equal knives differ
 * @param tails how seldom a price is far off: degrees of freedom
 * @param otherMaker likeness of knives of two makers
 * @param family likeness of two patterns of one family
 * @param otherPattern likeness of two patterns
 * @param otherHandle likeness of two handles
 * @param years apart at which half of the likeness is gone
 * @param otherYears likeness of knives of quite other years, and where they were not told
 * @param size apart, as a logarithm, at which half of what sizes part is gone
 * @param otherSize likeness of knives of quite other sizes, and where they were not told
 * @param otherText likeness of knives with and without a text, or with two kinds of text
 * @param drift how far the taste of the trade moves prices
 * @param driftYears in how many years
 * @param asked by how much more is asked than is paid
 * @param askedNoise how far what is asked is off
 * @param gradeGive by what part the worth of a grade may be another than it is held
 * @param ungraded worth of a knife whose grade was not told
 * @param ungradedNoise how far that may be off
 * @param otherTrade how far this trade may be from what is usual, as a logarithm
 * @param venues by how much more is paid there than in a sale room, all told
 */
record MarketRates(
    double level,
    double kind,
    double noise,
    double tails,
    double otherMaker,
    double family,
    double otherPattern,
    double otherHandle,
    double years,
    double otherYears,
    double size,
    double otherSize,
    double otherText,
    double drift,
    double driftYears,
    double asked,
    double askedNoise,
    double gradeGive,
    double ungraded,
    double ungradedNoise,
    double otherTrade,
    Map<Venue, Double> venues) {

  MarketRates {
    venues = Map.copyOf(venues);
  }

  /** As they are judged. */
  static MarketRates of(Judgement judgement) {
    return new MarketRates(
        judgement.of("value.level"),
        judgement.of("value.kind"),
        judgement.of("value.noise"),
        judgement.of("value.tails"),
        judgement.of("value.other-maker"),
        judgement.of("value.family"),
        judgement.of("value.other-pattern"),
        judgement.of("value.other-handle"),
        judgement.of("value.years"),
        judgement.of("value.other-years"),
        judgement.of("value.size"),
        judgement.of("value.other-size"),
        judgement.of("value.other-text"),
        judgement.of("value.drift"),
        judgement.of("value.drift-years"),
        judgement.of("value.asked"),
        judgement.of("value.asked-noise"),
        judgement.of("value.grade-give"),
        judgement.of("value.ungraded"),
        judgement.of("value.ungraded-noise"),
        judgement.of("value.other-trade"),
        venues(judgement));
  }

  private static Map<Venue, Double> venues(Judgement judgement) {
    Map<Venue, Double> all = new EnumMap<>(Venue.class);
    for (Venue venue : Venue.values()) {
      all.put(venue, judgement.of("value.venue-" + venue));
    }
    return all;
  }

  /** The same, were unlike knives so many times as far apart, and equal ones. */
  MarketRates scaled(double unlike, double equal) {
    return new MarketRates(
        level,
        kind * unlike,
        noise * equal,
        tails,
        otherMaker,
        family,
        otherPattern,
        otherHandle,
        years,
        otherYears,
        size,
        otherSize,
        otherText,
        drift,
        driftYears,
        asked,
        askedNoise * equal,
        gradeGive,
        ungraded,
        ungradedNoise * equal,
        otherTrade,
        venues);
  }
}
