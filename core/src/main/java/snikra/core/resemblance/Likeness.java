package snikra.core.resemblance;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.judgement.Judgement;
import snikra.core.mark.MarkEvidence;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;
import snikra.core.resemblance.Comparison.Cell;
import snikra.core.resemblance.Comparison.Row;
import snikra.core.resemblance.Comparison.Standing;
import snikra.core.resemblance.Comparison.Total;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;
import snikra.core.trait.AtLarge;
import snikra.core.trait.Traits;

/** Holds knives against lookalikes. Immutable. */
public final class Likeness {
  private static final double LITTLE_DECIBANS = 1;

  private final ReferenceShelf shelf;
  private final Lookalikes lookalikes;
  private final Traits traits;
  private final AtLarge atLarge;
  private final LookReliability reliability;
  private final double otherKinds;
  private final double ofItsPattern;
  private final double markIsAnothers;
  private final double tellIsWrong;

  /** One who knows this shelf. */
  public Likeness(ReferenceShelf shelf) {
    Judgement judgement = shelf.judgement();
    this.shelf = shelf;
    this.lookalikes = new Lookalikes(shelf);
    this.traits = new Traits(shelf);
    this.atLarge = new AtLarge(shelf);
    this.reliability = LookReliability.of(judgement);
    this.otherKinds = judgement.of("alike.other-kinds");
    this.ofItsPattern = judgement.of("alike.of-its-pattern");
    this.markIsAnothers = judgement.of("alike.mark-is-anothers");
    this.tellIsWrong = judgement.of("tell.wrong");
  }

  /** A knife as it is held against others: what it shows is gathered once. */
  private record Held(
      Map<String, Seen<String>> seen,
      @Nullable String length,
      double mm,
      double lengthAtLarge,
      MarkHeld mark) {}

  /** All models on file. */
  public List<Lookalike> models() {
    return lookalikes.models();
  }

  /** A knife of this pattern, of whose maker and model nothing is on file. */
  public Lookalike ofPattern(String pattern) {
    return lookalikes.mate(pattern);
  }

  /** Another knife on file. */
  public Lookalike knife(String id, String label, Specimen knife) {
    return lookalikes.knife(id, label, knife);
  }

  private Held held(Specimen knife, MarkEvidence marks) {
    Map<String, Seen<String>> seen = Traits.of(knife, shelf.patterns());
    MarkHeld mark = new MarkHeld(shelf, marks);
    if (knife.closedLength() == null) {
      return new Held(seen, null, 0, 0, mark);
    }
    double mm = knife.closedLength().mm();
    return new Held(seen, knife.closedLength().written(), mm, atLarge.density(mm), mark);
  }

  /** A knife beside lookalikes, tell by tell. */
  public Comparison compare(Specimen knife, MarkEvidence marks, List<Lookalike> others) {
    Held held = held(knife, marks);
    List<Row> rows = rows(held, others);
    double[] totals = totals(rows, others.size());
    List<Double> mates = mates(held, others);
    double elsewhere = elsewhere(mates);
    double all = elsewhere;
    for (double total : totals) {
      all += odds(total);
    }
    List<Total> shares = new ArrayList<>();
    for (int i = 0; i < totals.length; i++) {
      Lookalike of = others.get(i);
      shares.add(new Total(of.id(), of.label(), totals[i], odds(totals[i]) / all));
    }
    Double best = mates.stream().max(Double::compare).orElse(null);
    return new Comparison(rows, shares, -decibans(otherKinds), best, elsewhere / all);
  }

  private List<Row> rows(Held held, List<Lookalike> others) {
    Set<String> asked = new LinkedHashSet<>();
    asked.add(Traits.MARK);
    asked.addAll(held.seen.keySet());
    others.forEach(other -> other.tells().forEach(tell -> asked.add(tell.trait())));
    List<Row> rows = new ArrayList<>();
    for (String trait : asked) {
      List<Cell> cells = others.stream().map(other -> cell(held, trait, other)).toList();
      if (cells.stream().anyMatch(c -> c.standing() != Standing.NOT_KNOWN)) {
        rows.add(new Row(trait, traits.label(trait), shown(held, trait), cells));
      }
    }
    rows.sort(Comparator.comparingDouble(r -> -weight(r)));
    return rows;
  }

  private static double[] totals(List<Row> rows, int others) {
    double[] totals = new double[others];
    for (Row row : rows) {
      for (int i = 0; i < totals.length; i++) {
        totals[i] += row.cells().get(i).decibans();
      }
    }
    return totals;
  }

  // What speaks for another knife of each pattern among them.
  private List<Double> mates(Held held, List<Lookalike> others) {
    return others.stream()
        .map(Lookalike::pattern)
        .filter(Objects::nonNull)
        .distinct()
        .map(pattern -> total(held, lookalikes.mate(pattern)))
        .toList();
  }

  // The odds that it is of another kind, or of a pattern among them but of none of them.
  private double elsewhere(List<Double> mates) {
    double ofPatterns = mates.isEmpty() ? 1 : mates.stream().mapToDouble(Likeness::odds).sum();
    return otherKinds - ofItsPattern + ofItsPattern * ofPatterns;
  }

