package snikra.core.resemblance;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import snikra.core.mark.MarkEvidence;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkShares;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;
import snikra.core.resemblance.Comparison.Cell;
import snikra.core.resemblance.Comparison.Row;
import snikra.core.resemblance.Comparison.Standing;
import snikra.core.resemblance.Comparison.Total;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;
import snikra.core.trait.AtLarge;
import snikra.core.trait.PatternTells;
import snikra.core.trait.Traits;
import snikra.core.wording.Wording;

/** Holds knives against lookalikes. Immutable. */
public final class Likeness {
  /** Kinds of knives that might be in hand instead, for each lookalike. */
  private static final double OTHER_KINDS = 100;

  /** As many of them are of its pattern, by makers not on file or of models not on file. */
  private static final double OF_ITS_PATTERN = 10;

  private static final double LIKE_THOSE_ON_FILE = 0.5;

  /** A knife of a model bears the mark of another house this often. */
  private static final double MARK_IS_ANOTHERS = 0.002;

  /** What is said of a model is wrong of the knife in hand this often. */
  private static final double TELL_IS_WRONG = 0.02;

  /** Another knife of the same kind shows the same answer this often. */
  private static final double SAME_AGAIN = 0.85;

  private static final double SAME_LENGTH_MM = 1.2;

  /** A fitting of its maker's, in its years, is on a model this often in all. */
  private static final double FITTED = 0.7;

  private static final double NUMBER_ON_IT = 0.9;
  private static final double LITTLE_DECIBANS = 1;
  private static final String TWIN = "knife";

  private final ReferenceShelf shelf;
  private final Traits traits;
  private final AtLarge atLarge;

  /** One who knows this shelf. */
  public Likeness(ReferenceShelf shelf) {
    this.shelf = shelf;
    this.traits = new Traits(shelf);
    this.atLarge = new AtLarge(shelf);
  }

  /** All models on file. */
  public List<Lookalike> models() {
    List<Lookalike> out = new ArrayList<>();
    for (Maker maker : shelf.makers()) {
      maker.history().models().forEach(model -> out.add(model(maker, model)));
    }
    return out;
  }

  /** Another knife on file. */
  public Lookalike knife(String id, String label, Specimen knife) {
    List<ModelTell> tells = new ArrayList<>();
    Traits.of(knife, shelf.patterns())
        .forEach(
            (trait, seen) -> {
              double p = SAME_AGAIN * seen.sureness().reliability();
              tells.add(ModelTell.of(trait, Map.of(seen.value(), p), TWIN));
            });
    if (knife.closedLength() != null) {
      double mm = knife.closedLength().mm();
      tells.add(new ModelTell(Traits.LENGTH, Map.of(), mm, SAME_LENGTH_MM, TWIN));
    }
    return new Lookalike(id, label, null, null, null, null, tells);
  }

  // What the pack says of the model itself goes before what its maker and its pattern say.
  private Lookalike model(Maker maker, History.Model model) {
    Map<String, ModelTell> tells = new LinkedHashMap<>();
    model.tells().forEach(t -> tells.put(t.trait(), t));
    Map<String, Double> number = Map.of(model.number(), NUMBER_ON_IT);
    tells.putIfAbsent(Traits.NUMBER, ModelTell.of(Traits.NUMBER, number, model.source()));
    fitted(maker, model).forEach(t -> tells.putIfAbsent(t.trait(), t));
    shelf
        .patterns()
        .pattern(model.pattern())
        .map(p -> PatternTells.of(p, shelf.patterns()))
        .ifPresent(all -> all.forEach(t -> tells.putIfAbsent(t.trait(), t)));
    return new Lookalike(
        maker.id() + "/" + model.number(),
        maker.name() + " " + model.number() + ", " + Wording.lowerFirst(model.label()),
        maker.id(),
        model.pattern(),
        model.from(),
        model.to(),
        List.copyOf(tells.values()));
  }

  private static List<ModelTell> fitted(Maker maker, History.Model model) {
    Map<String, List<History.Fitting>> byFeature =
        maker.history().allFittings().stream()
            .filter(f -> f.from() <= model.to() && f.to() >= model.from())
            .collect(Collectors.groupingBy(History.Fitting::feature));
    List<ModelTell> out = new ArrayList<>();
    byFeature.forEach(
        (feature, fittings) -> {
          Map<String, Double> likely = new HashMap<>();
          fittings.forEach(f -> likely.merge(f.value(), FITTED / fittings.size(), Double::sum));
          out.add(ModelTell.of(feature, likely, fittings.get(0).source()));
        });
    out.sort(Comparator.comparing(ModelTell::trait));
    return out;
  }

