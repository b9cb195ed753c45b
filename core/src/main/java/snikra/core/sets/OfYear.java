package snikra.core.sets;

import java.util.Comparator;
import java.util.List;
import snikra.core.reference.History.Model;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;

/** What a knife of one year may bear: a year of birth, or of a hundred years ago. */
public record OfYear(int year, List<Bearing> makers) {

  /**
   * A maker at work in that year.
   *
   * @param marks in use then, those used shortest first: they tell the year best
   * @param codes of that year
   * @param models made then
   */
  public record Bearing(
      String maker,
      String name,
      List<MarkThen> marks,
      List<CodeThen> codes,
      List<ModelThen> models) {}

  /**
   * A mark.
   *
   * @param within whether the year is within its use, and not only within what that may be out by
   */
  public record MarkThen(String mark, List<String> lines, int from, int to, boolean within) {}

  /** How a way of dating struck that year. */
  public record CodeThen(String scheme, List<String> codes) {}

  /** A model in its run. */
  public record ModelThen(String number, String label) {}

  /** Makers on file who may have struck a mark in this year. */
  public static OfYear of(ReferenceShelf shelf, int year) {
    return new OfYear(
        year,
        shelf.makers().stream()
            .map(m -> bearing(m, year))
            .filter(b -> !b.marks().isEmpty())
            .toList());
  }

  private static Bearing bearing(Maker maker, int year) {
    return new Bearing(
        maker.id(),
        maker.name(),
        maker.marks().stream()
            .filter(m -> m.from() - m.give() <= year && year <= m.to() + m.give())
            .sorted(Comparator.comparingInt(m -> m.to() - m.from()))
            .map(m -> then(m, year))
            .toList(),
        maker.codes().stream()
            .filter(c -> c.from() <= year && year <= c.to())
            .map(c -> new CodeThen(c.label(), c.codes(year)))
            .filter(c -> !c.codes().isEmpty())
            .toList(),
        maker.history().models().stream()
            .filter(m -> m.from() <= year && year <= m.to())
            .sorted(Comparator.comparing(Model::number))
            .map(m -> new ModelThen(m.number(), m.label()))
            .toList());
  }

  private static MarkThen then(MarkVariant mark, int year) {
    boolean isSure = mark.from() <= year && year <= mark.to();
    return new MarkThen(mark.id(), mark.lines(), mark.from(), mark.to(), isSure);
  }
}
