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
import snikra.core.clue.Part;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.Contractor;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.Hypotheses.Hypothesis;
import snikra.core.dating.Ways.Older;
import snikra.core.dating.Ways.Replaced;
import snikra.core.dating.Ways.Whole;
import snikra.core.dating.Ways.Wrong;
import snikra.core.reference.Region;

/** Takes the posterior apart again: by maker, by state, and by both. */
final class Explainer {
  /** Who made it when not even the country is clear. */
  static final String NOT_ON_FILE = "A maker not on file";

  /** All of a country on file of whom none comes to much. */
  static final String OTHERS_ON_FILE = "Others on file";

  private static final double SHOWN_FROM = 0.005;

  /** Under this nothing is told, not even with others. */
  private static final double NEXT_TO_NOTHING = 1e-4;

  /** Share of the whole under which a hypothesis is not taken apart by state. */
  private static final double NEGLIGIBLE = 1e-12;

  private static final double NINE_TENTHS = 0.9;

  /** From so much on a trait is told as speaking for a hand. */
  private static final double TELLING_DECIBANS = 2;

  private static final int EXPLANATIONS = 6;

  /** For how a knife looks on parts that a way is not about. */
  private static final int NO_PART = -1;

  /** Share of a country among makers not on file from which it is named. */
  private static final double CLEAR_COUNTRY = 0.6;

  private final Inference inference;
  private final YearAxis axis;
  private final List<Part> parts;
  private final Priors priors;
  private final List<Look> looks;

  /** Every state there may be; the weights of an owner are kept in this order. */
  private final Ways ways;

  private final Map<String, Owner> owners = new LinkedHashMap<>();

  /** Those under one name: the house itself, and all who made for it. */
  private final Map<String, List<Owner>> names = new LinkedHashMap<>();

  private final double total;
  private final List<Explained> explained;

  /** By region, way and year, as it looks on a part that no way is about; null until asked for. */
  private double @Nullable [][][] elsewhere;

  /** A maker or the unlisted makers of a region, with weight by state and year. */
  private static final class Owner {
    final @Nullable String maker;
    final @Nullable Hand hand;
    final Region region;
    final String home;
    final String label;
    final double[] @Nullable [] byState;

    /** Sums of {@code byState}. */
    final double[] weights;

    final double[] years;

    /** What it hears of the parts. */
    final Voice voice;

    final HandRecord record;

    Owner(Hypothesis h, int states, int size) {
      maker = h.maker() == null ? null : h.maker().id();
      hand = h.hand();
      region = h.region();
      home = h.maker() == null ? region.id() : h.maker().region();
      label = h.maker() == null ? h.region().unlisted() : h.maker().name();
      byState = new double[states][];
      weights = new double[states];
      voice = h.group().voice;
      record = h.record();
      years = new double[size];
    }

    void sumUp() {
      for (int s = 0; s < weights.length; s++) {
        weights[s] = byState[s] == null ? 0 : Distribution.sum(byState[s]);
      }
    }

    double weight() {
      return Distribution.sum(years);
    }
  }

  Explainer(
      Hypotheses hypotheses, Inference inference, Desk desk, List<Look> looks, Evidence evidence) {
    this.inference = inference;
    this.axis = desk.axis;
    this.parts = desk.parts;
    this.priors = desk.priors;
    this.looks = looks;
    this.ways = new Ways(parts, looks, evidence);
    double[] weight = hypotheses.all.stream().mapToDouble(this::weight).toArray();
    double negligible = NEGLIGIBLE * Distribution.sum(weight);
    for (int i = 0; i < weight.length; i++) {
      if (weight[i] < negligible) {
        continue;
      }
      Hypothesis h = hypotheses.all.get(i);
      String name = h.maker() == null ? "region " + h.region().id() : "maker " + h.maker().id();
      String key = h.hand() == null ? name : name + " by " + h.hand().label();
      Owner owner =
          owners.computeIfAbsent(
              key,
              k -> {
                Owner met = new Owner(h, ways.size(), axis.size());
                names.computeIfAbsent(name, n -> new ArrayList<>()).add(met);
                return met;
              });
      add(owner, h);
    }
    owners.values().forEach(Owner::sumUp);
    total = owners.values().stream().mapToDouble(Owner::weight).sum();
    explained = explained();
  }

