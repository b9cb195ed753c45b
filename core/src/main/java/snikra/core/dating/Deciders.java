package snikra.core.dating;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Feature;
import snikra.core.dating.DatingVerdict.Decider;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.mark.MarkRival;
import snikra.core.reference.ReferenceShelf;
import snikra.core.wording.Wording;

/** For each rival of the leading explanation the one look that would best tell the two apart. */
final class Deciders {
  /** Of one bit, that being what two explanations can be told apart by at most. */
  private static final double LOG_2 = Math.log(2);

  private static final String MARKS = "marks";

  private final ReferenceShelf shelf;
  private final ClueTables tables;
  private final int olderBy;
  private final double worthLooking;

  Deciders(ReferenceShelf shelf, ClueTables tables) {
    this.shelf = shelf;
    this.tables = tables;
    this.olderBy = Priors.olderBy(shelf.judgement());
    this.worthLooking = shelf.judgement().of("told.decider-bits");
  }

  /** The explanations with their deciders. */
  List<Explanation> added(
      List<Explanation> explanations, Explainer explainer, Evidence evidence, List<Feature> left) {
    List<Explanation> out = new ArrayList<>();
    List<List<double[]>> answers =
        explanations.size() > 1 ? answers(explanations.size(), explainer, left) : List.of();
    for (int i = 0; i < explanations.size(); i++) {
      Explanation e = explanations.get(i);
      Decider decider = null;
      if (i > 0) {
        double share = e.probability() / (e.probability() + explanations.get(0).probability());
        int rival = i;
        decider =
            ofMarks(explanations.get(0), e, evidence)
                .orElseGet(() -> best(answers.get(0), answers.get(rival), share, left));
      }
      out.add(e.decidedBy(decider));
    }
    return out;
  }

  // Two marks on file that both fit are told apart on the tang before anywhere else.
  private static Optional<Decider> ofMarks(Explanation lead, Explanation e, Evidence evidence) {
    MarkRival rival = evidence.marks().rival();
    var candidates = evidence.marks().candidates();
    if (rival == null || rival.wouldTell().isEmpty() || candidates.size() < 2) {
      return Optional.empty();
    }
    String first = candidates.get(0).maker().id();
    String second = candidates.get(1).maker().id();
    boolean inOrder = first.equals(lead.maker()) && second.equals(e.maker());
    boolean swapped = second.equals(lead.maker()) && first.equals(e.maker());
    return !first.equals(second) && (inOrder || swapped)
        ? Optional.of(
            new Decider(
                MARKS,
                MARKS,
                "The mark again: " + Wording.lowerFirst(rival.wouldTell().get(0)),
                Feature.Trouble.GLANCE,
                "",
                ""))
        : Optional.empty();
  }

  // By explanation and look not yet taken, how likely each answer is. Look by look, so that what
  // the answers of one say by year, which is much, is fetched once for all explanations.
  private List<List<double[]>> answers(int explanations, Explainer explainer, List<Feature> left) {
    List<Map<Integer, Weighed>> weights = new ArrayList<>();
    List<List<double[]>> answers = new ArrayList<>();
    for (int i = 0; i < explanations; i++) {
      weights.add(new HashMap<>());
      answers.add(new ArrayList<>());
    }
    for (Feature feature : left) {
      Outlook outlook = tables.outlook(feature);
      for (int i = 0; i < explanations; i++) {
        int explanation = i;
        Weighed weight =
            weights
                .get(i)
                .computeIfAbsent(
                    explainer.wayOf(i, outlook.part),
                    way ->
                        new Weighed(
                            explainer.weightOf(explanation, way, shelf.regions()), olderBy));
        answers.get(i).add(outlook.answers(weight));
      }
    }
    return answers;
  }

  private @Nullable Decider best(
      List<double[]> ofLead, List<double[]> ofRival, double share, List<Feature> left) {
    Decider best = null;
    double most = 0;
    for (int f = 0; f < left.size(); f++) {
      Feature feature = left.get(f);
      double[] lead = ofLead.get(f);
      double[] other = ofRival.get(f);
      double bits = bits(lead, other, share);
      double worth = bits / feature.trouble().cost();
      if (bits >= worthLooking && worth > most) {
        most = worth;
        best =
            new Decider(
                feature.id(),
                feature.station(),
                feature.label(),
                feature.trouble(),
                feature.clues().get(leaning(other, lead)).label(),
                feature.clues().get(leaning(lead, other)).label());
      }
    }
    return best;
  }

  /** What an answer is expected to tell between two, the other of which has this share. */
  static double bits(double[] lead, double[] other, double share) {
    double bits = 0;
    for (int v = 0; v < lead.length; v++) {
      double either = (1 - share) * lead[v] + share * other[v];
      bits +=
          Outlook.surprise(either)
              - (1 - share) * Outlook.surprise(lead[v])
              - share * Outlook.surprise(other[v]);
    }
    return Math.max(0, bits) / LOG_2;
  }

  // The answer by which one gains most on the other.
  private static int leaning(double[] to, double[] from) {
    int most = 0;
    for (int v = 1; v < to.length; v++) {
      if (to[v] - from[v] > to[most] - from[most]) {
        most = v;
      }
    }
    return most;
  }
}