  /** Candidates by how much speaks for them, most first; each as though it were the only one. */
  public List<Total> ranked(Specimen knife, MarkEvidence marks, List<Lookalike> others) {
    Held held = held(knife, marks);
    Map<String, Double> mates = new HashMap<>();
    List<Total> out = new ArrayList<>();
    for (Lookalike other : others) {
      double decibans = total(held, other);
      double elsewhere = elsewhere(List.of());
      if (other.pattern() != null) {
        elsewhere =
            elsewhere(
                List.of(
                    mates.computeIfAbsent(
                        other.pattern(), of -> total(held, lookalikes.mate(of)))));
      }
      double share = odds(decibans) / (odds(decibans) + elsewhere);
      out.add(new Total(other.id(), other.label(), decibans, share));
    }
    out.sort(Comparator.comparingDouble((Total t) -> -t.decibans()).thenComparing(Total::label));
    return out;
  }

  // What no tell names says nothing of it.
  private double total(Held held, Lookalike other) {
    double sum = held.mark.anyRead() && isMaker(held, other) ? mark(ownMarks(held, other)) : 0;
    for (ModelTell tell : other.tells()) {
      if (isSeen(held, tell)) {
        sum += decibans(tell.mm() == null ? answer(held, tell) : length(held, tell));
      }
    }
    return sum;
  }

  // What parts the lookalikes comes first, then what speaks loudest, then what is not looked at.
  private static double weight(Row row) {
    double most = row.cells().stream().mapToDouble(Cell::decibans).max().orElse(0);
    double least = row.cells().stream().mapToDouble(Cell::decibans).min().orElse(0);
    return row.seen() == null ? -1 : 2 * (most - least) + Math.max(Math.abs(most), Math.abs(least));
  }

  private @Nullable String shown(Held held, String trait) {
    if (trait.equals(Traits.LENGTH)) {
      return held.length;
    }
    if (trait.equals(Traits.MARK)) {
      return held.mark.anyRead() ? "as read" : null;
    }
    Seen<String> found = held.seen.get(trait);
    return found == null ? null : traits.words(trait, found.value());
  }

  private Cell cell(Held held, String trait, Lookalike other) {
    if (trait.equals(Traits.MARK)) {
      return markCell(held, other);
    }
    ModelTell tell = other.tell(trait).orElse(null);
    if (tell == null) {
      return new Cell(null, Standing.NOT_KNOWN, 0);
    }
    String expected =
        tell.mm() == null
            ? expected(trait, tell)
            : String.format(Locale.ROOT, "%.0f mm", tell.mm());
    return isSeen(held, tell)
        ? told(expected, decibans(tell.mm() == null ? answer(held, tell) : length(held, tell)))
        : new Cell(expected, Standing.NOT_SEEN, 0);
  }

  private static boolean isSeen(Held held, ModelTell tell) {
    return tell.mm() == null ? held.seen.containsKey(tell.trait()) : held.length != null;
  }

  // How much likelier the length is on such a knife than on knives at large.
  private double length(Held held, ModelTell tell) {
    double own = AtLarge.normal(held.mm, tell.mm(), tell.spread());
    double believed = believed(tell);
    return believed * own / held.lengthAtLarge + 1 - believed;
  }

  // The same of an answer.
  private double answer(Held held, ModelTell tell) {
    Seen<String> seen = held.seen.get(tell.trait());
    double sum = 0;
    for (double p : tell.likely().values()) {
      sum += p;
    }
    double any = atLarge.rate(tell.trait(), seen.value(), held.seen);
    double own = tell.likely().getOrDefault(seen.value(), 0.0) + (1 - sum) * any;
    double believed = reliability.of(seen.sureness()) * believed(tell);
    return believed * own / any + 1 - believed;
  }

  // A tell holds of the knife in hand as far as who tells it is trusted.
  private double believed(ModelTell tell) {
    return tell.trust() * (1 - tellIsWrong);
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

  private static boolean isMaker(Held held, Lookalike other) {
    return other.maker() != null && held.mark.knows(other.maker());
  }

  private static MarkHeld.Own ownMarks(Held held, Lookalike other) {
    return held.mark.of(other.maker(), other.from(), other.to());
  }

  private double mark(MarkHeld.Own own) {
    return decibans((1 - markIsAnothers) * own.ratio() + markIsAnothers);
  }

  private Cell markCell(Held held, Lookalike other) {
    if (!isMaker(held, other)) {
      return new Cell(null, Standing.NOT_KNOWN, 0);
    }
    MarkHeld.Own own = ownMarks(held, other);
    String expected =
        own.marks() == 0
            ? "no mark of its years on file"
            : "a mark of " + shelf.maker(other.maker()).orElseThrow().name();
    return held.mark.anyRead()
        ? told(expected, mark(own))
        : new Cell(expected, Standing.NOT_SEEN, 0);
  }

  private static Cell told(String expected, double decibans) {
    Standing standing =
        Math.abs(decibans) < LITTLE_DECIBANS
            ? Standing.SAYS_LITTLE
            : decibans > 0 ? Standing.FOR : Standing.AGAINST;
    return new Cell(expected, standing, decibans);
  }

  private static double decibans(double ratio) {
    return 10 * Math.log10(ratio);
  }

  private static double odds(double decibans) {
    return Math.pow(10, decibans / 10);
  }
}
