package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.judgement.Judgement;
import snikra.core.reference.History;
import snikra.core.reference.History.Fitting;
import snikra.core.reference.Maker;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sureness;
import snikra.core.trait.AtLarge;
import snikra.core.trait.Traits;

/**
 * Holds what was found against what is on file of a hand: its fittings and shields by their years,
 * the tells its work is known by, and its models. Under the name of a house the hand that made the
 * knife is heard first, and the house where nothing is on file of the hand.
 */
final class HandReader {
  private final YearAxis axis;
  private final AtLarge atLarge;
  private final LookReliability reliability;
  private final double outOfEra;
  private final double onItsKnives;
  private final double notOnFile;
  private final double notOnFileNearChange;
  private final double tellIsWrong;
  private final double rare;
  private final double modelOnFile;

  /** By maker itself: makers are large, and there is one of each. */
  private final IdentityHashMap<Maker, Set<String>> spoken = new IdentityHashMap<>();

  private final IdentityHashMap<Maker, Map<String, List<Fitting>>> fittings =
      new IdentityHashMap<>();

  private final IdentityHashMap<Maker, Map<String, List<Told>>> ofModels = new IdentityHashMap<>();

  /** What is told of a model. */
  private record Told(History.Model model, ModelTell tell) {}

  private final IdentityHashMap<Maker, boolean[]> nearChange = new IdentityHashMap<>();

  HandReader(ReferenceShelf shelf, YearAxis axis) {
    this.axis = axis;
    this.atLarge = new AtLarge(shelf);
    Judgement judgement = shelf.judgement();
    reliability = LookReliability.of(judgement);
    outOfEra = judgement.of("fitting.out-of-era");
    onItsKnives = judgement.of("fitting.on-its-knives");
    notOnFile = judgement.of("fitting.not-on-file");
    notOnFileNearChange = judgement.of("fitting.not-on-file-near-change");
    tellIsWrong = judgement.of("tell.wrong");
    rare = judgement.of("tell.rare");
    modelOnFile = judgement.of("hand.model-on-file");
    int around = (int) judgement.of("state.years-around-change");
    for (Maker maker : shelf.makers()) {
      boolean[] near = new boolean[axis.size()];
      for (int y = 0; y < near.length; y++) {
        near[y] = maker.isNearChange(axis.year(y), around);
      }
      nearChange.put(maker, near);
      spoken.put(maker, spokenOf(maker));
      fittings.put(
          maker,
          maker.history().allFittings().stream().collect(Collectors.groupingBy(Fitting::feature)));
      Map<String, List<Told>> told = new HashMap<>();
      for (History.Model model : maker.history().models()) {
        for (ModelTell tell : model.tells()) {
          told.computeIfAbsent(tell.trait(), t -> new ArrayList<>()).add(new Told(model, tell));
        }
      }
      ofModels.put(maker, told);
    }
  }

  // By which traits anything is on file of it.
  private static Set<String> spokenOf(Maker maker) {
    Set<String> traits = new TreeSet<>();
    History history = maker.history();
    history.allFittings().forEach(f -> traits.add(f.feature()));
    history.tells().forEach(t -> t.asData().ifPresent(d -> traits.add(d.trait())));
    return traits;
  }

  /**
   * What is on file of each of these hands and of the house whose name the knife bears.
   *
   * <p>What a record says parts the hands of a house from one another, and its years from one
   * another. It never makes a knife the sooner this house's: how often a detail is met among knives
   * of the same kind by others nobody knows, so together the hands of a house gain nothing by it.
   *
   * @param shares of the knives of the house, by hand
   */
  List<HandRecord> of(Maker house, List<Hand> hands, double[] shares, Evidence evidence) {
    List<Map<String, double[]>> said = new ArrayList<>();
    Set<String> traits = new TreeSet<>();
    for (Hand hand : hands) {
      Map<String, double[]> own = said(house, hand, evidence.shown());
      said.add(own);
      traits.addAll(own.keySet());
    }
    if (traits.isEmpty()) {
      return Collections.nCopies(hands.size(), HandRecord.SILENT);
    }
    Map<String, Double> tops = new HashMap<>();
    Map<String, double[]> unsaid = new HashMap<>();
    for (String trait : traits) {
      double top = top(trait, said, shares);
      tops.put(trait, top);
      if (top > 1) {
        double[] row = new double[axis.size()];
        Arrays.fill(row, 1 / top);
        unsaid.put(trait, row);
      }
    }
    Set<String> dated =
        evidence.observed().stream().map(o -> o.feature().id()).collect(Collectors.toSet());
    return said.stream().map(own -> record(own, tops, unsaid, dated)).toList();
  }