  /** A knife beside lookalikes, tell by tell. */
  public Comparison compare(Specimen knife, MarkEvidence marks, List<Lookalike> lookalikes) {
    Map<String, Seen<String>> seen = Traits.of(knife, shelf.patterns());
    Set<String> asked = new LinkedHashSet<>();
    asked.add(Traits.MARK);
    asked.addAll(seen.keySet());
    lookalikes.forEach(c -> c.tells().forEach(t -> asked.add(t.trait())));
    List<Row> rows = new ArrayList<>();
    for (String trait : asked) {
      List<Cell> cells = new ArrayList<>();
      lookalikes.forEach(c -> cells.add(cell(knife, marks, trait, seen, c)));
      if (cells.stream().anyMatch(c -> c.standing() != Standing.NOT_KNOWN)) {
        rows.add(new Row(trait, traits.label(trait), shown(knife, marks, trait, seen), cells));
      }
    }
    rows.sort(Comparator.comparingDouble(r -> -weight(r)));
    double[] totals = new double[lookalikes.size()];
    rows.forEach(
        row -> {
          for (int i = 0; i < totals.length; i++) {
            totals[i] += row.cells().get(i).decibans();
          }
        });
    List<Double> mates =
        lookalikes.stream()
            .map(Lookalike::pattern)
            .filter(Objects::nonNull)
            .distinct()
            .map(pattern -> mate(knife, marks, seen, pattern))
            .toList();
    double ofPatterns = mates.stream().mapToDouble(db -> Math.pow(10, db / 10)).sum();
    double others =
        OTHER_KINDS - OF_ITS_PATTERN + OF_ITS_PATTERN * (mates.isEmpty() ? 1 : ofPatterns);
    double all = others;
    for (double t : totals) {
      all += Math.pow(10, t / 10);
    }
    List<Total> shares = new ArrayList<>();
    for (int i = 0; i < totals.length; i++) {
      Lookalike l = lookalikes.get(i);
      shares.add(new Total(l.id(), l.label(), totals[i], Math.pow(10, totals[i] / 10) / all));
    }
    Double best = mates.stream().max(Double::compare).orElse(null);
    return new Comparison(rows, shares, -decibans(OTHER_KINDS), best, others / all);
  }

  // What speaks for another knife of this pattern, of whose maker and model nothing is on file.
  private double mate(
      Specimen knife, MarkEvidence marks, Map<String, Seen<String>> seen, String pattern) {
    Lookalike mate = new Lookalike("", "", null, pattern, null, null, mateTells(pattern));
    double sum = 0;
    for (ModelTell tell : mate.tells()) {
      sum += cell(knife, marks, tell.trait(), seen, mate).decibans();
    }
    return sum;
  }

  // Half as its pattern asks or as knives at large, half as the models of its pattern on file are:
  // makers of one time made them alike.
  private List<ModelTell> mateTells(String pattern) {
    Map<String, ModelTell> tells = new LinkedHashMap<>();
    shelf
        .patterns()
        .pattern(pattern)
        .map(p -> PatternTells.withTools(p, shelf.patterns(), shelf.clues()))
        .ifPresent(all -> all.forEach(t -> tells.put(t.trait(), t)));
    Map<String, List<ModelTell>> onFile =
        models().stream()
            .filter(m -> pattern.equals(m.pattern()))
            .flatMap(m -> m.tells().stream())
            .filter(t -> t.mm() == null && !t.trait().equals(Traits.NUMBER))
            .collect(Collectors.groupingBy(ModelTell::trait));
    onFile.forEach(
        (trait, all) -> {
          Map<String, Double> likely = new HashMap<>();
          all.forEach(t -> add(likely, t, LIKE_THOSE_ON_FILE / all.size()));
          ModelTell own = tells.get(trait);
          if (own != null) {
            add(likely, own, 1 - LIKE_THOSE_ON_FILE);
          }
          tells.put(trait, ModelTell.of(trait, likely, pattern));
        });
    return List.copyOf(tells.values());
  }

  private static void add(Map<String, Double> likely, ModelTell tell, double share) {
    tell.likely().forEach((value, p) -> likely.merge(value, share * p, Double::sum));
  }

  // What parts the lookalikes comes first, then what speaks loudest, then what is not looked at.
  private static double weight(Row row) {
    double most = row.cells().stream().mapToDouble(Cell::decibans).max().orElse(0);
    double least = row.cells().stream().mapToDouble(Cell::decibans).min().orElse(0);
    return row.seen() == null ? -1 : 2 * (most - least) + Math.max(Math.abs(most), Math.abs(least));
  }

