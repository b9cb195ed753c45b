package snikra.core.reference;

import java.util.Locale;
import java.util.stream.Stream;
import snikra.core.clue.ClueBook;
import snikra.core.wording.Wording;

/**
 * Something about a maker that goes with years, as it stands on its time line.
 *
 * @param what it is, in words
 * @param from first year
 * @param to last year
 * @param give years by which either end may be out
 */
public record YearBar(Kind kind, String what, int from, int to, int give) {

  /** What it tells of. */
  public enum Kind {
    OWNER,
    CONTRACT,
    MARK,
    FITTING,
    MODEL;

    @Override
    public String toString() {
      return name().toLowerCase(Locale.ROOT);
    }
  }

  /**
   * All that goes with years of a maker: whose it was, who made for it, marks, fittings, models.
   */
  public static Stream<YearBar> of(Maker maker, ClueBook clues) {
    History history = maker.history();
    return Stream.of(
            history.owners().stream()
                .map(o -> new YearBar(Kind.OWNER, owner(o.name()), o.from(), o.to(), 0)),
            history.contracts().stream()
                .map(c -> new YearBar(Kind.CONTRACT, contract(c.by()), c.from(), c.to(), 0)),
            maker.marks().stream().map(YearBar::of),
            history.allFittings().stream()
                .map(
                    f ->
                        new YearBar(
                            Kind.FITTING,
                            fitting(f.feature(), f.value(), clues),
                            f.from(),
                            f.to(),
                            f.give())),
            history.models().stream()
                .map(
                    m ->
                        new YearBar(Kind.MODEL, model(m.number(), m.label()), m.from(), m.to(), 0)))
        .flatMap(bars -> bars);
  }

  /** A mark. */
  public static YearBar of(MarkVariant mark) {
    return new YearBar(
        Kind.MARK, String.join(" ", mark.lines()), mark.from(), mark.to(), mark.give());
  }

  /** A fitting in words. */
  public static String fitting(String feature, String value, ClueBook clues) {
    return clues
        .feature(feature)
        .map(
            f ->
                f.label()
                    + ": "
                    + f.clue(value).map(c -> Wording.lowerFirst(c.label())).orElse(value))
        .orElse(feature + ": " + value);
  }

  /** A model in words. */
  public static String model(String number, String label) {
    return "No. " + number + ", " + label;
  }

  /** Whose it was, in words. */
  public static String owner(String name) {
    return "Owner: " + name;
  }

  /** Who made its knives, in words. */
  public static String contract(String by) {
    return "Made by " + by;
  }
}
