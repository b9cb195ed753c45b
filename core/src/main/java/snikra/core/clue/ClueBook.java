package snikra.core.clue;

import java.util.List;
import java.util.Optional;

/** The general clues: what is true of any maker. */
public record ClueBook(List<Part> parts, List<Feature> features, List<Caution> cautions) {

  /** A book without cautions. */
  public ClueBook(List<Part> parts, List<Feature> features) {
    this(parts, features, List.of());
  }

  public ClueBook {
    parts = List.copyOf(parts);
    features = List.copyOf(features);
    cautions = List.copyOf(cautions);
    for (Feature f : features) {
      if (parts.stream().noneMatch(p -> p.id().equals(f.part()))) {
        throw new IllegalArgumentException(
            "part of feature " + f.id() + " must be a part of the book; found " + f.part());
      }
      if (f.alike() != null && f.alike().ofMain() != null) {
        mustAnswer(features, f.alike().ofMain(), f);
      }
    }
  }

  // What goes from the main blade to the next must be an answer there.
  private static void mustAnswer(List<Feature> features, String main, Feature other) {
    boolean answers =
        features.stream()
            .filter(f -> f.id().equals(main) && f.asked() == Feature.Asked.ONCE)
            .anyMatch(f -> other.alike().answers().stream().allMatch(a -> f.clue(a).isPresent()));
    if (!answers) {
      throw new IllegalArgumentException(
          "ofMain of feature "
              + other.id()
              + " must be a feature asked once with the answers "
              + other.alike().answers()
              + "; found "
              + main);
    }
  }

  /** The feature with this id. */
  public Optional<Feature> feature(String id) {
    return features.stream().filter(f -> f.id().equals(id)).findFirst();
  }

  /** The part with this id. */
  public Part part(String id) {
    return parts.stream()
        .filter(p -> p.id().equals(id))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("part must be in the book; found " + id));
  }
}