  private String shown(
      Specimen knife, MarkEvidence marks, String trait, Map<String, Seen<String>> seen) {
    if (trait.equals(Traits.LENGTH)) {
      return knife.closedLength() == null ? null : knife.closedLength().written();
    }
    if (trait.equals(Traits.MARK)) {
      return marks.anyRead() ? "as read" : null;
    }
    Seen<String> found = seen.get(trait);
    return found == null ? null : traits.words(trait, found.value());
  }

  private Cell cell(
      Specimen knife,
      MarkEvidence marks,
      String trait,
      Map<String, Seen<String>> all,
      Lookalike lookalike) {
    Seen<String> seen = all.get(trait);
    if (trait.equals(Traits.MARK)) {
      return mark(marks, lookalike);
    }
    ModelTell tell = lookalike.tell(trait).orElse(null);
    if (tell == null) {
      return new Cell(null, Standing.NOT_KNOWN, 0);
    }
    if (tell.mm() != null) {
      String expected = String.format(Locale.ROOT, "%.0f mm", tell.mm());
      if (knife.closedLength() == null) {
        return new Cell(expected, Standing.NOT_SEEN, 0);
      }
      double mm = knife.closedLength().mm();
      double any = atLarge.density(mm);
      double own = AtLarge.normal(mm, tell.mm(), tell.spread());
      return told(expected, (1 - TELL_IS_WRONG) * own / any + TELL_IS_WRONG);
    }
    String expected = expected(trait, tell);
    if (seen == null) {
      return new Cell(expected, Standing.NOT_SEEN, 0);
    }
    double sum = tell.likely().values().stream().mapToDouble(Double::doubleValue).sum();
    double any = atLarge.rate(trait, seen.value(), all);
    double own = tell.likely().getOrDefault(seen.value(), 0.0) + (1 - sum) * any;
    double q = seen.sureness().reliability() * (1 - TELL_IS_WRONG);
    return told(expected, q * own / any + 1 - q);
  }

  private String expected(String trait, ModelTell tell) {
    return tell.likely().entrySet().stream()
        .sorted(
            Map.Entry.<String, Double>comparingByValue()
                .reversed()
                .thenComparing(Map.Entry.comparingByKey()))
        .limit(2)
        .map(e -> traits.words(trait, e.getKey()))
        .collect(Collectors.joining(" or "));
  }

  private Cell mark(MarkEvidence marks, Lookalike lookalike) {
    Maker maker = lookalike.maker() == null ? null : shelf.maker(lookalike.maker()).orElse(null);
    if (maker == null) {
      return new Cell(null, Standing.NOT_KNOWN, 0);
    }
    double own = 0;
    int struck = 0;
    double any = 0;
    double weights = shelf.unlistedWeight();
    double top = marks.logUnlisted();
    for (double l : marks.logLikelihood()) {
      top = Math.max(top, l);
    }
    any += shelf.unlistedWeight() * Math.exp(marks.logUnlisted() - top);
    int place = 0;
    for (Maker m : shelf.makers()) {
      weights += m.weight();
      double[] shares = MarkShares.of(m, shelf.region(m.region()));
      for (int i = 0; i < shares.length; i++) {
        MarkVariant v = m.marks().get(i);
        double p = Math.exp(marks.logLikelihood()[place++] - top);
        any += m.weight() * p * shares[i];
        if (m.id().equals(maker.id()) && v.from() <= lookalike.to() && v.to() >= lookalike.from()) {
          own += p;
          struck++;
        }
      }
    }
    String expected = struck == 0 ? "no mark of its years on file" : "a mark of " + maker.name();
    if (!marks.anyRead()) {
      return new Cell(expected, Standing.NOT_SEEN, 0);
    }
    double ratio = struck == 0 ? 0 : own / struck / (any / weights);
    return told(expected, (1 - MARK_IS_ANOTHERS) * ratio + MARK_IS_ANOTHERS);
  }

  private static Cell told(String expected, double ratio) {
    double decibans = decibans(ratio);
    Standing standing =
        Math.abs(decibans) < LITTLE_DECIBANS
            ? Standing.SAYS_LITTLE
            : decibans > 0 ? Standing.FOR : Standing.AGAINST;
    return new Cell(expected, standing, decibans);
  }

  private static double decibans(double ratio) {
    return 10 * Math.log10(ratio);
  }

  /** Candidates by how much speaks for them, most first. */
  public List<Total> ranked(Specimen knife, MarkEvidence marks, List<Lookalike> lookalikes) {
    List<Total> out = new ArrayList<>();
    for (Lookalike c : lookalikes) {
      out.add(compare(knife, marks, List.of(c)).totals().get(0));
    }
    out.sort(Comparator.comparingDouble((Total t) -> -t.decibans()).thenComparing(Total::label));
    return out;
  }
}
