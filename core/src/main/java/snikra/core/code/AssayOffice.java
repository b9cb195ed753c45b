package snikra.core.code;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Where silver was tested, and how the year was struck: a letter a year, cycle after cycle, each in
 * a form of its own.
 *
 * @param townMark what the town struck, in words
 * @param standards what says how fine the silver is, in words
 * @param duty closed years in which a head was struck for the duty paid
 */
public record AssayOffice(
    String id,
    String label,
    String townMark,
    List<String> standards,
    @Nullable Duty duty,
    List<LetterCycle> cycles,
    String note,
    String source) {

  /** A letter that cannot be read. */
  private static final String LOST = "_";

  /** Closed years. */
  public record Duty(int from, int to) {}

  /**
   * Letters in the order used, one a year.
   *
   * @param form of the letter and its shield
   */
  public record LetterCycle(int from, String form, List<String> letters) {
    public LetterCycle {
      letters = List.copyOf(letters);
    }
  }

  public AssayOffice {
    standards = List.copyOf(standards);
    cycles = List.copyOf(cycles);
  }

  /** The forms its letters have. */
  public List<String> forms() {
    return cycles.stream().map(LetterCycle::form).distinct().toList();
  }

  /**
   * The years of assay that what was seen allows; a letter began within its year and ran on.
   * Capital and small letters are of different cycles.
   */
  public List<Integer> years(SeenHallmark seen) {
    List<Integer> years = new ArrayList<>();
    for (LetterCycle cycle : cycles) {
      for (int i = 0; i < cycle.letters().size(); i++) {
        int year = cycle.from() + i;
        boolean letter = seen.letter().equals(LOST) || seen.letter().equals(cycle.letters().get(i));
        boolean form = seen.form() == null || seen.form().equals(cycle.form());
        if (letter && form && isDutyAsIn(year, seen.duty())) {
          years.add(year);
        }
      }
    }
    return years;
  }

  // The head is there or it is not of those years; that it is not seen says little, for on small
  // blades it was left out and it wears away.
  private boolean isDutyAsIn(int year, @Nullable Boolean seen) {
    boolean isThere = seen != null && seen;
    return !isThere || duty == null || (year >= duty.from() && year <= duty.to());
  }
}
