package snikra.core.provenance;

import java.text.Normalizer;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * Letters cut into a knife, as they are read: initials, or words that may hold a name. One letter
 * alone goes with too many to say anything.
 */
public record CutLetters(String written) {
  /** More in one word are a name or a word. */
  private static final int MOST_INITIALS = 4;

  /** As a jeweller cuts three: the family name in the middle. */
  private static final int MONOGRAM = 3;

  private static final int SHORTEST_NAME = 3;

  /** Whether they are initials, so that whoever they stand for must have had the knife. */
  public boolean areInitials() {
    return initials().length() > 1;
  }

  private String initials() {
    List<String> words = words(written);
    boolean isOneByOne = !words.isEmpty() && words.stream().allMatch(w -> w.length() == 1);
    boolean isTogether =
        words.size() == 1
            && words.get(0).length() <= MOST_INITIALS
            && written.equals(written.toUpperCase(Locale.ROOT));
    String together = String.join("", words);
    return (isOneByOne || isTogether) && together.length() <= MOST_INITIALS ? together : "";
  }

  /**
   * Whether they go with this name: first names may be left out, the family name not; of words that
   * are cut the family name is one.
   */
  public boolean goWith(String holder) {
    List<String> names = words(holder);
    if (names.isEmpty()) {
      return false;
    }
    String family = names.get(names.size() - 1);
    StringBuilder of = new StringBuilder();
    names.forEach(n -> of.append(n.charAt(0)));
    boolean isNamed = family.length() >= SHORTEST_NAME && words(written).contains(family);
    return isNamed || (areInitials() && areOf(of.toString()));
  }

  private boolean areOf(String of) {
    return isWithin(initials(), of) || isWithin(unbraided(initials()), of);
  }

  private static String unbraided(String initials) {
    return initials.length() == MONOGRAM
        ? "" + initials.charAt(0) + initials.charAt(2) + initials.charAt(1)
        : initials;
  }

  // In order, and the last of one the last of the other.
  private static boolean isWithin(String some, String all) {
    int next = 0;
    for (int i = 0; i < all.length() && next < some.length(); i++) {
      next += all.charAt(i) == some.charAt(next) ? 1 : 0;
    }
    return next == some.length() && some.charAt(some.length() - 1) == all.charAt(all.length() - 1);
  }

  private static List<String> words(String text) {
    String folded =
        Normalizer.normalize(text.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
            .replaceAll("[\\p{M}'\u2019]", "");
    return Arrays.stream(folded.split("[^\\p{L}]+")).filter(w -> !w.isEmpty()).toList();
  }
}
