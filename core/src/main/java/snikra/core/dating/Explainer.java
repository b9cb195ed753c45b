package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.Contractor;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.Ways.Whole;
import snikra.core.reference.Region;

/** Takes the posterior apart again: by maker, by state, and by both. */
final class Explainer {
  /** Who made it when not even the country is clear. */
  private static final String NOT_ON_FILE = "A maker not on file";

  /** All of a country on file of whom none comes to much. */
  static final String OTHERS_ON_FILE = "Others on file";

  /** Under this nothing is told, not even with others. */
  private static final double NEXT_TO_NOTHING = 1e-4;

  private static final double NINE_TENTHS = 0.9;

  private static final int EXPLANATIONS = 6;

  /** For how a knife looks on parts that a way is not about. */
  private static final int NO_PART = -1;

  private final YearAxis axis;
  private final Limits limits;

  /** Every state there may be; the weights of an owner are kept in this order. */
  private final Ways ways;

  private final List<Owner> owners;

  /** Those under one name: the house itself, and all who made for it. */
  private final List<List<Owner>> names;

  private final double total;
  private final List<Explained> explained;

  /** By region, way and year, as it looks on a part that no way is about; null until asked for. */
  private double @Nullable [][][] elsewhere;

  Explainer(
      Hypotheses hypotheses, Inference inference, Desk desk, List<Look> looks, Evidence evidence) {
    this.axis = desk.axis;
    this.limits = desk.limits;
    this.ways = new Ways(desk.parts, looks, evidence);
    Owners all = new Owners(hypotheses, inference, desk, looks, ways);
    owners = all.each();
    names = all.names();
    total = owners.stream().mapToDouble(Owner::weight).sum();
    explained = explained();
  }

  /**
   * The part, if the knife may be another on it than on the rest; all others look alike and are
   * told as one.
   */
  int asLookedAt(int part) {
    for (int s = 0; s < ways.size(); s++) {
      if (ways.seenOn(s, part) != ways.seenOn(s, NO_PART) && probability(s) > 0) {
        return part;
      }
    }
    return NO_PART;
  }

  /**
   * The weight of all owners by region, way and year, null where there is none, for looking at one
   * part; all of it is 1. To be read only.
   *
   * @param part as {@link #asLookedAt} tells it
   */
  double[][][] weightFor(int part, List<Region> regions) {
    double[][][] elsewhere = elsewhere(regions);
    double[][][] weight = elsewhere.clone();
    for (int s = 0; s < ways.size(); s++) {
      int before = ways.seenOn(s, NO_PART);
      int way = ways.seenOn(s, part);
      for (Owner o : owners) {
        if (way != before && o.weights[s] > 0) {
          int r = place(o.region, regions);
          weight[r] = weight[r] == elsewhere[r] ? copy(weight[r]) : weight[r];
          move(o.byState[s], before, way, weight[r]);
        }
      }
    }
    return weight;
  }

  // Nearly all of it looks the same on any part, so that is added up once.
  private double[][][] elsewhere(List<Region> regions) {
    if (elsewhere == null) {
      elsewhere = new double[regions.size()][Outlook.WAYS][];
      for (Owner o : owners) {
        double[][] there = elsewhere[place(o.region, regions)];
        for (int s = 0; s < ways.size(); s++) {
          add(there, o, s, ways.seenOn(s, NO_PART));
        }
      }
      scale(elsewhere, total);
    }
    return elsewhere;
  }

  private static double[][] copy(double[][] rows) {
    double[][] copy = new double[rows.length][];
    for (int i = 0; i < rows.length; i++) {
      copy[i] = rows[i] == null ? null : rows[i].clone();
    }
    return copy;
  }

  private void move(double[] weight, int before, int way, double[][] there) {
    there[way] = there[way] == null ? new double[axis.size()] : there[way];
    for (int y = 0; y < weight.length; y++) {
      double moved = weight[y] / total;
      there[way][y] += moved;
      there[before][y] = Math.max(0, there[before][y] - moved);
    }
  }

  private void add(double[][] byWay, Owner o, int s, int way) {
    if (o.weights[s] > 0) {
      byWay[way] = byWay[way] == null ? new double[axis.size()] : byWay[way];
      addTo(byWay[way], o.byState[s]);
    }
  }

  private static double[][][] scale(double[][][] weight, double whole) {
    for (double[][] ofRegion : weight) {
      for (double[] row : ofRegion) {
        for (int y = 0; row != null && y < row.length; y++) {
          row[y] /= whole;
        }
      }
    }
    return weight;
  }

