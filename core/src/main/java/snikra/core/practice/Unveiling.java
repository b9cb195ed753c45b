package snikra.core.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Examiner;
import snikra.core.examination.Verdict;
import snikra.core.practice.Unveiled.Missed;
import snikra.core.practice.Unveiled.Question;
import snikra.core.practice.Unveiled.Scored;
import snikra.core.reference.Maker;

/** Holds a guess against what is so, beside what the model makes of the very same looks. */
public final class Unveiling {
  private static final int TOLD = 3;
  private static final int DECADE = 10;

  private final Examiner examiner;
  private final PracticeBook book;

  /** By these references. */
  public Unveiling(Examiner examiner, PracticeBook book) {
    this.examiner = examiner;
    this.book = book;
  }

  /** What there is to choose from. */
  public Guess.Choices choices() {
    List<String> makers =
        examiner.shelf().makers().stream()
            .map(Maker::id)
            .collect(Collectors.toCollection(ArrayList::new));
    makers.add(Truth.UNLISTED);
    return new Guess.Choices(
        makers,
        examiner.shelf().patterns().patterns().stream().map(p -> p.id()).toList(),
        book.how().stream().map(PracticeBook.HowMade::id).toList());
  }

  /** What came of a guess. */
  public Unveiled unveil(Round round, Guess guess) {
    Verdict verdict = examiner.examine(round.shown());
    DatingVerdict dated = verdict.dating();
    Truth truth = round.truth();
    Guess.Choices among = choices();
    List<Scored> answers = new ArrayList<>();
    add(
        answers,
        Question.MAKER,
        guess.maker(),
        guess.makerSure(),
        among.makers(),
        truth.makers(),
        Truth.makers(dated));
    if (guess.from() != null && guess.to() != null) {
      answers.add(years(guess.from(), guess.to(), truth, dated));
    }
    Set<String> looked = Set.copyOf(round.looked());
    add(
        answers,
        Question.HOW,
        guess.how(),
        guess.howSure(),
        among.how(),
        truth.how(looked, round.parts()),
        Truth.how(dated));
    add(
        answers,
        Question.NAME,
        guess.name(),
        guess.nameSure(),
        among.names(),
        truth.names(),
        Truth.names(verdict.pattern()));
    return new Unveiled(
        answers,
        likeliest(truth.makers()),
        middle(truth),
        dated.opinion().headline(),
        missed(round, dated));
  }

  private static void add(
      List<Scored> to,
      Question question,
      @Nullable String said,
      @Nullable Double sure,
      List<String> among,
      Map<String, Double> truth,
      Map<String, Double> model) {
    if (said == null || sure == null || truth.isEmpty()) {
      return;
    }
    to.add(
        new Scored(
            question,
            said,
            sure,
            truth.getOrDefault(said, 0.0),
            likeliest(truth),
            likeliest(model),
            Scores.bits(said, sure, among.size() - 1, truth),
            Scores.bits(model, truth)));
  }

  private static Scored years(int from, int to, Truth truth, DatingVerdict dated) {
    int first = dated.nineTenths().from();
    int last = dated.nineTenths().to();
    return new Scored(
        Question.YEARS,
        from + "/" + to,
        1 - Scores.OUTSIDE,
        truth.between(from, to),
        "" + middle(truth),
        first + "/" + last,
        Scores.years(from, to, truth),
        Scores.years(first, last, truth));
  }

  private static String likeliest(Map<String, Double> of) {
    return of.entrySet().stream()
        .max(Map.Entry.<String, Double>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
        .map(Map.Entry::getKey)
        .orElse(Truth.UNLISTED);
  }

  private static int middle(Truth truth) {
    double half = truth.between(0, Integer.MAX_VALUE) / 2;
    int y = truth.firstYear();
    for (double upTo : truth.years()) {
      half -= upTo;
      if (half <= 0) {
        break;
      }
      y++;
    }
    return y;
  }

  /** What each look that was left out would have told of what is so, had it been taken too. */
  private List<Missed> missed(Round round, DatingVerdict dated) {
    double now = known(dated, round.truth());
    Set<String> looked = new HashSet<>(round.looked());
    List<Missed> all = new ArrayList<>();
    for (Round.Glance look : round.looks()) {
      if (!looked.contains(look.id())) {
        double bits = known(examiner.date(round.shownWith(look.id())), round.truth()) - now;
        if (bits >= book.worthTelling().value()) {
          all.add(
              new Missed(look.id(), look.station(), look.label(), round.answer(look.id()), bits));
        }
      }
    }
    all.sort(Comparator.comparingDouble(m -> -m.bits()));
    return all.subList(0, Math.min(TOLD, all.size()));
  }

  // How likely the model holds what is so, of maker and decade together.
  private static double known(DatingVerdict dated, Truth truth) {
    double bits = -Scores.bits(Truth.makers(dated), truth.makers());
    double sum = 0;
    for (int y = 0; y < truth.years().length; y++) {
      int year = truth.firstYear() + y;
      double near = dated.between(year - DECADE / 2, year + DECADE / 2);
      sum -= truth.years()[y] * Scores.bits(near);
    }
    return bits + sum;
  }
}
