package snikra.server.photos;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;

/** What a photograph shows. */
public enum PhotoRole {
  MARK_SIDE,
  PILE_SIDE,
  TANG,
  SHIELD,
  BACK,
  BOX,
  OTHER;

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /**
   * The role of this name.
   *
   * @throws InvalidInput when there is none
   */
  static PhotoRole of(String name) {
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
