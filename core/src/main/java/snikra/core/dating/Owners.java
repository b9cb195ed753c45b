package snikra.core.dating;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.Hypotheses.Hypothesis;
import snikra.core.dating.Ways.Older;
import snikra.core.dating.Ways.Replaced;
import snikra.core.dating.Ways.Whole;
import snikra.core.dating.Ways.Wrong;

/** The posterior added up by who made the knife and by how it came to be as it is. */
final class Owners {
  /** Share of the whole under which a hypothesis is not taken apart by state. */
  private static final double NEGLIGIBLE = 1e-12;

  private final Inference inference;
  private final Priors priors;
  private final Ways ways;
  private final List<Look> looks;

  /** By part, its place among the ways; by look, minus one where it never is misjudged. */
  private final int[] replaced;

  private final int[] older;
  private final int[] wrong;

  private final Map<String, Owner> owners = new LinkedHashMap<>();
  private final Map<String, List<Owner>> names = new LinkedHashMap<>();

  /** Room to work in, of which only the years of the hypothesis in hand are used. */
  private final double[] asMade;

  private final double[] later;
  private final double[] left;
  private final double[] ofItsDay;
  private final double[] amount;
  private int from;
  private int to;

  Owners(Hypotheses hypotheses, Inference inference, Desk desk, List<Look> looks, Ways ways) {
    this.inference = inference;
    this.priors = desk.priors;
    this.ways = ways;
    this.looks = looks;
    int parts = desk.parts.size();
    replaced = IntStream.range(0, parts).map(k -> ways.place(new Replaced(k))).toArray();
    older = IntStream.range(0, parts).map(k -> ways.place(new Older(k))).toArray();
    wrong = IntStream.range(0, looks.size()).map(i -> ways.place(new Wrong(i))).toArray();
    int years = desk.axis.size();
    asMade = new double[years];
    later = new double[years];
    left = new double[years];
    ofItsDay = new double[years];
    amount = new double[years];
    double[] weight = hypotheses.all.stream().mapToDouble(this::weight).toArray();
    double negligible = NEGLIGIBLE * Distribution.sum(weight);
    for (int i = 0; i < weight.length; i++) {
      if (weight[i] >= negligible) {
        add(hypotheses.all.get(i));
      }
    }
    owners.values().forEach(Owner::sumUp);
  }

  List<Owner> each() {
    return List.copyOf(owners.values());
  }

  /** Those under one name: the house itself, and all who made for it. */
  List<List<Owner>> names() {
    return List.copyOf(names.values());
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

  private void add(Hypothesis h) {
    String name = h.maker() == null ? "region " + h.region().id() : "maker " + h.maker().id();
    String key = h.hand() == null ? name : name + " by " + h.hand().label();
    Owner owner = owners.get(key);
    if (owner == null) {
      owner = new Owner(h, ways.size(), left.length);
      owners.put(key, owner);
      names.computeIfAbsent(name, n -> new ArrayList<>()).add(owner);
    }
    from = h.from();
    to = h.to();
    for (int near = 0; near < 2; near++) {
      if (h.group().isMet(near)) {
        share(owner, h.group(), near, h.mass()[near]);
      }
    }
  }

  // What the single ways do not account for is two of them at once.
  private void share(Owner owner, Group group, int near, double[] mass) {
    takeUp(owner, group, near, mass);
    if (group.kind == Group.Kind.UNTRUSTED) {
      put(owner, ways.place(Whole.MARK_UNTRUSTED), asMade, null, 1);
    } else {
      asMade(owner, group.voice);
      Voice voice = group.voice;
      for (int k = 0; k < replaced.length; k++) {
        if (voice.speaks(k)) {
          either(voice.replaced(k, ClueTables.AS_MADE), voice.replaced(k, ClueTables.OLD_STYLE));
          put(owner, replaced[k], amount, null, 1);
          either(voice.older(k, ClueTables.AS_MADE), voice.older(k, ClueTables.OLD_STYLE));
          put(owner, older[k], amount, null, priors.older()[near]);
        }
      }
    }
    double[] atOnce = owner.in(ways.place(Whole.TWO_AT_ONCE));
    for (int y = from; y < to; y++) {
      atOnce[y] += Math.max(0, left[y]);
    }
  }

  // By year what is to be shared, and what of it is of the knife's year, in either style.
  private void takeUp(Owner owner, Group group, int near, double[] mass) {
    double[] weight = inference.weight[group.index][near];
    double[] ofTheDay = inference.asMade(group, ClueTables.AS_MADE);
    double[] inOldStyle = inference.asMade(group, ClueTables.OLD_STYLE);
    double prior = group.prior(ClueTables.AS_MADE);
    double priorOld = group.prior(ClueTables.OLD_STYLE);
    for (int y = from; y < to; y++) {
      boolean isAny = mass[y] > 0;
      left[y] = isAny ? mass[y] * weight[y] : 0;
      asMade[y] = isAny ? ofTheDay[y] * (mass[y] * prior) : 0;
      later[y] = isAny ? inOldStyle[y] * (mass[y] * priorOld) : 0;
      owner.years[y] += left[y];
    }
  }

  // A part of another year, and whether the rest is in an older style makes no difference.
  private void either(double[] departs, double[] inOldStyle) {
    for (int y = from; y < to; y++) {
      double plain = asMade[y] * departs[y];
      amount[y] = plain + Math.min(later[y] * inOldStyle[y], priors.oldStyle() * plain);
    }
  }

  // As made means that everything was seen rightly too. What was made in an old style while that
  // was the style of the day is as made.
  private void asMade(Owner owner, Voice voice) {
    double prior = priors.oldStyle();
    for (int y = from; y < to; y++) {
      double same = Math.min(later[y], prior * asMade[y]);
      ofItsDay[y] = asMade[y] + same;
      amount[y] = later[y] - same;
    }
    put(owner, ways.place(Whole.OLD_STYLE), amount, null, 1);
    for (int i = 0; i < wrong.length; i++) {
      double[] odds = misjudged(i, voice);
      for (int y = from; odds != null && y < to; y++) {
        ofItsDay[y] /= 1 + odds[y];
      }
    }
    put(owner, ways.place(Whole.AS_MADE), ofItsDay, null, 1);
    for (int i = 0; i < wrong.length; i++) {
      double[] odds = misjudged(i, voice);
      if (odds != null) {
        put(owner, wrong[i], ofItsDay, odds, 1);
      }
    }
  }

  private double @Nullable [] misjudged(int look, Voice voice) {
    double[][] odds = looks.get(look).misjudged();
    return odds != null && voice.hears(looks.get(look)) ? odds[voice.region] : null;
  }

  // Adds an amount, by year, to a state and takes it from what is left.
  private void put(Owner owner, int state, double[] much, double @Nullable [] times, double prior) {
    double[] row = owner.in(state);
    for (int y = from; y < to; y++) {
      double more = prior * (times == null ? much[y] : much[y] * times[y]);
      row[y] += more;
      left[y] -= more;
    }
  }
}
