package snikra.core.pattern;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import snikra.core.judgement.Judgement;
import snikra.core.pattern.Pattern.Mechanism;
import snikra.core.pattern.PatternVerdict.Name;
import snikra.core.pattern.PatternVerdict.Requirement;
import snikra.core.pattern.PatternVerdict.Standing;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;
import snikra.core.wording.Wording;

/** Names knives from a pattern book, by the strict school and by today's trade. Immutable. */
public final class PatternNamer {
  private static final int NAMES = 5;
  private static final int SOLD_AS = 2;
  private static final int LOOKALIKES = 1;

  private final PatternBook book;
  private final List<Mechanism> mechanisms;
  private final Pulls pulls;

  /** In the order of those that are as likely. */
  private final List<Pattern> patterns;

  private final NamingRates rates;
  private final Tolerance strict;
  private final Tolerance trade;

  /** A namer for this book. */
  public PatternNamer(PatternBook book, Judgement judgement) {
    this.rates = NamingRates.of(judgement);
    this.strict = Tolerance.of(judgement, Pattern.School.STRICT);
    this.trade = Tolerance.of(judgement, Pattern.School.TRADE);
    this.book = book;
    this.mechanisms = book.mechanisms();
    this.pulls = new Pulls(book);
    this.patterns =
        book.patterns().stream()
            .sorted(Comparator.comparing(Pattern::role).thenComparing(Pattern::id))
            .toList();
  }

  /** Names by one school, likeliest first, with their probabilities. */
  private record Ranked(List<Scoring> scored, List<Double> probability, double unnamed) {
    double of(Pattern p) {
      for (int i = 0; i < scored.size(); i++) {
        if (scored.get(i).pattern().id().equals(p.id())) {
          return probability.get(i);
        }
      }
      return 0;
    }

    boolean leads(double from) {
      return !scored.isEmpty() && probability.get(0) >= from;
    }
  }

  /** The names this knife may bear. */
  public PatternVerdict name(Specimen knife) {
    List<Mechanism> shown = mechanisms.stream().filter(m -> Scoring.isShown(m, knife)).toList();
    Ranked defined = rank(knife, strict, false, shown);
    Ranked sold = rank(knife, trade, true, shown);
    boolean known = Scoring.known(knife, shown) > 0 && !defined.scored.isEmpty();
    return new PatternVerdict(
        title(defined, knife),
        title(sold, knife),
        known ? names(knife, defined, sold) : List.of(),
        defined.unnamed);
  }

  private Ranked rank(
      Specimen knife, Tolerance tolerance, boolean tradeLabels, List<Mechanism> shown) {
    List<Scoring> scored = new ArrayList<>();
    for (Pattern p : patterns) {
      if (tradeLabels || p.role() != Pattern.Role.TRADE_LABEL) {
        scored.add(new Scoring(book, p, knife, tolerance, rates, shown, pulls));
      }
    }
    double unnamed = Scoring.known(knife, shown) * Math.log(rates.unnamed());
    double shift = scored.stream().mapToDouble(Scoring::log).max().orElse(unnamed);
    double top = Math.max(shift, unnamed);
    double sum = Math.exp(unnamed - top);
    for (Scoring s : scored) {
      sum += Math.exp(s.log() - top);
    }
    double total = sum;
    scored.sort(Comparator.comparingDouble(s -> -s.log()));
    return new Ranked(
        scored,
        scored.stream().map(s -> Math.exp(s.log() - top) / total).toList(),
        Math.exp(unnamed - top) / total);
  }

  private List<Name> names(Specimen knife, Ranked strict, Ranked trade) {
    Scoring leader = strict.scored.get(0);
    Settler settler = new Settler(book, knife, rates);
    Set<String> listed = new HashSet<>();
    List<Name> names = new ArrayList<>();
    for (int i = 0; i < NAMES && strict.probability.get(i) >= rates.told(); i++) {
      if (listed.add(strict.scored.get(i).pattern().id())) {
        names.add(name(strict.scored.get(i), leader, strict, trade, settler));
      }
    }
    // What sellers would call it belongs in the list, and what is commonly taken for the leader.
    for (int i = 0; i < SOLD_AS && trade.probability.get(i) >= rates.told(); i++) {
      if (listed.add(trade.scored.get(i).pattern().id())) {
        names.add(name(trade.scored.get(i), leader, strict, trade, settler));
      }
    }
    strict.scored.stream()
        .filter(s -> leader.pattern().tellApart().containsKey(s.pattern().id()))
        .limit(LOOKALIKES)
        .filter(s -> listed.add(s.pattern().id()))
        .forEach(s -> names.add(name(s, leader, strict, trade, settler)));
    return names;
  }

