package snikra.core.mark;

import java.util.List;
import java.util.random.RandomGenerator;
import snikra.core.reference.ReferenceShelf;

/** Draws what is read of a mark, by the same channel by which readings are judged. */
public final class Wear {
  private static final int FEWEST = 5;
  private static final int MOST = 10;

  private final Channel channel;

  /** Wear as letters are confused on this shelf. */
  public Wear(ReferenceShelf shelf) {
    channel = new Channel(shelf.lettering(), LetterRates.of(shelf.judgement()));
  }

  /** Lines as read when this share of their letters is lost and the others look sure. */
  public List<String> read(List<String> lines, double lost, RandomGenerator random) {
    return lines.stream().map(line -> read(line, lost, random)).toList();
  }

  private String read(String line, double lost, RandomGenerator random) {
    StringBuilder text = new StringBuilder();
    for (char struck : Glyph.letters(line)) {
      text.append(random.nextDouble() < lost ? '_' : channel.readAs(struck, random));
    }
    return text.toString();
  }

  /** A line of a maker of whom nothing is known. */
  public String anyLine(RandomGenerator random) {
    StringBuilder text = new StringBuilder();
    int letters = random.nextInt(FEWEST, MOST + 1);
    for (int i = 0; i < letters; i++) {
      text.append(channel.anyLetter(random));
    }
    return text.toString();
  }
}
