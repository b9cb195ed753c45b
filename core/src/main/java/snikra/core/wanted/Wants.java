package snikra.core.wanted;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.dating.DatingModel;
import snikra.core.examination.Problem;
import snikra.core.pattern.Pattern;
import snikra.core.reference.History.Model;
import snikra.core.reference.History.Years;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;
import snikra.core.resemblance.Lookalike;
import snikra.core.resemblance.Neighbours;
import snikra.core.search.Card;
import snikra.core.search.Facet;
import snikra.core.sets.Fit;
import snikra.core.sets.SetBoard;
import snikra.core.sets.SetBoard.From;
import snikra.core.sets.SetBoard.Owned;
import snikra.core.trait.Traits;

/** Holds what one looks for against the references and the collection. */
public final class Wants {
  private static final int LONGEST_NOTE = 400;
  private static final int LONGEST_SET = 80;
  private static final int MOST_NEIGHBOURS = 2;
  private static final int MOST_TELLS = 2;

  private final ReferenceShelf shelf;
  private final List<Lookalike> models;
  private final Function<String, Lookalike> ofPattern;
  private final int thisYear;
  private final Traits traits;
  private final From from;

  /**
   * Against these references.
   *
   * @param models all on file, as they look
   * @param ofPattern how a knife of a pattern mostly looks, by the id of the pattern
   */
  public Wants(
      ReferenceShelf shelf,
      List<Lookalike> models,
      Function<String, Lookalike> ofPattern,
      int thisYear) {
    this.shelf = shelf;
    this.models = List.copyOf(models);
    this.ofPattern = ofPattern;
    this.thisYear = thisYear;
    this.traits = new Traits(shelf);
    this.from = From.of(shelf.judgement());
  }

  /** What of it cannot be kept; empty where all is well. */
  public List<Problem> problems(Want want) {
    List<Problem> all = new ArrayList<>();
    if (want.maker() == null && want.pattern() == null && isBlank(want.note())) {
      all.add(
          new Problem("maker", "nothing", "a maker, a pattern or a note must say what is wanted"));
    }
    ofMaker(want, all);
    if (want.pattern() != null && shelf.patterns().pattern(want.pattern()).isEmpty()) {
      all.add(new Problem("pattern", want.pattern(), "must be in the pattern book"));
    }
    years(want, all);
    List<String> grades = shelf.condition().grades().stream().map(Grade::id).toList();
    if (want.atLeast() != null && !grades.contains(want.atLeast())) {
      all.add(
          new Problem("atLeast", want.atLeast(), "must be one of " + String.join(", ", grades)));
    }
    price(want, all);
    if (want.note() != null && want.note().length() > LONGEST_NOTE) {
      all.add(
          new Problem(
              "note", want.note().length() + " letters", "must have at most " + LONGEST_NOTE));
    }
    if (want.set() != null && want.set().length() > LONGEST_SET) {
      all.add(
          new Problem("set", want.set().length() + " letters", "must have at most " + LONGEST_SET));
    }
    return all;
  }

  private void ofMaker(Want want, List<Problem> all) {
    Maker maker = maker(want).orElse(null);
    if (want.maker() != null && maker == null) {
      all.add(new Problem("maker", want.maker(), "must be a maker on file"));
    } else if (want.model() != null && model(maker, want) == null) {
      all.add(new Problem("model", want.model(), "must be a model of the maker"));
    } else if (want.mark() != null && mark(maker, want) == null) {
      all.add(new Problem("mark", want.mark(), "must be a mark of the maker"));
    }
  }

  private void years(Want want, List<Problem> all) {
    String accepted = "must be from " + DatingModel.FIRST_YEAR + " to " + thisYear;
    if (isOutside(want.from())) {
      all.add(new Problem("from", "" + want.from(), accepted));
    }
    if (isOutside(want.to())) {
      all.add(new Problem("to", "" + want.to(), accepted));
    } else if (want.from() != null && want.to() != null && want.to() < want.from()) {
      all.add(new Problem("to", "" + want.to(), "must not be before " + want.from()));
    }
  }