  // The most that all hands together would gain by a trait in any year.
  private double top(String trait, List<Map<String, double[]>> said, double[] shares) {
    double[] together = new double[axis.size()];
    double silent = 0;
    for (int h = 0; h < shares.length; h++) {
      double[] row = said.get(h).get(trait);
      if (row == null) {
        silent += shares[h];
      } else {
        for (int y = 0; y < row.length; y++) {
          together[y] += shares[h] * row[y];
        }
      }
    }
    double top = 1;
    for (double gained : together) {
      top = Math.max(top, silent + gained);
    }
    return top;
  }

  private HandRecord record(
      Map<String, double[]> own,
      Map<String, Double> tops,
      Map<String, double[]> unsaid,
      Set<String> dated) {
    Map<String, double[]> rows = new HashMap<>();
    List<HandRecord.Said> said = new ArrayList<>();
    double[] whole = null;
    for (Map.Entry<String, Double> top : tops.entrySet()) {
      String trait = top.getKey();
      double[] raw = own.get(trait);
      double[] row = unsaid.get(trait);
      if (raw != null) {
        row = Arrays.stream(raw).map(r -> r / top.getValue()).toArray();
        said.add(new HandRecord.Said(trait, raw));
      }
      if (row != null && dated.contains(trait)) {
        rows.put(trait, row);
      } else if (row != null) {
        whole = whole == null ? row : Distribution.product(whole, row);
      }
    }
    return new HandRecord(rows, whole, said);
  }

  // By trait, what one hand's record says against knives at large.
  private Map<String, double[]> said(Maker house, Hand hand, Shown shown) {
    Maker own = hand.maker() == null ? house : hand.maker();
    Map<String, double[]> said = new HashMap<>();
    for (Maker maker :
        hand.isItself() || own.equals(house) ? List.of(house) : List.of(own, house)) {
      for (String trait : spoken.getOrDefault(maker, Set.of())) {
        double[] row =
            said.containsKey(trait) || !isShown(trait, shown) ? null : row(maker, trait, shown);
        if (row != null) {
          said.put(trait, row);
        }
      }
    }
    said.putAll(models(own, said.keySet(), shown));
    return said;
  }

  /**
   * How much likelier an answer is on work of this hand than on knives at large, by year; 1 where
   * nothing is on file of it.
   */
  double[] likelier(Maker house, Hand hand, String feature, String answer) {
    double[] row = said(house, hand, Shown.surely(Map.of(feature, answer))).get(feature);
    if (row != null) {
      return row;
    }
    double[] even = new double[axis.size()];
    Arrays.fill(even, 1);
    return even;
  }

  private double @Nullable [] row(Maker maker, String trait, Shown shown) {
    double[] best = null;
    for (Seen<String> answer : shown.of(trait)) {
      double[] row = new double[axis.size()];
      for (Map.Entry<String, Double> one : answer.shares().entrySet()) {
        double[] ofOne = fitted(maker, trait, one.getKey(), answer.sureness(), shown);
        for (int y = 0; y < row.length; y++) {
          row[y] += one.getValue() * ofOne[y];
        }
      }
      // Of several blades one that shows it is enough.
      best = best == null || Distribution.sum(row) > Distribution.sum(best) ? row : best;
    }
    ModelTell tell = tell(maker, trait).orElse(null);
    Double ratio = tell == null ? null : ratio(tell, shown);
    if (ratio == null) {
      return best;
    }
    double[] told = new double[axis.size()];
    Arrays.fill(told, ratio);
    return best == null ? told : Distribution.product(best, told);
  }

  private static Optional<ModelTell> tell(Maker maker, String trait) {
    return maker.history().tells().stream()
        .flatMap(t -> t.asData().stream())
        .filter(t -> t.trait().equals(trait))
        .findFirst();
  }

  private double[] fitted(
      Maker maker, String trait, String answer, Sureness sureness, Shown shown) {
    List<Fitting> all = fittings.get(maker).getOrDefault(trait, List.of());
    double[] row = new double[axis.size()];
    Arrays.fill(row, 1);
    if (all.isEmpty()) {
      return row;
    }
    double q = reliability.of(sureness);
    List<Fitting> its = all.stream().filter(f -> f.value().equals(answer)).toList();
    double trust = (its.isEmpty() ? all : its).stream().mapToDouble(Fitting::trust).max().orElse(1);
    double any = Math.max(rare, atLarge.rate(trait, answer, shown.first()));
    List<Offered> offered = its.isEmpty() ? offered(maker, trait, answer) : List.of();
    for (int y = 0; y < row.length; y++) {
      int year = axis.year(y);
      double said = its.isEmpty() ? strange(maker, offered, year) : inEra(all, its, year, any);
      row[y] = q * (trust * said + 1 - trust) + 1 - q;
    }
    return row;
  }

