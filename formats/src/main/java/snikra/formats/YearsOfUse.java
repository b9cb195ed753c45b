package snikra.formats;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.WrittenDate;
import snikra.core.reference.ReferenceShelf;
import snikra.core.wording.NotAccepted;

/**
 * The years in which something was used, as they stand in a row of a table.
 *
 * @param isDoubtful whether the row says that they may be out
 */
record YearsOfUse(int from, int to, boolean isDoubtful) {
  private static final int MOST_GIVE = 100;
  private static final Pattern SHORT_END = Pattern.compile("(\\D*)(\\d{2})(\\d{2})-(\\d{2})");
  private static final Pattern DOUBT = Pattern.compile("[?~%]");

  /** Both years in one cell, or each in its own; null where they cannot be read, which is told. */
  static @Nullable YearsOfUse of(Cells cells, int thisYear) {
    EdtfDate whole = cells.read("years", YearsOfUse::years);
    EdtfDate first = cells.read("from", WrittenDate::read);
    EdtfDate last = cells.read("to", WrittenDate::read);
    EdtfDate begins = first == null ? whole : first;
    EdtfDate ends = last == null ? whole : last;
    if (begins == null || ends == null) {
      if (cells.problems().isEmpty()) {
        cells.refuse(cells.has("to") && begins != null ? "to" : column(cells), Accepted.GIVEN);
      }
      return null;
    }
    if (begins.isOpenBefore()) {
      cells.refuse(
          first == null ? "years" : "from", "must say from when it was used, and not only until");
      return null;
    }
    boolean isDoubtful = isDoubtful(begins) || isDoubtful(ends);
    return new YearsOfUse(plain(begins).earliestYear(), plain(ends).latestBy(thisYear), isDoubtful);
  }

  private static String column(Cells cells) {
    return cells.has("from") ? "from" : "years";
  }

  // Nothing was in use for a month: 1907-12 is five years, and not December.
  static EdtfDate years(String written) {
    Matcher m = SHORT_END.matcher(written.strip());
    if (!m.matches() || m.group(4).compareTo(m.group(3)) <= 0) {
      return WrittenDate.read(written);
    }
    // Whatever stands before it, such as "about", goes for both.
    String both = m.group(2) + m.group(3) + "-" + m.group(2) + m.group(4);
    return WrittenDate.read(m.group(1) + both);
  }

  private static boolean isDoubtful(EdtfDate date) {
    return DOUBT.matcher(date.written()).find() || date.written().contains("X");
  }

  // The years that are named: how far they may be out stands beside them.
  private static EdtfDate plain(EdtfDate date) {
    return EdtfDate.parse(DOUBT.matcher(date.written()).replaceAll(""));
  }

  /**
   * By how many years they may be out, as its own column says or as is usual.
   *
   * @param use the years; null where they could not be read
   */
  static int give(Cells cells, @Nullable YearsOfUse use, ReferenceShelf shelf) {
    Integer said = cells.read("give", YearsOfUse::give);
    String usual = use != null && !use.isDoubtful ? "filing.give-exact" : "filing.give";
    return said == null ? (int) Math.round(shelf.judgement().of(usual)) : said;
  }

  private static int give(String written) {
    try {
      int years = Integer.parseInt(written.replaceAll("[^0-9]", ""));
      if (years <= MOST_GIVE) {
        return years;
      }
    } catch (NumberFormatException e) {
      // Told below, as what is out of range is.
    }
    throw new NotAccepted("must be years from 0 to " + MOST_GIVE, written);
  }
}
