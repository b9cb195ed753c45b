package snikra.core.examination;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.code.CodeRates;
import snikra.core.code.CodeScheme;
import snikra.core.code.SeenCode;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Verdict.Candidate;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.PatternVerdict;
import snikra.core.provenance.StoryEvent;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.search.Card;
import snikra.core.search.Facet;
import snikra.core.sets.Fit;
import snikra.core.sets.Series;
import snikra.core.sets.Struck;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Specimen;
import snikra.core.wording.Wording;

/** Writes what a knife is found by out of what was concluded of it. */
final class Cards {
  private static final String HANDLE = "handle_material";
  private static final int DECADE = 10;

  /** Of the years less than this is left out: the card would only grow. */
  private static final double SLIVER = 1e-4;

  private static final double ROUND = 1e4;

  /** More would make the card grow, and it is made anew once these are taken. */
  private static final int LOOKS_AHEAD = 3;

  private final ReferenceShelf shelf;
  private final Set<String> inSeries;

  /** A name or maker less likely than this is not one to find a knife by. */
  private final double foundBy;

  Cards(ReferenceShelf shelf) {
    this.shelf = shelf;
    this.foundBy = shelf.judgement().of("search.found-by");
    this.inSeries = Series.features(shelf.makers());
  }

  Card of(
      int number,
      Specimen knife,
      PatternVerdict pattern,
      DatingVerdict dated,
      List<Candidate> marks,
      Examiner.Summary summary) {
    boolean isDated = summary.span() != null;
    int firstDecade = dated.firstYear() - dated.firstYear() % DECADE;
    return new Card(
        number,
        words(knife, pattern, dated, summary),
        facets(knife, pattern, dated, summary),
        firstDecade,
        isDated ? decades(dated, firstDecade) : List.of(),
        knife.closedLength() == null ? null : knife.closedLength().mm(),
        number(summary.low()),
        number(summary.high()),
        summary.currency(),
        fits(knife, dated, marks),
        ahead(dated),
        shows(knife),
        struck(knife, dated));
  }

  private Map<String, String> shows(Specimen knife) {
    Map<String, String> all = new TreeMap<>();
    for (String feature : inSeries) {
      String value = Seen.valueOf(knife.seen().get(feature));
      if (value != null) {
        all.put(feature, value);
      }
    }
    return all;
  }

  // A code that is struck again after some years is of the one of which the knife is.
  private List<Struck> struck(Specimen knife, DatingVerdict dated) {
    List<Struck> all = new ArrayList<>();
    for (SeenCode code : knife.codes()) {
      for (DatingVerdict.Attribution likely : dated.makers()) {
        shelf.maker(likely.maker()).stream()
            .flatMap(m -> m.codes().stream())
            .filter(scheme -> scheme.reads(code))
            .forEach(scheme -> all.addAll(struck(likely, scheme, code, dated)));
      }
    }
    return all;
  }

  private List<Struck> struck(
      DatingVerdict.Attribution likely, CodeScheme scheme, SeenCode code, DatingVerdict dated) {
    List<CodeScheme.YearShare> years = scheme.years(code, CodeRates.of(shelf.judgement()));
    double sum = years.stream().mapToDouble(y -> weight(y, dated)).sum();
    return years.stream()
        .map(
            y ->
                new Struck(
                    Objects.requireNonNull(likely.maker()),
                    scheme.id(),
                    y.year(),
                    Math.round(likely.probability() * weight(y, dated) / sum * ROUND) / ROUND))
        .filter(s -> s.chance() >= foundBy)
        .toList();
  }

  private static double weight(CodeScheme.YearShare year, DatingVerdict dated) {
    return year.share() * Math.max(SLIVER, dated.between(year.year(), year.year()));
  }

  private static List<DatingVerdict.NextLook> ahead(DatingVerdict dated) {
    List<DatingVerdict.NextLook> looks = dated.lookNext();
    return looks.subList(0, Math.min(LOOKS_AHEAD, looks.size()));
  }

  // A mark that is read is one of its maker's by what the letters say; who made it, by all.
  private List<Fit> fits(Specimen knife, DatingVerdict dated, List<Candidate> marks) {
    List<Fit> all = new ArrayList<>();
    for (DatingVerdict.Attribution likely : dated.makers()) {
      Maker maker = shelf.maker(likely.maker()).orElse(null);
      if (maker == null || likely.probability() < foundBy) {
        continue;
      }
      String model =
          knife.number() == null
              ? null
              : maker.history().model(knife.number()).map(History.Model::number).orElse(null);
      List<Candidate> own = marks.stream().filter(c -> c.maker().equals(maker.id())).toList();
      double sum = own.stream().mapToDouble(c -> weight(c, dated)).sum();
      own.stream()
          .map(c -> fit(maker, model, c.mark(), likely.probability() * weight(c, dated) / sum))
          .filter(f -> f.chance() >= SLIVER)
          .forEach(all::add);
      if (own.isEmpty()) {
        all.add(fit(maker, model, null, likely.probability()));
      }
    }
    return all;
  }

  // Marks with the same letters are told apart by the years the knife is of.
  private static double weight(Candidate mark, DatingVerdict dated) {
    return mark.probability() * Math.max(SLIVER, dated.between(mark.from(), mark.to()));
  }

  private static Fit fit(
      Maker maker, @Nullable String model, @Nullable String mark, double chance) {
    return new Fit(maker.id(), model, mark, Math.round(chance * ROUND) / ROUND);
  }

  private static @Nullable Double number(@Nullable BigDecimal amount) {
    return amount == null ? null : amount.doubleValue();
  }

