package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Part;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.Contractor;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.Hypotheses.Hypothesis;
import snikra.core.reference.Region;

/** Takes the posterior apart again: by maker, by state, and by both. */
final class Explainer {
  /** Who made it when not even the country is clear. */
  static final String NOT_ON_FILE = "A maker not on file";

  private static final double SHOWN_FROM = 0.005;

  /** Share of the whole under which a hypothesis is not taken apart by state. */
  private static final double NEGLIGIBLE = 1e-12;

  private static final double NINE_TENTHS = 0.9;
  private static final int EXPLANATIONS = 6;

  /** Share of a country among makers not on file from which it is named. */
  private static final double CLEAR_COUNTRY = 0.6;

  private static final int AS_MADE = 0;
  private static final int OLD_STYLE = 1;
  private static final int MARK_UNTRUSTED = 2;
  private static final int TWO_AT_ONCE = 3;
  private static final int FIRST_PART = 4;

  private final Hypotheses hypotheses;
  private final Inference inference;
  private final YearAxis axis;
  private final List<Part> parts;

  /** Every state there is; the weights of an owner are kept in this order. */
  private final List<State> states;

  private final Map<String, Owner> owners = new LinkedHashMap<>();

  /** Those under one name: the house itself, and all who made for it. */
  private final Map<String, List<Owner>> names = new LinkedHashMap<>();

  private final double total;
  private final List<Explained> explained;

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

    Owner(Hypothesis h, int states, int size) {
      maker = h.maker() == null ? null : h.maker().id();
      hand = h.hand();
      region = h.region();
      home = h.maker() == null ? region.id() : h.maker().region();
      label = h.maker() == null ? h.region().unlisted() : h.maker().name();
      byState = new double[states][];
      weights = new double[states];
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

  Explainer(Hypotheses hypotheses, Inference inference, YearAxis axis, List<Part> parts) {
    this.hypotheses = hypotheses;
    this.inference = inference;
    this.axis = axis;
    this.parts = parts;
    this.states = states(parts);
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
                Owner met = new Owner(h, states.size(), axis.size());
                names.computeIfAbsent(name, n -> new ArrayList<>()).add(met);
                return met;
              });
      add(owner, h);
    }
    owners.values().forEach(Owner::sumUp);
    total = owners.values().stream().mapToDouble(Owner::weight).sum();
    explained = explained();
  }

  private static List<State> states(List<Part> parts) {
    List<State> states = new ArrayList<>();
    states.add(new State(State.Kind.AS_MADE, null, "as made"));
    states.add(new State(State.Kind.OLD_STYLE, null, "made later in the old style"));
    states.add(new State(State.Kind.MARK_UNTRUSTED, null, "the mark is not to be trusted"));
    states.add(new State(State.Kind.TWO_AT_ONCE, null, "two of these at once"));
    for (Part part : parts) {
      String name = part.label().toLowerCase(Locale.ROOT);
      states.add(new State(State.Kind.PART_REPLACED, part.id(), name + " replaced"));
      states.add(new State(State.Kind.OLDER_PART, part.id(), "older " + name + " used up"));
    }
    return states;
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

  // What the single states do not account for is two of them at once.
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
      put(owner, MARK_UNTRUSTED, asMade, null, 1, left);
    } else {
      put(owner, AS_MADE, asMade, null, 1, left);
      put(owner, OLD_STYLE, later, null, 1, left);
      for (int k = 0; k < parts.size(); k++) {
        if (group.voice.speaks(k)) {
          put(owner, FIRST_PART + 2 * k, asMade, group.voice.replaced(k), 1, left);
          double prior = Voice.OLDER_PRIOR[near];
          put(owner, FIRST_PART + 2 * k + 1, asMade, group.voice.older(k), prior, left);
        }
      }
    }
    for (int y = 0; y < left.length; y++) {
      left[y] = Math.max(0, left[y]);
    }
    put(owner, TWO_AT_ONCE, left, null, 1, left);
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
      double more = times == null ? amount[y] : amount[y] * prior * times[y];
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
    for (Owner o : owners.values()) {
      for (int s = 0; s < states.size(); s++) {
        add(weight[regions.indexOf(o.region)], o, s, part);
      }
    }
    return scaled(weight, total);
  }

  private void add(double[][] ways, Owner o, int s, int part) {
    int way =
        switch (s - FIRST_PART - 2 * part) {
          case 0 -> Outlook.REPLACED;
          case 1 -> Outlook.OLDER;
          default -> s == OLD_STYLE ? Outlook.OLD_STYLE : Outlook.AS_MADE;
        };
    if (o.weights[s] > 0) {
      ways[way] = ways[way] == null ? new double[axis.size()] : ways[way];
      addTo(ways[way], o.byState[s]);
    }
  }

  private static double[][][] scaled(double[][][] weight, double whole) {
    for (double[][] ways : weight) {
      for (double[] row : ways) {
        for (int y = 0; row != null && y < row.length; y++) {
          row[y] /= whole;
        }
      }
    }
    return weight;
  }

  List<Attribution> makers() {
    return names.values().stream()
        .map(this::attribution)
        .filter(a -> a.probability() >= SHOWN_FROM)
        .sorted(Comparator.comparingDouble((Attribution a) -> -a.probability()))
        .toList();
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
            .map(this::contractor)
            .toList());
  }

  private Contractor contractor(Owner o) {
    String maker = o.hand.maker() == null ? null : o.hand.maker().id();
    return new Contractor(maker, o.hand.label(), o.weight() / total, nineTenths(o.years));
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

  List<StateProbability> states() {
    List<StateProbability> out = new ArrayList<>();
    for (int s = 0; s < states.size(); s++) {
      State state = states.get(s);
      double sum = 0;
      for (Owner o : owners.values()) {
        sum += o.weights[s];
      }
      double p = sum / total;
      if (p >= SHOWN_FROM || s == AS_MADE) {
        boolean replaced = state.kind() == State.Kind.PART_REPLACED;
        out.add(new StateProbability(state, p, replaced ? partSpan(s) : null));
      }
    }
    out.sort(Comparator.comparingDouble((StateProbability s) -> -s.probability()));
    return out;
  }

  List<Explanation> explanations() {
    return explained.stream()
        .map(
            e ->
                new Explanation(
                    e.maker,
                    e.region,
                    e.label,
                    states.get(e.state),
                    e.probability,
                    nineTenths(years(e)),
                    null))
        .toList();
  }

  private List<Explained> explained() {
    List<Explained> out = new ArrayList<>();
    for (int s = 0; s < states.size(); s++) {
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

  /**
   * The weight of one explanation by region, way and year, as {@link #weightFor} has that of all;
   * all of it is 1.
   *
   * @param index of the explanation
   */
  double[][][] weightOf(int index, int part, List<Region> regions) {
    Explained e = explained.get(index);
    double[][][] weight = new double[regions.size()][Outlook.WAYS][];
    for (Owner o : e.owners) {
      add(weight[regions.indexOf(o.region)], o, e.state, part);
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
  private Span partSpan(int s) {
    int k = (s - FIRST_PART) / 2;
    double[] part = new double[axis.size()];
    for (Owner o : owners.values()) {
      double[] knife = o.byState[s];
      for (Hypothesis h : hypotheses.all) {
        if (knife != null && o.region.equals(h.region()) && h.group().voice.speaks(k)) {
          spread(knife, h.group().voice, k, part);
          break;
        }
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
