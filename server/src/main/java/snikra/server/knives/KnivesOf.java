package snikra.server.knives;

import java.util.List;
import java.util.stream.Stream;
import snikra.core.examination.Problem;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;

/** The knives of one's own that are held to be of a maker. */
class KnivesOf {
  private final Catalogue catalogue;
  private final KnifeService knives;

  KnivesOf(Catalogue catalogue, KnifeService knives) {
    this.catalogue = catalogue;
    this.knives = knives;
  }

  /** A knife by its number in the tray. */
  record OfMaker(int number, String id, Specimen specimen) {}

  /** All of them, in the order of the tray, each read as it is asked for. */
  Stream<OfMaker> maker(Maker of) {
    return entries(of).map(e -> new OfMaker(e.number(), e.id(), knives.get(e.id()).specimen()));
  }

  /** How many they are; none of them is read. */
  int count(Maker of) {
    return (int) entries(of).count();
  }

  private Stream<TrayEntry> entries(Maker of) {
    String name = of.name();
    return catalogue.entries(FoundBy.of("", new String[] {"maker:" + name})).stream()
        .filter(e -> e.summary() != null && name.equals(e.summary().maker()));
  }

  /**
   * A maker on file.
   *
   * @throws InvalidInput where there is none
   */
  static Maker onFile(String maker, ReferenceShelf shelf) {
    return shelf
        .maker(maker)
        .orElseThrow(
            () ->
                new InvalidInput(
                    List.of(new Problem("maker", maker, "must be the id of a maker on file"))));
  }
}