  /** Who made it; what is left out one by one is told together by country, so that all is 1. */
  List<Attribution> makers() {
    List<Attribution> told = new ArrayList<>();
    Map<String, List<Owner>> rest = new LinkedHashMap<>();
    for (List<Owner> name : names) {
      Owner house = name.get(0);
      double p = name.stream().mapToDouble(Owner::weight).sum() / total;
      if (p >= limits.oneByOne() || house.maker == null) {
        told.add(attribution(name));
      } else {
        rest.computeIfAbsent(house.home, r -> new ArrayList<>()).addAll(name);
      }
    }
    rest.forEach(
        (region, owners) ->
            told.add(
                new Attribution(
                    null,
                    region,
                    OTHERS_ON_FILE,
                    owners.stream().mapToDouble(Owner::weight).sum() / total,
                    nineTenths(years(owners)),
                    List.of())));
    told.removeIf(a -> a.probability() < NEXT_TO_NOTHING);
    told.sort(Comparator.comparingDouble((Attribution a) -> -a.probability()));
    return told;
  }

  private Attribution attribution(List<Owner> name) {
    Owner house = name.get(0);
    double weight = name.stream().mapToDouble(Owner::weight).sum();
    return new Attribution(
        house.maker,
        house.home,
        house.label,
        weight / total,
        nineTenths(years(name)),
        name.stream()
            .filter(o -> o.hand != null && o.hand.label() != null)
            .filter(o -> o.weight() / total >= limits.oneByOne())
            .sorted(
                Comparator.comparing((Owner o) -> o.hand.isAnyone())
                    .thenComparingDouble(o -> -o.weight()))
            .map(o -> contractor(o, name))
            .toList());
  }

  private Contractor contractor(Owner o, List<Owner> name) {
    String maker = o.hand.maker() == null ? null : o.hand.maker().id();
    return new Contractor(
        maker, o.hand.label(), o.weight() / total, nineTenths(o.years), speaksFor(o, name));
  }

  // By what a hand leads the likeliest of the others.
  private List<String> speaksFor(Owner hand, List<Owner> name) {
    Owner next =
        name.stream()
            .filter(o -> o != hand && o.hand != null && !o.hand.isAnyone())
            .max(Comparator.comparingDouble(Owner::weight))
            .orElse(null);
    Map<String, Double> telling = new LinkedHashMap<>();
    for (HandRecord.Said said : hand.record.said()) {
      double others =
          next == null
              ? 1
              : next.record.said().stream()
                  .filter(s -> s.trait().equals(said.trait()))
                  .mapToDouble(s -> s.over(next.years))
                  .findFirst()
                  .orElse(1);
      double decibans = 10 * Math.log10(said.over(hand.years) / others);
      if (decibans >= limits.handTold()) {
        telling.put(said.trait(), decibans);
      }
    }
    return telling.entrySet().stream()
        .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
        .map(Map.Entry::getKey)
        .toList();
  }

  private double[] years(List<Owner> name) {
    double[] years = new double[axis.size()];
    name.forEach(o -> addTo(years, o.years));
    return years;
  }

  /** P(maker and year) of the makers on file, by maker. */
  Map<String, double[]> listed() {
    Map<String, double[]> out = new LinkedHashMap<>();
    names.stream()
        .filter(name -> name.get(0).maker != null)
        .forEach(
            name ->
                out.put(
                    name.get(0).maker, Arrays.stream(years(name)).map(w -> w / total).toArray()));
    return out;
  }

  /** How it came to be so; what is left out one by one is told together, so that all is 1. */
  List<StateProbability> states() {
    List<StateProbability> out = new ArrayList<>();
    double rest = 1;
    for (int s = 0; s < ways.size(); s++) {
      double p = probability(s);
      if (p >= limits.oneByOne() || s == ways.place(Whole.AS_MADE)) {
        out.add(new StateProbability(ways.state(s), p, partSpan(s)));
        rest -= p;
      }
    }
    if (rest > NEXT_TO_NOTHING) {
      out.add(new StateProbability(new State(State.Kind.ALL_ELSE, null, "all else"), rest, null));
    }
    out.sort(Comparator.comparingDouble((StateProbability s) -> -s.probability()));
    return out;
  }

  private double probability(int s) {
    double sum = 0;
    for (Owner o : owners) {
      sum += o.weights[s];
    }
    return Math.min(1, sum / total);
  }

