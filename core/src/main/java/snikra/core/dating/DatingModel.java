package snikra.core.dating;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import snikra.core.dating.DatingVerdict.ClueGroup;
import snikra.core.dating.DatingVerdict.ClueInfluence;
import snikra.core.dating.DatingVerdict.Explanation;
import snikra.core.dating.DatingVerdict.NextLook;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.meanwhile.Meanwhile;
import snikra.core.reference.ReferenceShelf;
import snikra.core.trait.Traits;

/** The dating model for one shelf. Immutable; safe for many threads. */
public final class DatingModel {
  /** No knife is older. */
  public static final int FIRST_YEAR = YearAxis.FIRST;

  private static final double HALF = 0.5;
  private static final double NINE_TENTHS = 0.9;
  private static final double TAIL = 0.01;

  private final Desk desk;
  private final YearAxis axis;
  private final LookNext lookNext;
  private final Deciders deciders;
  private final Traits traits;

  /** A model that knows this shelf and looks no further than {@code thisYear}. */
  public DatingModel(ReferenceShelf shelf, int thisYear) {
    this(shelf, new Desk(shelf, thisYear, null));
  }

  private DatingModel(ReferenceShelf shelf, Desk desk) {
    this.desk = desk;
    this.axis = desk.axis;
    this.lookNext = new LookNext(shelf, desk.tables, axis);
    this.deciders = new Deciders(shelf, desk.tables);
    this.traits = new Traits(shelf);
  }

  /** The same with another shelf; what follows from the books alone is shared. */
  public DatingModel with(ReferenceShelf other, int thisYear) {
    return new DatingModel(other, new Desk(other, thisYear, desk));
  }

  /** How much is told. */
  private enum Told {
    BRIEFLY,
    WITH_LOOKS,
    WITH_REASONS,
    WHOLE
  }

  /** The whole verdict. */
  public DatingVerdict date(Evidence evidence) {
    return date(evidence, Told.WHOLE);
  }

  /** The verdict without what to look at next. */
  public DatingVerdict dateWithReasons(Evidence evidence) {
    return date(evidence, Told.WITH_REASONS);
  }

  /** The verdict without the influence of each clue and without what to look at next. */
  public DatingVerdict dateBriefly(Evidence evidence) {
    return date(evidence, Told.BRIEFLY);
  }

  /** The verdict as a catalogue tells it: briefly, and what to look at next. */
  public DatingVerdict dateForCatalogue(Evidence evidence) {
    return date(evidence, Told.WITH_LOOKS);
  }

  /**
   * P(year) from {@link #FIRST_YEAR} on, were one look or statement left out, by its id; of what is
   * not heard, such as what another look has said already, P(year) as it is.
   */
  public Function<String, double[]> yearsWithoutEach(Evidence evidence) {
    Worked worked = new Worked(desk, evidence);
    List<Inference.Without> without =
        worked.looks.isEmpty() ? List.of() : worked.inference.withoutEach(worked.looks);
    Map<String, double[]> years = new HashMap<>();
    for (int i = 0; i < without.size(); i++) {
      years.put(worked.looks.get(i).id(), without.get(i).years());
    }
    return id -> years.getOrDefault(id, worked.years);
  }

  /** How far these statements hold of a knife, all else it shows taken together. */
  public List<StoryTruth> truths(Evidence evidence, Set<String> statements) {
    return new Truths(desk, evidence).of(statements);
  }

  private DatingVerdict date(Evidence evidence, Told told) {
    Worked worked = new Worked(desk, evidence);
    Influences influences = new Influences(desk, worked);
    boolean isReasoned = told == Told.WITH_REASONS || told == Told.WHOLE;
    boolean isAhead = told == Told.WITH_LOOKS || told == Told.WHOLE;
    var makers = worked.explainer.makers();
    Meanwhile<List<NextLook>> looks =
        Meanwhile.of(() -> isAhead ? lookNext.find(evidence, worked.explainer, makers) : List.of());
    Meanwhile<List<Explanation>> explanations = Meanwhile.of(() -> explanations(worked, told));
    List<ClueInfluence> clues = isReasoned ? influences.each() : List.of();
    List<StateProbability> states = worked.explainer.states();
    ClueInfluence ofMarks = isReasoned && evidence.marks().anySeen() ? influences.ofMarks() : null;
    List<ClueGroup> together = influences.together(clues);
    double[] years = worked.years;
    Span nineTenths = Distribution.span(years, NINE_TENTHS, axis);
    return new DatingVerdict(
        axis.first(),
        years,
        Distribution.span(years, HALF, axis),
        nineTenths,
        axis.year(Distribution.mode(years)),
        axis.year(Distribution.quantile(years, HALF)),
        axis.year(Distribution.quantile(years, TAIL)),
        axis.year(Distribution.quantile(years, 1 - TAIL)),
        makers,
        states,
        explanations.value(),
        clues,
        ofMarks,
        together,
        worked.conflicts,
        new OpinionWriter(desk.limits, desk.shelf.clues())
            .write(
                worked.isSeen(),
                nineTenths,
                states,
                explanations.value(),
                clues,
                worked.conflicts,
                makers,
                worked::middle,
                traits::label,
                evidence.marks()),
        looks.value());
  }

  // Of a whole verdict each says what would decide it.
  private List<Explanation> explanations(Worked worked, Told told) {
    List<Explanation> found = worked.isSeen() ? worked.explainer.explanations() : List.of();
    return told == Told.WHOLE
        ? deciders.added(found, worked.explainer, worked.evidence, lookNext.left(worked.evidence))
        : found;
  }
}
