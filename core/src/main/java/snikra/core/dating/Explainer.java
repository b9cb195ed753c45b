package snikra.core.dating;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Part;
import snikra.core.dating.DatingVerdict.Attribution;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.Hypotheses.Hypothesis;
import snikra.core.reference.Region;

/** Takes the posterior apart again: by maker, by state, and by both. */
final class Explainer {
  /** Who made it when not even the country is clear. */
  static final String NOT_ON_FILE = "A maker not on file";

  private static final double SHOWN_FROM = 0.005;
  private static final double NINE_TENTHS = 0.9;
  private static final int EXPLANATIONS = 6;

  /** Share of a country among makers not on file from which it is named. */
  private static final double CLEAR_COUNTRY = 0.6;

  private final Hypotheses hypotheses;
  private final Inference inference;
  private final YearAxis axis;
  private final List<Part> parts;
  private final Map<String, Owner> owners = new LinkedHashMap<>();
  private double total;

  /** A maker or the unlisted makers of a region, with weight by state and year. */
  private static final class Owner {
    final @Nullable String maker;
    final Region region;
    final String label;
    final Map<State, double[]> byState = new LinkedHashMap<>();
    final double[] years;

    Owner(Hypothesis h, int size) {
      maker = h.maker() == null ? null : h.maker().id();
      region = h.region();
      label = h.maker() == null ? h.region().unlisted() : h.maker().name();
      years = new double[size];
    }

    double sum() {
      double sum = 0;
      for (double v : years) {
        sum += v;
      }
      return sum;
    }
  }

  Explainer(Hypotheses hypotheses, Inference inference, YearAxis axis, List<Part> parts) {
    this.hypotheses = hypotheses;
    this.inference = inference;
    this.axis = axis;
    this.parts = parts;
    for (Hypothesis h : hypotheses.all) {
      String key = h.maker() == null ? "region " + h.region().id() : "maker " + h.maker().id();
      add(owners.computeIfAbsent(key, k -> new Owner(h, axis.size())), h);
    }
    total = owners.values().stream().mapToDouble(Owner::sum).sum();
  }

  private void add(Owner owner, Hypothesis h) {
    int g = hypotheses.groups.indexOf(h.group());
    Group group = h.group();
    for (int near = 0; near < 2; near++) {
      for (int y = 0; y < axis.size(); y++) {
        double mass = h.mass()[near][y];
        if (mass > 0) {
          double whole = mass * inference.weight[g][near][y];
          owner.years[y] += whole;
          share(owner, group, near, y, mass, whole);
        }
      }
    }
  }

  // What the single states do not account for is two of them at once.
  private void share(Owner owner, Group group, int near, int y, double mass, double whole) {
    double asMade =
        mass
            * group.prior(ClueTables.AS_MADE)
            * inference.scaled(group.logAsMade(ClueTables.AS_MADE, y));
    double left = whole;
    boolean trusted = group.kind != Group.Kind.UNTRUSTED;
    State whole1 = trusted ? state(State.Kind.AS_MADE) : state(State.Kind.MARK_UNTRUSTED);
    left -= put(owner, whole1, y, asMade);
    if (trusted) {
      double later =
          mass
              * group.prior(ClueTables.OLD_STYLE)
              * inference.scaled(group.logAsMade(ClueTables.OLD_STYLE, y));
      left -= put(owner, state(State.Kind.OLD_STYLE), y, later);
      for (int k = 0; k < parts.size(); k++) {
        if (group.speaks(k)) {
          left -= put(owner, replaced(k), y, asMade * group.replaced(k, y));
          left -= put(owner, older(k), y, asMade * group.older(k, near, y));
        }
      }
    }
    put(owner, state(State.Kind.TWO_AT_ONCE), y, Math.max(0, left));
  }

  private double put(Owner owner, State state, int y, double amount) {
    owner.byState.computeIfAbsent(state, s -> new double[axis.size()])[y] += amount;
    return amount;
  }

  private static State state(State.Kind kind) {
    String label =
        switch (kind) {
          case AS_MADE -> "as made";
          case OLD_STYLE -> "made later in the old style";
          case MARK_UNTRUSTED -> "the mark is not to be trusted";
          case TWO_AT_ONCE -> "two of these at once";
          case PART_REPLACED, OLDER_PART ->
              throw new IllegalArgumentException("state must not need a part; found " + kind);
        };
    return new State(kind, null, label);
  }

  private State replaced(int k) {
    String label = parts.get(k).label().toLowerCase(java.util.Locale.ROOT) + " replaced";
    return new State(State.Kind.PART_REPLACED, parts.get(k).id(), label);
  }

