package snikra.core.search;

import java.util.List;
import java.util.Locale;

/** By what knives of a collection are told apart, in the order they are shown. */
public enum Facet {
  FAMILY("Family", "family"),
  PATTERN("Pattern", "pattern"),
  MAKER("Maker", "maker|made by"),
  COUNTRY("Country", "country"),
  DECADE("Likeliest decade", "decade"),
  HANDLE("Handle", "handle|covers|scales"),
  BLADES("Blades", "blades"),
  STATE("All of a piece", "state"),
  GRADE("Grade", "grade|condition"),
  BOX("Box and papers", "box"),
  LIES("Where it lies", "lies|kept in|kept"),
  TAG("Tag", "tag|tagged"),
  PLACE("Where it was", "place|from"),
  HOLDER("Whose it was", "holder|owner"),
  OPEN("Still open", "open");

  private final String label;
  private final String words;

  Facet(String label, String words) {
    this.label = label;
    this.words = words;
  }

  /** As it is headed. */
  public String label() {
    return label;
  }

  /** By what it is asked for in a search. */
  public List<String> words() {
    return List.of(words.split("[|]", -1));
  }

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT);
  }
}