  private boolean isOutside(@Nullable Integer year) {
    return year != null && (year < DatingModel.FIRST_YEAR || year > thisYear);
  }

  private static void price(Want want, List<Problem> all) {
    if (want.most() != null && want.most().signum() <= 0) {
      all.add(new Problem("most", want.most().toPlainString(), "must be above 0"));
    }
    if ((want.most() == null) != (want.currency() == null)) {
      all.add(
          new Problem(
              want.most() == null ? "most" : "currency",
              "nothing",
              "a price and its currency must be given together"));
    } else if (want.currency() != null && !want.currency().matches("[A-Z]{3}")) {
      all.add(new Problem("currency", want.currency(), "must be three letters by ISO 4217"));
    }
  }

  private static boolean isBlank(@Nullable String text) {
    return text == null || text.isBlank();
  }

  private Optional<Maker> maker(Want want) {
    return Optional.ofNullable(want.maker()).flatMap(shelf::maker);
  }

  private static @Nullable Model model(@Nullable Maker maker, Want want) {
    return maker == null || want.model() == null
        ? null
        : maker.history().models().stream()
            .filter(m -> m.number().equals(want.model()))
            .findFirst()
            .orElse(null);
  }

  private static @Nullable MarkVariant mark(@Nullable Maker maker, Want want) {
    return maker == null || want.mark() == null
        ? null
        : maker.marks().stream().filter(m -> m.id().equals(want.mark())).findFirst().orElse(null);
  }

  /**
   * As it stands against the references and these knives. What is no longer on file is left out.
   */
  public Sought told(Want want, Collection<Card> knives) {
    Maker maker = maker(want).orElse(null);
    Model model = model(maker, want);
    MarkVariant mark = mark(maker, want);
    Pattern pattern =
        Optional.ofNullable(want.pattern()).flatMap(shelf.patterns()::pattern).orElse(null);
    Years years = years(want, model, mark);
    boolean isPossible = years.from() <= years.to();
    List<Owned> owned = owned(want, pattern, knives);
    return new Sought(
        maker == null ? null : maker.name(),
        model == null ? null : model.number() + " " + model.label(),
        mark == null ? List.of() : mark.lines(),
        pattern == null ? null : pattern.name(),
        isPossible && years.from() > Integer.MIN_VALUE ? years.from() : null,
        isPossible && years.to() < Integer.MAX_VALUE ? years.to() : null,
        SetBoard.stand(owned, isPossible, from, rank(want.atLeast())),
        SetBoard.held(owned),
        neighbours(maker, model, pattern));
  }

  // Bounded by the run of the model, the use of the mark, and what is asked for.
  private static Years years(Want want, @Nullable Model model, @Nullable MarkVariant mark) {
    Years of = new Years(Integer.MIN_VALUE, Integer.MAX_VALUE);
    if (mark != null) {
      of = Objects.requireNonNullElse(SetBoard.together(model, mark), new Years(1, 0));
    } else if (model != null) {
      of = new Years(model.from(), model.to());
    }
    return new Years(
        want.from() == null ? of.from() : Math.max(of.from(), want.from()),
        want.to() == null ? of.to() : Math.min(of.to(), want.to()));
  }

  private List<Owned> owned(Want want, @Nullable Pattern pattern, Collection<Card> knives) {
    List<String> grades = shelf.condition().grades().stream().map(Grade::label).toList();
    List<Owned> all = new ArrayList<>();
    for (Card card : knives) {
      double chance = chance(want, pattern, card);
      if (chance >= from.mayBe()) {
        Integer rank =
            card.facets().getOrDefault(Facet.GRADE, List.of()).stream()
                .findFirst()
                .map(grades::indexOf)
                .orElse(null);
        Fit fit = new Fit(want.maker() == null ? "" : want.maker(), null, null, chance);
        all.add(new Owned(card.number(), fit, rank));
      }
    }
    return all;
  }