  /** A model that could be had with what was found. */
  private record Offered(History.Model model, History.Option option) {
    boolean in(int year) {
      return option.in(year) && year >= model.from() && year <= model.to();
    }
  }

  private static List<Offered> offered(Maker maker, String trait, String answer) {
    return maker.history().models().stream()
        .flatMap(m -> m.options().stream().map(o -> new Offered(m, o)))
        .filter(o -> o.option().feature().equals(trait) && o.option().value().equals(answer))
        .toList();
  }

  // What a model could be had with is no sign of another hand.
  private double strange(Maker maker, List<Offered> all, int year) {
    double offered = 0;
    for (Offered o : all) {
      offered = o.in(year) ? Math.max(offered, o.model().trust()) : offered;
    }
    return offered + (1 - offered) * strange(maker, year);
  }

  private double strange(Maker maker, int year) {
    return nearChange.get(maker)[year - axis.first()] ? notOnFileNearChange : notOnFile;
  }

  // Of several fitted at one time each was on a share of the knives.
  private double inEra(List<Fitting> all, List<Fitting> its, int year, double any) {
    double in = 0;
    for (Fitting f : its) {
      in = Math.max(in, f.in(year, 0));
    }
    double side = 0;
    for (Fitting f : all) {
      side += f.in(year, 0);
    }
    double often = 1 + onItsKnives * Math.max(0, 1 / (Math.max(1, side) * any) - 1);
    return often * (outOfEra + in * (1 - outOfEra));
  }

  /** What a tell says of what was found, against knives at large; null where nobody looked. */
  private @Nullable Double ratio(ModelTell tell, Shown shown) {
    if (tell.mm() != null) {
      return shown.closedMm() == null || !tell.trait().equals(Traits.LENGTH)
          ? null
          : told(
              tell,
              AtLarge.normal(shown.closedMm(), tell.mm(), tell.spread()),
              atLarge.density(shown.closedMm()),
              1);
    }
    Double best = null;
    double sum = tell.likely().values().stream().mapToDouble(Double::doubleValue).sum();
    for (Seen<String> answer : shown.of(tell.trait())) {
      double ratio = 0;
      for (Map.Entry<String, Double> one : answer.shares().entrySet()) {
        double any = Math.max(rare, atLarge.rate(tell.trait(), one.getKey(), shown.first()));
        double own = tell.likely().getOrDefault(one.getKey(), 0.0) + (1 - sum) * any;
        ratio += one.getValue() * told(tell, own, any, reliability.of(answer.sureness()));
      }
      best = best == null ? ratio : Math.max(best, ratio);
    }
    return best;
  }

  private double told(ModelTell tell, double own, double any, double q) {
    double believed = q * tell.trust() * (1 - tellIsWrong);
    return believed * own / any + 1 - believed;
  }

  // The knife is of one of the models of its time on file, or of another pattern of the hand: by
  // trait, for a knife of any of them.
  private Map<String, double[]> models(Maker maker, Set<String> told, Shown shown) {
    Map<String, double[]> rows = new HashMap<>();
    ofModels
        .getOrDefault(maker, Map.of())
        .forEach(
            (trait, all) -> {
              if (!told.contains(trait) && isShown(trait, shown)) {
                double[] row = ofModels(all, shown);
                if (row != null) {
                  rows.put(trait, row);
                }
              }
            });
    return rows;
  }

  private static boolean isShown(String trait, Shown shown) {
    return trait.equals(Traits.LENGTH) ? shown.closedMm() != null : !shown.of(trait).isEmpty();
  }

  private double @Nullable [] ofModels(List<Told> all, Shown shown) {
    double[] sum = new double[axis.size()];
    int[] count = new int[axis.size()];
    boolean any = false;
    for (Told of : all) {
      Double r = ratio(of.tell, shown);
      if (r != null) {
        any = true;
        double said = of.model.trust() * r + 1 - of.model.trust();
        int last = Math.min(sum.length - 1, of.model.to() - axis.first());
        for (int y = Math.max(0, of.model.from() - axis.first()); y <= last; y++) {
          sum[y] += said;
          count[y]++;
        }
      }
    }
    if (!any) {
      return null;
    }
    for (int y = 0; y < sum.length; y++) {
      sum[y] = count[y] == 0 ? 1 : 1 - modelOnFile + modelOnFile * sum[y] / count[y];
    }
    return sum;
  }
}
