package snikra.server.photos;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;

/** What a photograph shows. */
public enum PhotoRole {
  MARK_SIDE("mark side"),
  PILE_SIDE("pile side"),
  TANG("a tang"),
  SHIELD("the shield"),
  BACK("the back"),
  BOX("box or papers"),
  OTHER("something else");

  private final String label;

  PhotoRole(String label) {
    this.label = label;
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