  // A want that is told by a note alone no knife can be held to be.
  private static double chance(Want want, @Nullable Pattern pattern, Card card) {
    if (want.maker() == null && pattern == null) {
      return 0;
    }
    boolean isOfPattern =
        pattern == null
            || card.facets().getOrDefault(Facet.PATTERN, List.of()).contains(pattern.name());
    double ofMaker =
        want.maker() == null
            ? 1
            : card.fits().stream()
                .filter(f -> f.maker().equals(want.maker()))
                .filter(f -> want.model() == null || want.model().equals(f.model()))
                .filter(f -> want.mark() == null || want.mark().equals(f.mark()))
                .mapToDouble(Fit::chance)
                .sum();
    double ofYears =
        want.from() == null && want.to() == null
            ? 1
            : card.between(
                Objects.requireNonNullElse(want.from(), DatingModel.FIRST_YEAR),
                Objects.requireNonNullElse(want.to(), Integer.MAX_VALUE / 2));
    return isOfPattern ? ofMaker * ofYears : 0;
  }

  private @Nullable Integer rank(@Nullable String grade) {
    int rank = shelf.condition().grades().stream().map(Grade::id).toList().indexOf(grade);
    return rank < 0 ? null : rank;
  }

  private List<Sought.Neighbour> neighbours(
      @Nullable Maker maker, @Nullable Model model, @Nullable Pattern pattern) {
    if (maker != null && model != null) {
      String id = maker.id() + "/" + model.number();
      return models.stream()
          .filter(m -> m.id().equals(id))
          .findFirst()
          .map(own -> neighbours(own, models))
          .orElse(List.of());
    }
    return pattern == null
        ? List.of()
        : neighbours(
            looks(pattern), shelf.patterns().patterns().stream().map(this::looks).toList());
  }

  private Lookalike looks(Pattern pattern) {
    List<ModelTell> tells = ofPattern.apply(pattern.id()).tells();
    return new Lookalike(pattern.id(), pattern.name(), null, pattern.id(), null, null, tells);
  }

  private List<Sought.Neighbour> neighbours(Lookalike own, List<Lookalike> all) {
    return Neighbours.of(own, all, MOST_NEIGHBOURS).stream()
        .map(
            n ->
                new Sought.Neighbour(
                    n.model().label(),
                    n.tells().stream()
                        // The number stands in the name already: what one sees of the knife first.
                        .sorted(Comparator.comparing(a -> a.trait().equals(Traits.NUMBER)))
                        .map(a -> tell(a.trait(), own, n.model()))
                        .filter(t -> !t.own().equals(t.other()))
                        .limit(MOST_TELLS)
                        .toList(),
                    said(own, n.model()),
                    said(n.model(), own)))
        .toList();
  }

  // Of two models the pattern book knows nothing: they may be of one pattern.
  private @Nullable String said(Lookalike beside, Lookalike of) {
    return beside.id().equals(beside.pattern()) && of.id().equals(of.pattern())
        ? shelf.patterns().pattern(beside.id()).map(p -> p.tellApart().get(of.id())).orElse(null)
        : null;
  }

  private Sought.Tell tell(String trait, Lookalike own, Lookalike other) {
    boolean isLength = trait.equals(Traits.LENGTH);
    return new Sought.Tell(
        traits.label(trait),
        usual(trait, own),
        usual(trait, other),
        isLength ? own.usualLength().orElse(null) : null,
        isLength ? other.usualLength().orElse(null) : null);
  }

  private String usual(String trait, Lookalike model) {
    return switch (trait) {
      case Traits.LENGTH ->
          model.usualLength().map(mm -> String.format(Locale.ROOT, "%.1f mm", mm)).orElse("");
      case Traits.NUMBER -> model.usual(trait).orElse("");
      default -> model.usual(trait).map(value -> traits.words(trait, value)).orElse("");
    };
  }
}
