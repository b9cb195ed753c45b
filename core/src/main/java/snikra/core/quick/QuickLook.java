package snikra.core.quick;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Problem;
import snikra.core.quick.QuickBook.Answer;
import snikra.core.quick.QuickBook.Check;
import snikra.core.quick.QuickBook.Step;
import snikra.core.quick.QuickVerdict.Call;

/**
 * Works out what a quick look comes to. Each look moves the logarithm of the price by what such
 * knives bring against the mean of what lies on stalls; a look not taken, or perhaps wrong, leaves
 * it open by how far the answers differ. The sum is taken for normal.
 */
public final class QuickLook {
  private final QuickBook book;

  public QuickLook(QuickBook book) {
    this.book = book;
  }

  /** How a look moves the logarithm of the price, and how far it leaves it open. */
  record Moved(Check check, @Nullable Answer answer, double mean, double variance) {}

  /** What is wrong with answers that were given; empty where nothing is. */
  public List<Problem> problems(Map<String, String> answers) {
    List<Problem> all = new ArrayList<>();
    answers.forEach(
        (id, answer) -> {
          Check check =
              book.checks().stream().filter(c -> c.id().equals(id)).findFirst().orElse(null);
          if (check == null) {
            all.add(new Problem(id, answer, "must be one of " + ids(book.checks(), Check::id)));
          } else if (check.answer(answer).isEmpty()) {
            all.add(new Problem(id, answer, "must be one of " + ids(check.answers(), Answer::id)));
          }
        });
    return all;
  }

  private static <T> String ids(List<T> of, java.util.function.Function<T, String> id) {
    return String.join(", ", of.stream().map(id).toList());
  }

  /**
   * What it comes to.
   *
   * @param answers by check; what is not in it was not looked at
   * @param ordinary what an ordinary knife brings, of the maker where it is named; null where no
   *     price is known
   * @param isNamed whether the maker is on file and the price is of its knives
   * @param asked what the seller asks, in the same money; null where nobody said
   */
  public QuickVerdict look(
      Map<String, String> answers,
      @Nullable Double ordinary,
      boolean isNamed,
      @Nullable Double asked) {
    Weighed weighed = weighed(answers, isNamed);
    Call call = weighed.call(ordinary, asked, this);
    return new QuickVerdict(
        call,
        ordinary == null ? null : down(weighed.pay() * ordinary),
        weighed.worth(),
        weighed.reason(call),
        weighed.next());
  }

  /**
   * What answers come to, apart from any price.
   *
   * @param pay the most to pay, of an ordinary knife's price
   * @param drop what it is put down above, likewise
   * @param worth what it brings in the middle, likewise
   * @param unpriced what to do where no price is known
   */
  record Weighed(List<Moved> moved, double pay, double drop, double worth, Call unpriced) {
    private Call call(@Nullable Double ordinary, @Nullable Double asked, QuickLook by) {
      if (ordinary == null || asked == null) {
        return unpriced;
      }
      if (asked <= by.down(pay * ordinary)) {
        return Call.BUY;
      }
      return asked > drop * ordinary ? Call.PUT_DOWN : Call.LOOK_CLOSER;
    }

    /** Why, for what is said. */
    @Nullable String reason(Call call) {
      return QuickLook.reason(moved, call);
    }

    /** Id of what to look at next. */
    @Nullable String next() {
      return QuickLook.next(moved);
    }
  }

  /** Weighs answers, those of a maker on file apart. */
  Weighed weighed(Map<String, String> answers, boolean isNamed) {
    List<Moved> moved =
        book.checks().stream()
            .filter(c -> !(c.byMaker() && isNamed))
            .map(c -> moved(c, answers.get(c.id())))
            .toList();
    double mean = moved.stream().mapToDouble(Moved::mean).sum();
    double spread = book.spread().value();
    double deviation =
        Math.sqrt(spread * spread + moved.stream().mapToDouble(Moved::variance).sum());
    double drop = Math.exp(mean + book.drop().value() * deviation);
    return new Weighed(
        moved,
        Math.exp(mean + book.pay().value() * deviation),
        drop,
        Math.exp(mean),
        drop < book.worthwhile().value() ? Call.PUT_DOWN : Call.LOOK_CLOSER);
  }

  private static Moved moved(Check check, @Nullable String given) {
    Answer answer = check.answer(given).orElse(null);
    double usual = check.answers().stream().mapToDouble(a -> a.share() * Math.log(a.worth())).sum();
    double mean = 0;
    double square = 0;
    for (Answer a : check.answers()) {
      double chance =
          answer == null
              ? a.share()
              : check.missed() * a.share() + (a.equals(answer) ? 1 - check.missed() : 0);
      double log = Math.log(a.worth()) - usual;
      mean += chance * log;
      square += chance * log * log;
    }
    return new Moved(check, answer, mean, Math.max(0, square - mean * mean));
  }

  // For a knife to be put down what speaks against it, else what speaks for it; of a knife nothing
  // speaks for, what speaks against it least.
  private static @Nullable String reason(List<Moved> moved, Call call) {
    int sign = call == Call.PUT_DOWN ? -1 : 1;
    return moved.stream()
        .filter(m -> m.answer() != null)
        .max(Comparator.comparingDouble(m -> sign * m.mean()))
        .map(m -> m.answer().why())
        .orElse(null);
  }

  // What leaves most open; of equals the first in the order of the hand.
  private static @Nullable String next(List<Moved> moved) {
    Predicate<Moved> isOpen = m -> m.answer() == null;
    double most = moved.stream().filter(isOpen).mapToDouble(Moved::variance).max().orElse(0);
    return moved.stream()
        .filter(isOpen)
        .filter(m -> m.variance() >= most)
        .map(m -> m.check().id())
        .findFirst()
        .orElse(null);
  }

  /** An amount as it is told: never above what it is. */
  double down(double amount) {
    double step = stepAt(amount);
    return Math.floor(amount / step) * step;
  }

  /** In which steps amounts of this size are told. */
  double stepAt(double amount) {
    return book.steps().stream()
        .filter(s -> s.to() == null || amount < s.to())
        .findFirst()
        .map(Step::step)
        .orElseThrow();
  }
}
