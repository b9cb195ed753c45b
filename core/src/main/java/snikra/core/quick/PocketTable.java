package snikra.core.quick;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.quick.QuickBook.Check;
import snikra.core.quick.QuickVerdict.Call;

/**
 * All that a quick look may come to, worked out beforehand, for where Snikra is not at hand. Who
 * walks it compares amounts and knows no rule.
 *
 * @param open where the maker is not known
 * @param named where it is on file with a price: what it answers is left out
 * @param reasons sentences, named by their place
 * @param rungs amounts as they are told, ascending: of an amount the highest that is not above it
 */
public record PocketTable(Walk open, Walk named, List<String> reasons, List<Double> rungs) {
  /** Amounts above this are told as this. */
  private static final double HIGHEST = 100_000;

  /**
   * The outcomes in the order of their answers.
   *
   * @param checks ids, in the order of the hand; the first counts most in an outcome's place
   * @param answers of each check the ids; a check not looked at counts 0, its answers from 1 on
   */
  public record Walk(List<String> checks, List<List<String>> answers, List<Outcome> outcomes) {}

  /**
   * What some answers come to.
   *
   * @param pay the most to pay, and
   * @param drop what it is put down above, both of an ordinary knife's price
   * @param call without a price
   * @param against place of what speaks against it most; null where nothing was looked at
   * @param speaks place of what speaks for it most
   * @param next place of the check to look at next; null where all was looked at
   */
  public record Outcome(
      double pay,
      double drop,
      Call call,
      @Nullable Integer against,
      @Nullable Integer speaks,
      @Nullable Integer next) {}

  /** Compiles a book. */
  public static PocketTable of(QuickBook book) {
    QuickLook look = new QuickLook(book);
    Map<String, Integer> reasons = new LinkedHashMap<>();
    Walk open = walk(book.checks(), look, false, reasons);
    Walk named =
        walk(book.checks().stream().filter(c -> !c.byMaker()).toList(), look, true, reasons);
    return new PocketTable(open, named, List.copyOf(reasons.keySet()), rungs(look));
  }

  private static Walk walk(
      List<Check> checks, QuickLook look, boolean isNamed, Map<String, Integer> reasons) {
    List<Outcome> outcomes = new ArrayList<>();
    int all = checks.stream().mapToInt(c -> c.answers().size() + 1).reduce(1, (a, b) -> a * b);
    List<String> ids = checks.stream().map(Check::id).toList();
    for (int place = 0; place < all; place++) {
      outcomes.add(outcome(look.weighed(answers(checks, place), isNamed), ids, reasons));
    }
    return new Walk(
        ids,
        checks.stream().map(c -> c.answers().stream().map(QuickBook.Answer::id).toList()).toList(),
        outcomes);
  }

  // The last check changes first.
  private static Map<String, String> answers(List<Check> checks, int place) {
    Map<String, String> answers = new HashMap<>();
    int left = place;
    for (int c = checks.size() - 1; c >= 0; c--) {
      int base = checks.get(c).answers().size() + 1;
      int answer = left % base;
      left /= base;
      if (answer > 0) {
        answers.put(checks.get(c).id(), checks.get(c).answers().get(answer - 1).id());
      }
    }
    return answers;
  }

  private static Outcome outcome(
      QuickLook.Weighed weighed, List<String> checks, Map<String, Integer> reasons) {
    String next = weighed.next();
    return new Outcome(
        weighed.pay(),
        weighed.drop(),
        weighed.unpriced(),
        place(weighed.reason(Call.PUT_DOWN), reasons),
        place(weighed.reason(Call.BUY), reasons),
        next == null ? null : (Integer) checks.indexOf(next));
  }

  private static @Nullable Integer place(@Nullable String reason, Map<String, Integer> reasons) {
    if (reason == null) {
      return null;
    }
    reasons.putIfAbsent(reason, reasons.size());
    return reasons.get(reason);
  }

  // The next one up is told first of an amount that is just not below it.
  private static List<Double> rungs(QuickLook look) {
    List<Double> all = new ArrayList<>();
    double at = 0;
    while (at <= HIGHEST) {
      all.add(at);
      at += look.stepAt(at);
    }
    return all;
  }
}