  private double weight(Hypothesis h) {
    double sum = 0;
    for (int near = 0; near < 2; near++) {
      double[] weight = inference.weight[h.group().index][near];
      double[] mass = h.mass()[near];
      for (int y = h.from(); h.group().isMet(near) && y < h.to(); y++) {
        sum += mass[y] > 0 ? mass[y] * weight[y] : 0;
      }
    }
    return sum;
  }

  private void add(Owner owner, Hypothesis h) {
    for (int near = 0; near < 2; near++) {
      if (h.group().isMet(near)) {
        share(owner, h.group(), near, h.mass()[near]);
      }
    }
  }

  // What the single ways do not account for is two of them at once.
  private void share(Owner owner, Group group, int near, double[] mass) {
    double[] left = new double[axis.size()];
    double[] asMade = inference.asMade(group, ClueTables.AS_MADE).clone();
    double[] later = inference.asMade(group, ClueTables.OLD_STYLE).clone();
    for (int y = 0; y < left.length; y++) {
      if (mass[y] > 0) {
        left[y] = mass[y] * inference.weight[group.index][near][y];
        asMade[y] *= mass[y] * group.prior(ClueTables.AS_MADE);
        later[y] *= mass[y] * group.prior(ClueTables.OLD_STYLE);
      } else {
        asMade[y] = 0;
        later[y] = 0;
      }
      owner.years[y] += left[y];
    }
    if (group.kind == Group.Kind.UNTRUSTED) {
      put(owner, ways.place(Whole.MARK_UNTRUSTED), asMade, null, 1, left);
    } else {
      asMade(owner, group, asMade, later, left);
      for (int k = 0; k < parts.size(); k++) {
        if (group.voice.speaks(k)) {
          Voice voice = group.voice;
          double[] replaced =
              either(
                  asMade,
                  voice.replaced(k, ClueTables.AS_MADE),
                  later,
                  voice.replaced(k, ClueTables.OLD_STYLE));
          put(owner, ways.place(new Replaced(k)), replaced, null, 1, left);
          double[] older =
              either(
                  asMade,
                  voice.older(k, ClueTables.AS_MADE),
                  later,
                  voice.older(k, ClueTables.OLD_STYLE));
          double prior = priors.older()[near];
          put(owner, ways.place(new Older(k)), older, null, prior, left);
        }
      }
    }
    for (int y = 0; y < left.length; y++) {
      left[y] = Math.max(0, left[y]);
    }
    put(owner, ways.place(Whole.TWO_AT_ONCE), left, null, 1, left);
  }

  // A part of another year, and whether the rest is in an older style makes no difference.
  private double[] either(double[] asMade, double[] departs, double[] later, double[] inOldStyle) {
    double[] sum = new double[asMade.length];
    for (int y = 0; y < sum.length; y++) {
      double plain = asMade[y] * departs[y];
      sum[y] = plain + Math.min(later[y] * inOldStyle[y], priors.oldStyle() * plain);
    }
    return sum;
  }

  // As made means that everything was seen rightly too. What was made in an old style while that
  // was the style of the day is as made.
  private void asMade(Owner owner, Group group, double[] asMade, double[] later, double[] left) {
    double[] ofItsDay = asMade.clone();
    double[] oldStyle = new double[later.length];
    double prior = priors.oldStyle();
    for (int y = 0; y < later.length; y++) {
      double same = Math.min(later[y], prior * asMade[y]);
      ofItsDay[y] += same;
      oldStyle[y] = later[y] - same;
    }
    put(owner, ways.place(Whole.OLD_STYLE), oldStyle, null, 1, left);
    List<Look> heard =
        looks.stream().filter(l -> l.misjudged() != null && group.voice.hears(l)).toList();
    for (Look look : heard) {
      double[] odds = look.misjudged()[group.voice.region];
      for (int y = 0; y < ofItsDay.length; y++) {
        ofItsDay[y] /= 1 + odds[y];
      }
    }
    put(owner, ways.place(Whole.AS_MADE), ofItsDay, null, 1, left);
    for (Look look : heard) {
      double[] odds = look.misjudged()[group.voice.region];
      put(owner, ways.place(new Wrong(looks.indexOf(look))), ofItsDay, odds, 1, left);
    }
  }

