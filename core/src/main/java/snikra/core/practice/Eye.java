package snikra.core.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.Reliability;
import snikra.core.practice.Unveiled.Question;
import snikra.core.practice.Unveiled.Scored;

/**
 * How well one's own eye holds what it says.
 *
 * @param rounds that were unveiled
 * @param choices each thing chosen among others, with how often it was right when one was so sure
 * @param spans how often the years one named held the knife; null where none were
 * @param weakMakers makers one loses most against the model by, the worst first
 * @param weakDecades decades one loses most against the model in, the worst first
 * @param lately of each ten rounds in their order, what one lost against the model in the mean
 */
public record Eye(
    int rounds,
    List<Chosen> choices,
    @Nullable NamedYears spans,
    List<Weak> weakMakers,
    List<Weak> weakDecades,
    List<Lately> lately) {

  private static final int TEN = 10;

  /**
   * Things chosen among others.
   *
   * @param own bits, of grades levels, lost in the mean
   * @param models what the model lost in the mean
   */
  public record Chosen(
      Question question, int count, double own, double models, Reliability reliability) {}

  /**
   * Years named to hold a knife nine times in ten.
   *
   * @param held share that did
   * @param length of the middle one, in years
   * @param models the same of the model
   */
  public record NamedYears(
      int count, double held, int length, int models, double own, double modelsOwn) {}

  /**
   * What one gets wrong.
   *
   * @param of id of a maker, or the first year of a decade
   * @param lost against the model in the mean: bits of makers, years of decades
   */
  public record Weak(String of, int count, double lost) {}

  /**
   * Ten rounds.
   *
   * @param bits lost against the model in the mean; null where nothing was chosen
   * @param years lost against the model in the mean; null where none were named
   */
  public record Lately(int rounds, @Nullable Double bits, @Nullable Double years) {}

  /** Learns it from these rounds, in their order. */
  public static Eye of(List<Unveiled> rounds, PracticeBook book) {
    return new Eye(
        rounds.size(),
        choices(rounds),
        spans(rounds),
        weak(rounds, Question.MAKER, Unveiled::maker, book),
        weak(rounds, Question.YEARS, r -> "" + r.year() / TEN * TEN, book),
        lately(rounds));
  }

  private static List<Chosen> choices(List<Unveiled> rounds) {
    Map<Question, List<Scored>> by = new EnumMap<>(Question.class);
    for (Unveiled round : rounds) {
      for (Scored answer : round.answers()) {
        if (answer.question() != Question.YEARS) {
          by.computeIfAbsent(answer.question(), q -> new ArrayList<>()).add(answer);
        }
      }
    }
    List<Chosen> all = new ArrayList<>();
    by.forEach(
        (question, answers) -> {
          Reliability.Diagram diagram = new Reliability.Diagram();
          answers.forEach(a -> diagram.add(a.sure(), a.right()));
          all.add(
              new Chosen(
                  question,
                  answers.size(),
                  mean(answers.stream().mapToDouble(Scored::own).toArray()),
                  mean(answers.stream().mapToDouble(Scored::models).toArray()),
                  diagram.reliability()));
        });
    return all;
  }

  private static @Nullable NamedYears spans(List<Unveiled> rounds) {
    List<Scored> named = of(rounds, Question.YEARS);
    if (named.isEmpty()) {
      return null;
    }
    return new NamedYears(
        named.size(),
        mean(named.stream().mapToDouble(Scored::right).toArray()),
        middle(named, Scored::said),
        middle(named, Scored::model),
        mean(named.stream().mapToDouble(Scored::own).toArray()),
        mean(named.stream().mapToDouble(Scored::models).toArray()));
  }

  private static List<Scored> of(List<Unveiled> rounds, Question question) {
    return rounds.stream()
        .flatMap(r -> r.answers().stream())
        .filter(a -> a.question() == question)
        .toList();
  }

  private static int middle(List<Scored> named, Function<Scored, String> years) {
    int[] lengths = named.stream().map(years).mapToInt(Eye::length).sorted().toArray();
    return lengths[lengths.length / 2];
  }

  private static int length(String years) {
    int slash = years.indexOf('/');
    return Integer.parseInt(years.substring(slash + 1))
        - Integer.parseInt(years.substring(0, slash))
        + 1;
  }

  private static List<Weak> weak(
      List<Unveiled> rounds, Question question, Function<Unveiled, String> key, PracticeBook book) {
    Map<String, List<Double>> by = new TreeMap<>();
    for (Unveiled round : rounds) {
      for (Scored answer : round.answers()) {
        if (answer.question() == question) {
          by.computeIfAbsent(key.apply(round), k -> new ArrayList<>())
              .add(answer.own() - answer.models());
        }
      }
    }
    List<Weak> all = new ArrayList<>();
    by.forEach(
        (of, lost) -> {
          double mean = mean(lost.stream().mapToDouble(Double::doubleValue).toArray());
          if (lost.size() >= book.leastRounds().value() && mean > 0) {
            all.add(new Weak(of, lost.size(), mean));
          }
        });
    all.sort(Comparator.comparingDouble((Weak w) -> -w.lost()).thenComparing(Weak::of));
    return List.copyOf(all.subList(0, Math.min(book.weakest().whole(), all.size())));
  }

  private static List<Lately> lately(List<Unveiled> rounds) {
    List<Lately> all = new ArrayList<>();
    for (int from = 0; from < rounds.size(); from += TEN) {
      List<Unveiled> ten = rounds.subList(from, Math.min(rounds.size(), from + TEN));
      List<Scored> years = of(ten, Question.YEARS);
      List<Scored> chosen =
          ten.stream()
              .flatMap(r -> r.answers().stream())
              .filter(a -> a.question() != Question.YEARS && a.question() != Question.GRADE)
              .toList();
      all.add(new Lately(ten.size(), lost(chosen), lost(years)));
    }
    return all;
  }

  private static @Nullable Double lost(List<Scored> answers) {
    return answers.isEmpty()
        ? null
        : mean(answers.stream().mapToDouble(a -> a.own() - a.models()).toArray());
  }

  private static double mean(double[] of) {
    return Arrays.stream(of).average().orElse(0);
  }

  /** Whether a knife is of what one gets wrong. */
  public boolean isWeakIn(Truth knife) {
    return weakMakers.stream().anyMatch(w -> knife.makers().getOrDefault(w.of(), 0.0) > 0.5)
        || weakDecades.stream()
            .map(w -> Integer.parseInt(w.of()))
            .anyMatch(decade -> knife.between(decade, decade + TEN - 1) > 0.5);
  }
}