  private State older(int k) {
    String label = "older " + parts.get(k).label().toLowerCase(java.util.Locale.ROOT) + " used up";
    return new State(State.Kind.OLDER_PART, parts.get(k).id(), label);
  }

  List<Attribution> makers() {
    return owners.values().stream()
        .filter(o -> o.sum() / total >= SHOWN_FROM)
        .sorted(Comparator.comparingDouble((Owner o) -> -o.sum()))
        .map(
            o ->
                new Attribution(
                    o.maker, o.region.id(), o.label, o.sum() / total, nineTenths(o.years)))
        .toList();
  }

  List<StateProbability> states() {
    Map<State, double[]> sums = new LinkedHashMap<>();
    for (Owner o : owners.values()) {
      o.byState.forEach(
          (s, row) -> addTo(sums.computeIfAbsent(s, k -> new double[axis.size()]), row));
    }
    List<StateProbability> states = new ArrayList<>();
    sums.forEach(
        (s, row) -> {
          double p = sum(row) / total;
          if (p >= SHOWN_FROM || s.kind() == State.Kind.AS_MADE) {
            boolean replaced = s.kind() == State.Kind.PART_REPLACED;
            states.add(new StateProbability(s, p, replaced ? partSpan(s) : null));
          }
        });
    states.sort(Comparator.comparingDouble((StateProbability s) -> -s.probability()));
    return states;
  }

  List<Explanation> explanations() {
    List<Explanation> out = new ArrayList<>();
    for (Owner o : owners.values()) {
      if (o.maker != null) {
        o.byState.forEach((s, row) -> explain(out, o.maker, o.region.id(), o.label, s, row));
      }
    }
    unlistedByState()
        .forEach(
            (s, byRegion) -> {
              double[] all = new double[axis.size()];
              byRegion.values().forEach(row -> addTo(all, row));
              Owner lead =
                  byRegion.entrySet().stream()
                      .max(Comparator.comparingDouble(e -> sum(e.getValue())))
                      .orElseThrow()
                      .getKey();
              boolean clear = sum(byRegion.get(lead)) >= CLEAR_COUNTRY * sum(all);
              explain(out, null, lead.region.id(), clear ? lead.label : NOT_ON_FILE, s, all);
            });
    out.sort(Comparator.comparingDouble((Explanation e) -> -e.probability()));
    return out.subList(0, Math.min(EXPLANATIONS, out.size()));
  }

  // Makers not on file count together: which country they are of is told apart.
  private Map<State, Map<Owner, double[]>> unlistedByState() {
    Map<State, Map<Owner, double[]>> byState = new LinkedHashMap<>();
    for (Owner o : owners.values()) {
      if (o.maker == null) {
        o.byState.forEach(
            (s, row) -> byState.computeIfAbsent(s, k -> new LinkedHashMap<>()).put(o, row));
      }
    }
    return byState;
  }

  private void explain(
      List<Explanation> out,
      @Nullable String maker,
      String region,
      String label,
      State state,
      double[] row) {
    double p = sum(row) / total;
    if (p >= SHOWN_FROM) {
      out.add(new Explanation(maker, region, label, state, p, nineTenths(row)));
    }
  }

  // A replacement is as old as the knife or younger, and of a year in which it is at home.
  private Span partSpan(State state) {
    int k = 0;
    while (!parts.get(k).id().equals(state.part())) {
      k++;
    }
    double[] part = new double[axis.size()];
    for (Owner o : owners.values()) {
      double[] knife = o.byState.get(state);
      for (Hypothesis h : hypotheses.all) {
        if (knife != null && o.region.equals(h.region()) && h.group().speaks(k)) {
          spread(knife, h.group(), k, part);
          break;
        }
      }
    }
    return nineTenths(part);
  }

  private void spread(double[] knife, Group group, int k, double[] part) {
    double later = 0;
    double[] after = new double[axis.size()];
    for (int z = axis.size() - 1; z >= 0; z--) {
      later += group.original(k, z);
      after[z] = later;
    }
    double open = 0;
    for (int z = 0; z < part.length; z++) {
      open += knife[z] / after[z];
      part[z] += group.original(k, z) * open;
    }
  }

  private Span nineTenths(double[] row) {
    return Distribution.span(Distribution.normalised(row), NINE_TENTHS, axis);
  }

  private static void addTo(double[] sum, double[] row) {
    for (int y = 0; y < row.length; y++) {
      sum[y] += row[y];
    }
  }

  private static double sum(double[] row) {
    double sum = 0;
    for (double v : row) {
      sum += v;
    }
    return sum;
  }
}
