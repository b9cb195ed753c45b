package snikra.core.reference;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.code.CodeRates;
import snikra.core.code.CodeScheme;
import snikra.core.code.SeenCode;
import snikra.core.code.Sign;
import snikra.core.number.NumberGrammar;

/**
 * A firm that made knives, with its marks.
 *
 * @param weight how much of it is met today, relative to an ordinary maker
 * @param changes years in which owner, models or works changed, when older parts were used up
 * @param numbers how its pattern numbers are built, if it struck any
 * @param codes how it struck the year of make, if it did
 * @param history its owners, contracts, shields and models
 */
public record Maker(
    String id,
    String name,
    String region,
    String place,
    double weight,
    List<Integer> changes,
    @Nullable NumberGrammar numbers,
    List<CodeScheme> codes,
    List<MarkVariant> marks,
    History history,
    String note) {

  /** A maker of whom nothing is known but marks, numbers and codes. */
  public Maker(
      String id,
      String name,
      String region,
      String place,
      double weight,
      List<Integer> changes,
      @Nullable NumberGrammar numbers,
      List<CodeScheme> codes,
      List<MarkVariant> marks,
      String note) {
    this(id, name, region, place, weight, changes, numbers, codes, marks, History.NONE, note);
  }

  public Maker {
    history = history == null ? History.NONE : history;
    changes = List.copyOf(changes);
    codes = codes == null ? List.of() : List.copyOf(codes);
    marks = List.copyOf(marks);
    if (marks.isEmpty()) {
      throw new IllegalArgumentException("maker " + id + " must have at least one mark; found 0");
    }
  }

  /** Whether a change of owner, model or works is this many years or fewer from this year. */
  public boolean isNearChange(int year, int within) {
    return changes.stream().anyMatch(c -> Math.abs(c - year) <= within);
  }

  /** Whether it dated its knives by this sign in this year. */
  public boolean codes(Sign sign, int year) {
    return codes.stream().anyMatch(c -> c.sign() == sign && !c.codes(year).isEmpty());
  }

  /** The same maker with the years of marks that hold for one of its models. */
  public Maker asFor(History.Model model) {
    return new Maker(
        id,
        name,
        region,
        place,
        weight,
        changes,
        numbers,
        codes,
        marks.stream()
            .map(v -> model.marks().containsKey(v.id()) ? v.in(model.marks().get(v.id())) : v)
            .toList(),
        history,
        note);
  }

  /**
   * P(code as seen | made by it in this year): by its schemes in force, and by chance where it has
   * none of that sign.
   */
  public double given(SeenCode seen, int year, CodeRates rates) {
    if (!codes(seen.sign(), year)) {
      return seen.unexpected(rates);
    }
    double byChance = seen.unexpected(rates);
    double p = 0;
    for (CodeScheme scheme : codes) {
      // What another sign is believed to say is no word on this one.
      if (scheme.sign() != seen.sign()) {
        continue;
      }
      double own = scheme.given(seen, year, rates);
      p = Math.max(p, scheme.trust() * own + (1 - scheme.trust()) * byChance);
    }
    return p;
  }
}
