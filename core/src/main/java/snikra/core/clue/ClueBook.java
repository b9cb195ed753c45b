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