  private static Name name(
      Scoring s, Scoring leader, Ranked strict, Ranked trade, Settler settler) {
    Pattern p = s.pattern();
    boolean leads = p.id().equals(leader.pattern().id());
    List<Requirement> requirements = s.requirements();
    return new Name(
        p.id(),
        p.name(),
        p.alsoCalled().stream()
            .filter(a -> a.school() == Pattern.School.TRADE)
            .map(Pattern.Alias::name)
            .filter(name -> !name.equalsIgnoreCase(p.name()))
            .toList(),
        strict.of(p),
        trade.of(p),
        requirements,
        leads ? p.strictly() : List.of(),
        leads ? p.inTrade() : List.of(),
        leads ? s.departures() : List.of(),
        leads ? String.join(" ", p.tells()) : whyNot(p, requirements, leader.pattern()),
        leads ? null : settler.between(leader.pattern(), p).orElse(null));
  }

  private static String whyNot(Pattern rival, List<Requirement> requirements, Pattern leader) {
    List<Requirement> missed =
        requirements.stream().filter(r -> r.standing() == Standing.MISSED).toList();
    if (missed.isEmpty()) {
      return apart(rival, leader);
    }
    return "Not "
        + SlotAssignment.article(rival.name().toLowerCase(Locale.ROOT))
        + ": it asks for "
        + missed.stream()
            .map(r -> r.asks() + " (found: " + r.found() + ")")
            .collect(Collectors.joining("; "))
        + ".";
  }

  // What a pattern says of its look-alikes describes the look-alike.
  private static String apart(Pattern rival, Pattern leader) {
    if (leader.tellApart().containsKey(rival.id())) {
      return rival.name() + ": " + leader.tellApart().get(rival.id());
    }
    return rival.tellApart().containsKey(leader.id())
        ? leader.name() + ": " + rival.tellApart().get(leader.id())
        : rival.tells().get(0);
  }

  private String title(Ranked ranked, Specimen knife) {
    if (!ranked.leads(rates.named())) {
      return whateverItsSize(ranked).orElseGet(() -> describe(knife));
    }
    Pattern p = ranked.scored.get(0).pattern();
    return book.modifiers().stream()
        .filter(m -> m.families().contains(p.family()) && isCalledFor(m, knife, p))
        .findFirst()
        .map(m -> m.label() + " " + Wording.lowerFirst(p.name()))
        .orElse(p.name());
  }

  // Large, medium or small: what it is may be clear before its size is.
  private Optional<String> whateverItsSize(Ranked ranked) {
    Map<String, Double> shares = new HashMap<>();
    for (int i = 0; i < ranked.scored.size(); i++) {
      String name = ranked.scored.get(i).pattern().formOf();
      if (name != null) {
        shares.merge(name, ranked.probability.get(i), Double::sum);
      }
    }
    return shares.entrySet().stream()
        .filter(e -> e.getValue() >= rates.named())
        .map(Map.Entry::getKey)
        .findFirst();
  }

  private static boolean isCalledFor(Modifier m, Specimen knife, Pattern p) {
    String bolsters = Seen.valueOf(knife.bolsters());
    boolean isUsual = bolsters != null && p.bolsters().get(0).equals(bolsters);
    return (bolsters != null && m.bolsters().contains(bolsters) && !isUsual)
        || m.seen().entrySet().stream()
            .anyMatch(e -> e.getValue().equals(Seen.valueOf(knife.seen().get(e.getKey()))));
  }

  private String describe(Specimen knife) {
    String frame = Seen.valueOf(knife.frame());
    String name = frame == null ? "Knife" : book.frame(frame).map(Frame::name).orElse(frame);
    int n = knife.blades().size();
    return n == 0 ? name : name + ", " + Words.number(n) + (n == 1 ? " blade" : " blades");
  }
}