  // Adds an amount, by year, to a state and takes it from what is left.
  private void put(
      Owner owner,
      int state,
      double[] amount,
      double @Nullable [] times,
      double prior,
      double[] left) {
    double[] row = owner.byState[state];
    if (row == null) {
      row = new double[axis.size()];
      owner.byState[state] = row;
    }
    for (int y = 0; y < row.length; y++) {
      double more = prior * (times == null ? amount[y] : amount[y] * times[y]);
      row[y] += more;
      left[y] -= more;
    }
  }

  /**
   * The weight of all owners by region, way and year, null where there is none, for looking at one
   * part; all of it is 1.
   *
   * @param part index of the part
   */
  double[][][] weightFor(int part, List<Region> regions) {
    double[][][] weight = new double[regions.size()][Outlook.WAYS][];
    double[][][] elsewhere = elsewhere(regions);
    for (int r = 0; r < weight.length; r++) {
      for (int way = 0; way < Outlook.WAYS; way++) {
        weight[r][way] = elsewhere[r][way] == null ? null : elsewhere[r][way].clone();
      }
    }
    for (int s = 0; s < ways.size(); s++) {
      int way = ways.seenOn(s, part);
      if (way != ways.seenOn(s, NO_PART)) {
        move(s, way, weight, regions);
      }
    }
    return scaled(weight, total);
  }

  // Nearly all of it looks the same on any part, so that is added up once.
  private double[][][] elsewhere(List<Region> regions) {
    if (elsewhere == null) {
      elsewhere = new double[regions.size()][Outlook.WAYS][];
      for (Owner o : owners.values()) {
        double[][] there = elsewhere[place(o.region, regions)];
        for (int s = 0; s < ways.size(); s++) {
          add(there, o, s, ways.seenOn(s, NO_PART));
        }
      }
    }
    return elsewhere;
  }

  private void move(int s, int way, double[][][] weight, List<Region> regions) {
    for (Owner o : owners.values()) {
      double[][] there = weight[place(o.region, regions)];
      add(there, o, s, way);
      double[] from = there[ways.seenOn(s, NO_PART)];
      for (int y = 0; o.weights[s] > 0 && y < from.length; y++) {
        from[y] = Math.max(0, from[y] - o.byState[s][y]);
      }
    }
  }

  private void add(double[][] byWay, Owner o, int s, int way) {
    if (o.weights[s] > 0) {
      byWay[way] = byWay[way] == null ? new double[axis.size()] : byWay[way];
      addTo(byWay[way], o.byState[s]);
    }
  }

  private static double[][][] scaled(double[][][] weight, double whole) {
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
    for (List<Owner> name : names.values()) {
      Owner house = name.get(0);
      double p = name.stream().mapToDouble(Owner::weight).sum() / total;
      if (p >= SHOWN_FROM || house.maker == null) {
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
            .filter(o -> o.weight() / total >= SHOWN_FROM)
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
  private static List<String> speaksFor(Owner hand, List<Owner> name) {
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
      if (decibans >= TELLING_DECIBANS) {
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
    names.values().stream()
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
      if (p >= SHOWN_FROM || s == ways.place(Whole.AS_MADE)) {
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
    for (Owner o : owners.values()) {
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
      for (List<Owner> name : names.values()) {
        Owner house = name.get(0);
        double p = name.stream().mapToDouble(o -> o.weights[state]).sum() / total;
        if (house.maker != null && p >= SHOWN_FROM) {
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
      String region,
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
    return scaled(weight, e.probability * total);
  }

  // Makers not on file count together: which country they are of is told apart.
  private void explainUnlisted(List<Explained> out, int s) {
    double all = 0;
    Owner lead = null;
    for (Owner o : owners.values()) {
      if (o.maker == null && o.weights[s] > 0) {
        all += o.weights[s];
        lead = lead == null || o.weights[s] > lead.weights[s] ? o : lead;
      }
    }
    if (lead != null && all / total >= SHOWN_FROM) {
      List<Owner> unlisted = owners.values().stream().filter(o -> o.maker == null).toList();
      String label = lead.weights[s] >= CLEAR_COUNTRY * all ? lead.label : NOT_ON_FILE;
      out.add(new Explained(null, lead.region.id(), label, unlisted, s, all / total));
    }
  }

  // A replacement is as old as the knife or younger, and of a year in which it is at home.
  private @Nullable Span partSpan(int s) {
    Integer k = ways.replaced(s).orElse(null);
    if (k == null) {
      return null;
    }
    double[] part = new double[axis.size()];
    for (Owner o : owners.values()) {
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
