package snikra.core.code;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.wording.NotAccepted;

/**
 * A date code as seen.
 *
 * @param written letters and figures as struck, {@code _} for one that is lost, {@code ?} after a
 *     doubtful one; for a sign told by its place one of {@link #PLACES}; for other signs how many,
 *     with {@code +} for at least so many, and {@code 0} where it was looked for and none is there
 * @param form how it is drawn or what stands beside it, where schemes differ in that
 */
public record SeenCode(Sign sign, String written, @Nullable String form) {

  /** Where beside a mark a sign may stand. */
  public static final List<String> PLACES =
      List.of("left", "right", "above", "below", "between", "pile-side");

  /** Each sign more is as often again worn away, or imagined, as the one before. */
  private static final double HALF = 0.5;

  private static final int LETTERS = 26;
  private static final int FIGURES = 10;
  private static final int MOST_COUNTED = 24;

  /** A code of which the form was not looked at. */
  public SeenCode(Sign sign, String written) {
    this(sign, written, null);
  }

  /**
   * Reads what was written, so that it is known to make sense.
   *
   * @throws IllegalArgumentException when it does not
   */
  public static String parse(Sign sign, String written) {
    if (sign.isCounted() && !written.matches("0|[1-9][0-9]?\\+?")) {
      throw new NotAccepted(
          "must be how many, such as 7, 7+ for at least seven, or 0 for none", written);
    }
    if (sign == Sign.FIGURE && !written.matches("([0-9]\\??|_){1,4}")) {
      throw new NotAccepted("must be up to four figures, _ for a lost one", written);
    }
    if (sign == Sign.LETTER && !written.matches("(\\p{L}\\??|_){1,4}")) {
      throw new NotAccepted("must be up to four letters, _ for a lost one", written);
    }
    if (sign == Sign.LETTERS_AND_FIGURES && !written.matches("([\\p{L}0-9]\\??|_){1,6}")) {
      throw new NotAccepted("must be up to six letters and figures, _ for a lost one", written);
    }
    if (sign == Sign.PLACEMENT && !PLACES.contains(written)) {
      throw new NotAccepted("must be one of " + String.join(", ", PLACES), written);
    }
    return written;
  }

  /** Whether it was looked for well, and none is there. */
  public boolean tellsOfNone() {
    return sign.isCounted() && written.equals("0");
  }

  /** P(seen | struck in this form). */
  double given(String struck, @Nullable String inForm, CodeRates rates) {
    double fits =
        form == null || inForm == null
            ? 1
            : form.equals(inForm) ? rates.formAgrees() : rates.formDiffers();
    if (sign == Sign.PLACEMENT) {
      double right = rates.sure();
      return fits * (written.equals(struck) ? right : (1 - right) / (PLACES.size() - 1));
    }
    return fits
        * (sign.isCounted()
            ? countGiven(Integer.parseInt(struck), rates)
            : lettersGiven(struck, rates));
  }

  private double countGiven(int struck, CodeRates rates) {
    boolean atLeast = written.endsWith("+");
    int seen = Integer.parseInt(atLeast ? written.substring(0, written.length() - 1) : written);
    int worn = struck - seen;
    if (atLeast) {
      return worn >= 0 ? 1 : rates.fewer();
    }
    return worn == 0
        ? rates.counted()
        : worn > 0
            ? rates.worn() * Math.pow(HALF, worn - 1)
            : rates.imagined() * Math.pow(HALF, -worn - 1);
  }

  private double lettersGiven(String struck, CodeRates rates) {
    int others = kinds() - 1;
    double p = 1;
    int at = 0;
    for (int i = 0; i < written.length(); i++) {
      char seen = Character.toUpperCase(written.charAt(i));
      boolean doubtful = i + 1 < written.length() && written.charAt(i + 1) == '?';
      i += doubtful ? 1 : 0;
      if (at >= struck.length()) {
        return rates.otherLength();
      }
      double right = doubtful ? rates.doubtful() : rates.sure();
      boolean same = seen == Character.toUpperCase(struck.charAt(at++));
      p *= seen == '_' ? 1 : same ? right : (1 - right) / others;
    }
    return at == struck.length() ? p : rates.otherLength();
  }

  /** P(seen) of a maker that is not known to have dated its knives so. */
  public double unexpected(CodeRates rates) {
    return tellsOfNone() ? 1 - rates.notOnFile() : rates.notOnFile() * byChance(rates);
  }

  /** P(seen) when nothing is known of how a maker dated its knives. */
  public double byChance(CodeRates rates) {
    double formed = form == null ? 1 : rates.formByChance();
    if (sign.isCounted()) {
      return formed / MOST_COUNTED;
    }
    double told = written.chars().filter(c -> c != '_' && c != '?').count();
    return formed * (sign == Sign.PLACEMENT ? 1.0 / PLACES.size() : Math.pow(1.0 / kinds(), told));
  }

  private int kinds() {
    return switch (sign) {
      case LETTER -> LETTERS;
      case LETTERS_AND_FIGURES -> LETTERS + FIGURES;
      default -> FIGURES;
    };
  }
}