  /** The likeliest of these ways, however little it comes to. */
  Optional<StateProbability> likeliest(Predicate<State> among) {
    StateProbability best = null;
    for (int s = 0; s < ways.size(); s++) {
      if (among.test(ways.state(s))) {
        double p = probability(s);
        if (p > 0 && (best == null || p > best.probability())) {
          best = new StateProbability(ways.state(s), p, null);
        }
      }
    }
    return Optional.ofNullable(best);
  }

  List<Explanation> explanations() {
    return explained.stream()
        .map(
            e ->
                new Explanation(
                    e.maker,
                    e.region,
                    e.label,
                    ways.state(e.state),
                    e.probability,
                    nineTenths(years(e)),
                    null))
        .toList();
  }

  private List<Explained> explained() {
    List<Explained> out = new ArrayList<>();
    for (int s = 0; s < ways.size(); s++) {
      int state = s;
      for (List<Owner> name : names) {
        Owner house = name.get(0);
        double p = name.stream().mapToDouble(o -> o.weights[state]).sum() / total;
        if (house.maker != null && p >= limits.oneByOne()) {
          out.add(new Explained(house.maker, house.home, house.label, name, s, p));
        }
      }
      explainUnlisted(out, s);
    }
    return out.stream()
        .sorted(Comparator.comparingDouble((Explained e) -> -e.probability))
        .limit(EXPLANATIONS)
        .toList();
  }

  /** An explanation whose span is not worked out yet. */
  private record Explained(
      @Nullable String maker,
      @Nullable String region,
      String label,
      List<Owner> owners,
      int state,
      double probability) {}

  private double[] years(Explained e) {
    double[] years = new double[axis.size()];
    e.owners.forEach(o -> addTo(years, o.byState[e.state]));
    return years;
  }

  // By id: regions are large, and held against one another very often.
  private static int place(Region region, List<Region> regions) {
    int r = 0;
    while (!regions.get(r).id().equals(region.id())) {
      r++;
    }
    return r;
  }

  /** How the knife looks on one part if an explanation holds. */
  int wayOf(int index, int part) {
    return ways.seenOn(explained.get(index).state, part);
  }

  /**
   * The weight of one explanation by region, way and year, as {@link #weightFor} has that of all;
   * all of it is 1.
   *
   * @param index of the explanation
   * @param way how the knife looks where one looks
   */
  double[][][] weightOf(int index, int way, List<Region> regions) {
    Explained e = explained.get(index);
    double[][][] weight = new double[regions.size()][Outlook.WAYS][];
    for (Owner o : e.owners) {
      add(weight[place(o.region, regions)], o, e.state, way);
    }
    return scale(weight, e.probability * total);
  }

  // Makers not on file count together: which country they are of is told apart.
  private void explainUnlisted(List<Explained> out, int s) {
    double all = 0;
    Owner lead = null;
    for (Owner o : owners) {
      if (o.maker == null && o.weights[s] > 0) {
        all += o.weights[s];
        lead = lead == null || o.weights[s] > lead.weights[s] ? o : lead;
      }
    }
    if (lead != null && all / total >= limits.oneByOne()) {
      List<Owner> unlisted = owners.stream().filter(o -> o.maker == null).toList();
      boolean isClear = lead.weights[s] >= limits.clearCountry() * all;
      String region = isClear ? lead.region.id() : null;
      String label = isClear ? lead.label : NOT_ON_FILE;
      out.add(new Explained(null, region, label, unlisted, s, all / total));
    }
  }

  // A replacement is as old as the knife or younger, and of a year in which it is at home.
  private @Nullable Span partSpan(int s) {
    Integer k = ways.replaced(s).orElse(null);
    if (k == null) {
      return null;
    }
    double[] part = new double[axis.size()];
    for (Owner o : owners) {
      if (o.byState[s] != null && o.voice.speaks(k)) {
        spread(o.byState[s], o.voice, k, part);
      }
    }
    return nineTenths(part);
  }

  private void spread(double[] knife, Voice voice, int k, double[] part) {
    double later = 0;
    double[] after = new double[axis.size()];
    for (int z = axis.size() - 1; z >= 0; z--) {
      later += voice.original(k, z);
      after[z] = later;
    }
    double open = 0;
    for (int z = 0; z < part.length; z++) {
      open += knife[z] / after[z];
      part[z] += voice.original(k, z) * open;
    }
  }

  private Span nineTenths(double[] row) {
    return Distribution.span(Distribution.normalised(row), NINE_TENTHS, axis);
  }

  private static void addTo(double[] sum, double @Nullable [] row) {
    for (int y = 0; row != null && y < row.length; y++) {
      sum[y] += row[y];
    }
  }
}
