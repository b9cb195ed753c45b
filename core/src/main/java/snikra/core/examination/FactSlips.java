package snikra.core.examination;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.Span;
import snikra.core.pattern.PatternVerdict;
import snikra.core.reference.FactSlip;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;
import snikra.core.wording.Wording;

/** Slips that put on file what a knife shows of its maker and nobody wrote down yet. */
public final class FactSlips {
  private static final String NOTHING = "none";
  private static final String MY_KNIVES = "own-knives";

  private final Specimen knife;
  private final Maker maker;
  private final Span years;
  private final int give;

  /**
   * A slip that is offered.
   *
   * @param station where at the bench what it says was looked at
   * @param what it says, in words
   */
  public record FactOffered(String station, String what, FactSlip slip) {}

  /**
   * Of this knife.
   *
   * @param maker whose it most likely is
   * @param dated what is held of it
   * @param give years by which either end may be out
   */
  FactSlips(Specimen knife, Maker maker, DatingVerdict dated, int give) {
    this.knife = knife;
    this.maker = maker;
    this.years = dated.opinion().years();
    this.give = give;
  }

  /** What was surely seen on it and is not among what its maker is known to have fitted. */
  List<FactOffered> fittings(ReferenceShelf shelf) {
    return shown(knife, maker, shelf).stream()
        .map(s -> offered(maker, s, years.from(), years.to(), give))
        .toList();
  }

  /** An answer that was surely seen. */
  record Shown(Feature feature, Clue clue) {}

  /** What was surely seen of a knife and is not among what its maker is known to have fitted. */
  static List<Shown> shown(Specimen knife, Maker maker, ReferenceShelf shelf) {
    List<History.Fitting> known = maker.history().allFittings();
    List<Shown> out = new ArrayList<>();
    for (Feature feature : shelf.clues().features()) {
      Seen<String> seen = knife.seen().get(feature.id());
      String value = seen == null ? null : seen.value();
      if (value == null
          || value.equals(NOTHING)
          || seen.sureness() != Sureness.SURE
          || feature.markBorne()
          || known.stream().anyMatch(f -> isOf(f, feature.id(), value))) {
        continue;
      }
      feature.clues().stream()
          .filter(clue -> clue.id().equals(value))
          .findFirst()
          .ifPresent(clue -> out.add(new Shown(feature, clue)));
    }
    return out;
  }

  private static boolean isOf(History.Fitting fitting, String feature, String value) {
    return fitting.feature().equals(feature) && fitting.value().equals(value);
  }

  /** A slip for it, known from one's own knives. */
  static FactOffered offered(Maker maker, Shown shown, int from, int to, int give) {
    Feature feature = shown.feature();
    Clue clue = shown.clue();
    return new FactOffered(
        feature.station(),
        feature.label() + ": " + Wording.lowerFirst(clue.label()),
        new FactSlip(
            FactSlip.Kind.FITTING,
            maker.id(),
            feature.id(),
            clue.id(),
            null,
            null,
            null,
            null,
            from,
            to,
            give,
            MY_KNIVES,
            "My own knives",
            null));
  }

  /** Its number as a model of its maker; none where it has none, or that model is on file. */
  Optional<FactOffered> model(PatternVerdict pattern) {
    String number = knife.number();
    if (number == null
        || number.matches(".*[_\\[\\]?].*")
        || pattern.names().isEmpty()
        || maker.history().model(number).isPresent()) {
      return Optional.empty();
    }
    String name = pattern.title();
    return Optional.of(
        new FactOffered(
            "number",
            "No. " + number + ": " + Wording.lowerFirst(name),
            new FactSlip(
                FactSlip.Kind.MODEL,
                maker.id(),
                null,
                null,
                number,
                name,
                pattern.names().get(0).pattern(),
                null,
                years.from(),
                years.to(),
                0,
                MY_KNIVES,
                "My own knives",
                null)));
  }
}
