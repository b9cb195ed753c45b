package snikra.core.condition;

import java.util.List;
import java.util.Optional;

/**
 * Texts on a knife that are no mark of its maker, and what they bring.
 *
 * @param feature of the clue book under which one says what was seen
 * @param texts answers of it that are paid for; a knife with any other is one without
 */
public record TextBook(String feature, List<Text> texts) {

  /**
   * A text.
   *
   * @param worth what it brings, relative to the same knife without
   */
  public record Text(String id, double worth, String why) {}

  public TextBook {
    texts = List.copyOf(texts);
  }

  /** The text with this id. */
  public Optional<Text> text(String id) {
    return texts.stream().filter(t -> t.id().equals(id)).findFirst();
  }
}
