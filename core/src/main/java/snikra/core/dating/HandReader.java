package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
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
import snikra.core.specimen.Seen;
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
  private final double outOfEra;
  private final double onItsKnives;
  private final double notOnFile;
  private final double notOnFileNearChange;
  private final double tellIsWrong;
  private final double rare;
  private final double modelOnFile;

  /** By maker itself: makers are large, and there is one of each. */
  private final IdentityHashMap<Maker, Set<String>> spoken = new IdentityHashMap<>();

  private final IdentityHashMap<Maker, boolean[]> nearChange = new IdentityHashMap<>();

  HandReader(ReferenceShelf shelf, YearAxis axis) {
    this.axis = axis;
    this.atLarge = new AtLarge(shelf);
    Judgement judgement = shelf.judgement();
    outOfEra = judgement.of("fitting.out-of-era");
    onItsKnives = judgement.of("fitting.on-its-knives");
    notOnFile = judgement.of("fitting.not-on-file");
    notOnFileNearChange = judgement.of("fitting.not-on-file-near-change");
    tellIsWrong = judgement.of("tell.wrong");
    rare = judgement.of("tell.rare");
    modelOnFile = judgement.of("hand.model-on-file");
    for (Maker maker : shelf.makers()) {
      boolean[] near = new boolean[axis.size()];
      for (int y = 0; y < near.length; y++) {
        near[y] = maker.isNearChange(axis.year(y));
      }
      nearChange.put(maker, near);
      spoken.put(maker, spokenOf(maker));
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

  /** What is on file of a hand and of the house whose name the knife bears. */
  HandRecord of(Maker house, Hand hand, Evidence evidence) {
    Maker own = hand.maker() == null ? house : hand.maker();
    Shown shown = evidence.shown();
    Map<String, double[]> rows = new HashMap<>();
    List<HandRecord.Said> said = new ArrayList<>();
    double[] whole = null;
    Set<String> dated =
        evidence.observed().stream().map(o -> o.feature().id()).collect(Collectors.toSet());
    Set<String> told = new HashSet<>();
    for (Maker maker :
        hand.isItself() || own.equals(house) ? List.of(house) : List.of(own, house)) {
      for (String trait : spoken.getOrDefault(maker, Set.of())) {
        double[] row = told.contains(trait) ? null : row(maker, trait, shown);
        if (row != null) {
          told.add(trait);
          said.add(new HandRecord.Said(trait, row));
          if (dated.contains(trait)) {
            rows.put(trait, row);
          } else {
            whole = whole == null ? row.clone() : Distribution.product(whole, row);
          }
        }
      }
    }
    double[] models = models(own, told, shown, said);
    if (models != null) {
      whole = whole == null ? models : Distribution.product(whole, models);
    }
    return said.isEmpty() ? HandRecord.SILENT : new HandRecord(rows, whole, said);
  }

  private double @Nullable [] row(Maker maker, String trait, Shown shown) {
    double[] best = null;
    for (Seen<String> answer : shown.of(trait)) {
      double[] row = fitted(maker, trait, answer, shown);
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

  private double[] fitted(Maker maker, String trait, Seen<String> answer, Shown shown) {
    List<Fitting> all =
        maker.history().allFittings().stream().filter(f -> f.feature().equals(trait)).toList();
    double[] row = new double[axis.size()];
    Arrays.fill(row, 1);
    if (all.isEmpty()) {
      return row;
    }
    double q = answer.sureness().reliability();
    List<Fitting> its = all.stream().filter(f -> f.value().equals(answer.value())).toList();
    double trust = (its.isEmpty() ? all : its).stream().mapToDouble(Fitting::trust).max().orElse(1);
    double any = Math.max(rare, atLarge.rate(trait, "" + answer.value(), shown.first()));
    for (int y = 0; y < row.length; y++) {
      int year = axis.year(y);
      double said = its.isEmpty() ? strange(maker, year) : inEra(all, its, year, any);
      row[y] = q * (trust * said + 1 - trust) + 1 - q;
    }
    return row;
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
      double any = Math.max(rare, atLarge.rate(tell.trait(), "" + answer.value(), shown.first()));
      double own = tell.likely().getOrDefault("" + answer.value(), 0.0) + (1 - sum) * any;
      double ratio = told(tell, own, any, answer.sureness().reliability());
      best = best == null ? ratio : Math.max(best, ratio);
    }
    return best;
  }

  private double told(ModelTell tell, double own, double any, double q) {
    double believed = q * tell.trust() * (1 - tellIsWrong);
    return believed * own / any + 1 - believed;
  }

  // The knife is of one of the models of its time on file, or of another pattern of the hand.
  private double @Nullable [] models(
      Maker maker, Set<String> told, Shown shown, List<HandRecord.Said> said) {
    List<History.Model> models =
        maker.history().models().stream().filter(m -> !m.tells().isEmpty()).toList();
    if (models.isEmpty()) {
      return null;
    }
    double[] sum = new double[axis.size()];
    int[] count = new int[axis.size()];
    Map<String, double[]> byTrait = new HashMap<>();
    for (History.Model model : models) {
      double ratio = 1;
      for (ModelTell tell : model.tells()) {
        Double r = told.contains(tell.trait()) ? null : ratio(tell, shown);
        if (r != null) {
          ratio *= model.trust() * r + 1 - model.trust();
          byTrait.computeIfAbsent(tell.trait(), t -> new double[axis.size()]);
          add(byTrait.get(tell.trait()), model, r / models.size());
        }
      }
      for (int y = 0; y < sum.length; y++) {
        if (model.from() <= axis.year(y) && axis.year(y) <= model.to()) {
          sum[y] += ratio;
          count[y]++;
        }
      }
    }
    if (byTrait.isEmpty()) {
      return null;
    }
    byTrait.forEach((trait, row) -> said.add(new HandRecord.Said(trait, mixed(row))));
    double[] out = new double[axis.size()];
    for (int y = 0; y < out.length; y++) {
      out[y] = count[y] == 0 ? 1 : 1 - modelOnFile + modelOnFile * sum[y] / count[y];
    }
    return out;
  }

  private void add(double[] row, History.Model model, double ratio) {
    for (int y = 0; y < row.length; y++) {
      boolean isThen = model.from() <= axis.year(y) && axis.year(y) <= model.to();
      row[y] += isThen ? ratio : 0;
    }
  }

  private double[] mixed(double[] row) {
    return Arrays.stream(row).map(r -> r > 0 ? 1 - modelOnFile + modelOnFile * r : 1).toArray();
  }
}
