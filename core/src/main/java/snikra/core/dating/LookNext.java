package snikra.core.dating;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import snikra.core.clue.Feature;
import snikra.core.clue.Feature.Trouble;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.NextLook;
import snikra.core.mark.MarkCandidate;
import snikra.core.mark.MarkRival;
import snikra.core.pattern.Pattern.Mechanism;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Sought;
import snikra.core.wording.Wording;

/**
 * What to look at next: the looks not yet taken by the bits they are expected to tell of who, when
 * and how together, over the trouble of looking. Nothing that takes the knife apart is in the book.
 */
final class LookNext {
  private static final int MOST = 8;
  private static final String NUMBERS = "number";

  private static final double LOG_2 = Math.log(2);

  private final ReferenceShelf shelf;
  private final ClueTables tables;
  private final Strikes strikes;
  private final double nameBits;
  private final int olderBy;

  /** Bits from which a look is told of. */
  private final double worthLooking;

  /** How often the mark of a maker not on file names its country. */
  private final double namesItsCountry;

  private final List<Mechanism> mechanisms;

  LookNext(ReferenceShelf shelf, ClueTables tables, YearAxis axis) {
    this.shelf = shelf;
    this.tables = tables;
    this.mechanisms = shelf.patterns().mechanisms();
    this.nameBits = shelf.judgement().of("look.gives-the-name");
    this.namesItsCountry = shelf.judgement().of("look.mark-names-country");
    this.olderBy = Priors.olderBy(shelf.judgement());
    this.worthLooking = shelf.judgement().of("told.look-bits");
    this.strikes = new Strikes(shelf, axis);
  }

  List<NextLook> find(Evidence evidence, Explainer explainer, List<Attribution> makers) {
    List<NextLook> looks = new ArrayList<>();
    mark(evidence, makers).ifPresent(looks::add);
    struck(evidence, explainer, looks);
    Map<Integer, Weighed> weights = new HashMap<>();
    for (Feature feature : left(evidence)) {
      Outlook outlook = tables.outlook(feature);
      Weighed weight =
          weights.computeIfAbsent(
              explainer.asLookedAt(outlook.part),
              part -> new Weighed(explainer.weightFor(part, shelf.regions()), olderBy));
      double bits = Math.max(outlook.bits(weight), namesIt(feature, evidence) ? nameBits : 0);
      looks.add(
          new NextLook(feature.id(), feature.station(), feature.label(), feature.trouble(), bits));
    }
    return looks.stream()
        .filter(l -> l.bits() >= worthLooking)
        .sorted(Comparator.comparingDouble(l -> -l.bits() / l.trouble().cost()))
        .limit(MOST)
        .toList();
  }

  // What gives the knife its name, once something else was seen that makes it worth asking.
  private boolean namesIt(Feature feature, Evidence evidence) {
    return mechanisms.stream()
        .filter(m -> m.shows().containsKey(feature.id()))
        .anyMatch(
            m ->
                m.askWhen().entrySet().stream()
                    .anyMatch(e -> e.getValue().contains("" + evidence.found().get(e.getKey()))));
  }

  /** What is not looked at yet and may be there. */
  List<Feature> left(Evidence evidence) {
    Map<String, String> seen = new HashMap<>();
    evidence.observed().forEach(o -> seen.put(o.feature().id(), o.clue().id()));
    Set<String> told = new HashSet<>(seen.keySet());
    told.addAll(evidence.lookedInVain());
    return shelf.clues().features().stream()
        .filter(feature -> !told.contains(feature.id()) && isThere(feature, seen))
        .toList();
  }

  // What is struck with the mark comes with reading the mark.
  private static boolean isThere(Feature feature, Map<String, String> seen) {
    Feature.OnlyIf only = feature.onlyIf();
    return !feature.markBorne()
        && feature.asked() != Feature.Asked.OTHER_BLADES
        && (only == null || only.values().contains("" + seen.get(only.feature())));
  }

  private void struck(Evidence evidence, Explainer explainer, List<NextLook> looks) {
    String number = Sought.NUMBER.toString();
    String code = Sought.CODE.toString();
    Map<String, double[]> listed = explainer.listed();
    if (evidence.number() == null && !evidence.lookedInVain().contains(number)) {
      double bits = strikes.numberBits(listed, evidence.found());
      looks.add(new NextLook(number, NUMBERS, "The number on the main tang", Trouble.GLANCE, bits));
    }
    if (evidence.codes().isEmpty() && !evidence.lookedInVain().contains(code)) {
      double bits = strikes.codeBits(listed);
      looks.add(new NextLook(code, NUMBERS, "A date code beside the mark", Trouble.LOUPE, bits));
    }
  }

  /** A legible mark tells which mark it is, so it is worth what is open about that. */
  private Optional<NextLook> mark(Evidence evidence, List<Attribution> makers) {
    if (evidence.facesLeft().isEmpty()) {
      return Optional.empty();
    }
    Evidence.FaceLeft face = evidence.facesLeft().get(0);
    double open =
        evidence.marks().anyRead()
            ? openAfterReading(evidence) + namesItsCountry * countryOpen(makers)
            : open(makers);
    String label =
        Optional.ofNullable(evidence.marks().rival())
            .map(MarkRival::wouldTell)
            .filter(places -> !places.isEmpty())
            .map(places -> "The mark again: " + Wording.lowerFirst(places.get(0)))
            .orElse(face.label());
    return Optional.of(
        new NextLook("marks", "marks", label, Trouble.GLANCE, face.legible() * open / LOG_2));
  }

  private static double openAfterReading(Evidence evidence) {
    double unlisted = evidence.marks().unlisted();
    double open = Outlook.surprise(unlisted);
    double rest = 1 - unlisted;
    for (MarkCandidate c : evidence.marks().candidates()) {
      open += Outlook.surprise(c.probability());
      rest -= c.probability();
    }
    return open + Outlook.surprise(Math.max(0, rest));
  }

  private double open(List<Attribution> makers) {
    double open = 0;
    double unlisted = 0;
    for (Attribution a : makers) {
      if (a.maker() == null) {
        unlisted += a.probability();
      } else {
        double marks = shelf.maker(a.maker()).map(m -> m.marks().size()).orElse(1);
        open += Outlook.surprise(a.probability()) + a.probability() * Math.log(marks);
      }
    }
    return open + Outlook.surprise(unlisted) + namesItsCountry * countryOpen(makers);
  }

  // Which country makers not on file are of: another tang may name it.
  private static double countryOpen(List<Attribution> makers) {
    double unlisted = 0;
    double countries = 0;
    for (Attribution a : makers) {
      if (a.maker() == null) {
        unlisted += a.probability();
        countries += Outlook.surprise(a.probability());
      }
    }
    return Math.max(0, countries - Outlook.surprise(unlisted));
  }
}