  private static List<Double> decades(DatingVerdict dated, int firstDecade) {
    List<Double> all = new ArrayList<>();
    int last = dated.firstYear() + dated.curve().length - 1;
    for (int from = firstDecade; from <= last; from += DECADE) {
      double share = dated.between(from, from + DECADE - 1);
      all.add(share < SLIVER ? 0 : Math.round(share / SLIVER) * SLIVER);
    }
    return all;
  }

  private List<String> words(
      Specimen knife, PatternVerdict pattern, DatingVerdict dated, Examiner.Summary summary) {
    Set<String> all = new LinkedHashSet<>();
    Stream.of(
            knife.title(),
            knife.note(),
            knife.number(),
            knife.place(),
            summary.title(),
            summary.tradeTitle())
        .filter(Objects::nonNull)
        .forEach(all::add);
    all.addAll(knife.tags());
    pattern.names().stream()
        .filter(n -> Math.max(n.probability(), n.tradeProbability()) >= foundBy)
        .forEach(
            n -> {
              all.add(n.strictly());
              all.addAll(n.inTrade());
              shelf
                  .patterns()
                  .pattern(n.pattern())
                  .ifPresent(p -> p.alsoCalled().forEach(a -> all.add(a.name())));
            });
    dated.makers().stream()
        .filter(m -> m.maker() != null && m.probability() >= foundBy)
        .forEach(m -> all.add(m.label()));
    knife.marks().stream().map(SeenFace::lines).forEach(all::addAll);
    knife.blades().forEach(b -> blade(b).ifPresent(all::add));
    knife.seen().forEach((feature, seen) -> answer(feature, seen).ifPresent(all::add));
    for (StoryEvent event : knife.story()) {
      Stream.of(event.holder(), event.place(), event.note(), event.teller(), event.letters())
          .filter(Objects::nonNull)
          .forEach(all::add);
    }
    return List.copyOf(all);
  }

  private Optional<String> blade(SeenBlade blade) {
    String type = Seen.valueOf(blade.type());
    return shelf.patterns().blades().stream()
        .filter(b -> b.id().equals(type))
        .map(b -> b.name())
        .findFirst();
  }

  private Optional<String> answer(String feature, @Nullable Seen<String> seen) {
    String value = Seen.valueOf(seen);
    return value == null
        ? Optional.empty()
        : shelf.clues().feature(feature).flatMap(f -> f.clue(value)).map(Clue::label);
  }

  private Map<Facet, List<String>> facets(
      Specimen knife, PatternVerdict pattern, DatingVerdict dated, Examiner.Summary summary) {
    Map<Facet, List<String>> all = new EnumMap<>(Facet.class);
    leading(pattern).ifPresent(p -> all.put(Facet.FAMILY, List.of(family(p))));
    leading(pattern).ifPresent(p -> all.put(Facet.PATTERN, List.of(p.name())));
    all.put(Facet.MAKER, List.of(summary.maker() == null ? Card.NOT_KNOWN : summary.maker()));
    if (summary.span() != null) {
      all.put(Facet.COUNTRY, List.of(country(dated)));
      all.put(Facet.DECADE, List.of(dated.median() / DECADE * DECADE + "s"));
      dated.states().stream()
          .max(Comparator.comparing(DatingVerdict.StateProbability::probability))
          .ifPresent(s -> all.put(Facet.STATE, List.of(Wording.upperFirst(s.state().label()))));
    }
    answer(HANDLE, knife.seen().get(HANDLE)).ifPresent(h -> all.put(Facet.HANDLE, List.of(h)));
    if (!knife.blades().isEmpty()) {
      int blades = knife.blades().size();
      all.put(Facet.BLADES, List.of(blades == 1 ? "1 blade" : blades + " blades"));
    }
    if (summary.grade().best() != null) {
      all.put(Facet.GRADE, List.of(summary.grade().best().label()));
    }
    if (summary.box() != null) {
      all.put(Facet.BOX, List.of(summary.box()));
    }
    put(all, Facet.LIES, Stream.of(knife).map(Specimen::place));
    put(all, Facet.TAG, knife.tags().stream());
    put(all, Facet.PLACE, knife.story().stream().map(StoryEvent::place));
    put(all, Facet.HOLDER, knife.story().stream().map(StoryEvent::holder));
    put(all, Facet.OPEN, open(summary).stream());
    return all;
  }

  private static void put(
      Map<Facet, List<String>> all, Facet facet, Stream<@Nullable String> values) {
    List<String> some = values.filter(Objects::nonNull).distinct().toList();
    if (!some.isEmpty()) {
      all.put(facet, some);
    }
  }

  private static List<String> open(Examiner.Summary summary) {
    List<String> all = new ArrayList<>();
    if (summary.span() == null) {
      all.add("No date yet");
    }
    if (summary.conflict()) {
      all.add("Looks that conflict");
    }
    if (summary.grade().best() == null) {
      all.add("Not yet graded");
    }
    if (!summary.reminders().isEmpty()) {
      all.add("To look at again");
    }
    return all;
  }

  private Optional<Pattern> leading(PatternVerdict pattern) {
    return pattern.names().stream().findFirst().flatMap(n -> shelf.patterns().pattern(n.pattern()));
  }

  private static String family(Pattern pattern) {
    return Wording.upperFirst(pattern.family().replace('-', ' '));
  }

  private String country(DatingVerdict dated) {
    Map<String, Double> by = new LinkedHashMap<>();
    dated.makers().forEach(m -> by.merge(m.region(), m.probability(), Double::sum));
    return by.entrySet().stream()
        .max(Map.Entry.comparingByValue())
        .filter(e -> e.getValue() >= Examiner.NAMED_FROM)
        .map(e -> shelf.region(e.getKey()).label())
        .orElse(Card.NOT_KNOWN);
  }
}
