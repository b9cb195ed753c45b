package snikra.server.photos;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;

/** What a photograph shows. */
public enum PhotoRole {
  MARK_SIDE("mark side", "mark side|markside|front|obverse"),
  PILE_SIDE("pile side", "pile side|pileside|pile|reverse|rear"),
  TANG("a tang", "tangs?|tang stamps?|stamps?"),
  SHIELD("the shield", "shield"),
  BACK("the back", "back|spine|springs?"),
  BOX("box or papers", "box|papers?|label|wrapper"),
  PAPER(
      "a paper",
      "letters?|receipts?|bills?|invoices?|certificates?|scans?|documents?|catalogue page"),
  OTHER("something else", "other|detail");

  private final String label;
  private final Pattern words;

  PhotoRole(String label, String words) {
    this.label = label;
    this.words = Pattern.compile("(?<![\\p{L}])(?:" + words + ")(?![\\p{L}])");
  }

  /** How it is said in small letters in the name of a file. */
  Pattern words() {
    return words;
  }

  /** What a collector calls it, after "shows". */
  public String label() {
    return label;
  }

  /** What a photograph may show, and what that is called. */
  public record RoleChoice(PhotoRole id, String label) {}

  /** All there are, in the order in which they are offered. */
  public static List<RoleChoice> choices() {
    return Arrays.stream(values()).map(r -> new RoleChoice(r, r.label)).toList();
  }

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * The role of this name.
   *
   * @throws InvalidInput when there is none
   */
  public static PhotoRole of(String name) {
    return Arrays.stream(values())
        .filter(r -> r.toString().equals(name))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidInput(
                    List.of(
                        new Problem(
                            "role",
                            name.isEmpty() ? "nothing" : name,
                            "must be one of "
                                + Arrays.stream(values())
                                    .map(PhotoRole::toString)
                                    .collect(Collectors.joining(", "))))));
  }
}
