package snikra.benchmarks;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import snikra.core.clue.Feature;
import snikra.core.measure.Length;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.End;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Technique;
import snikra.formats.ShippedShelf;

/**
 * Shelves of made-up makers, the same each time, and a knife with something to say at every
 * station.
 */
final class SyntheticShelf {
  private static final int MARKS = 10;
  private static final int CLUES = 20;
  private static final String[] REGIONS = {"US", "UK", "DE", "FR"};

  private SyntheticShelf() {}

  static ReferenceShelf of(int makers) {
    ReferenceShelf shipped = ShippedShelf.load();
    if (makers == 0) {
      return shipped;
    }
    Random random = new Random(1917);
    List<Maker> made = new ArrayList<>();
    for (int m = 0; m < makers; m++) {
      made.add(maker(m, random));
    }
    return shipped.withMakers(made);
  }

  private static Maker maker(int m, Random random) {
    List<MarkVariant> marks = new ArrayList<>();
    String name = word(random, 7 + m % 4);
    String town = word(random, 8);
    int year = 1850 + random.nextInt(60);
    for (int v = 0; v < MARKS; v++) {
      marks.add(
          new MarkVariant(
              "m" + m + "-" + v,
              v % 2 == 0 ? List.of(name, town) : List.of(name, "& " + word(random, 4), town),
              List.of(),
              v == 9 ? Technique.ETCHED : Technique.STRUCK,
              v < 5,
              year + 8 * v,
              year + 8 * v + 12,
              2,
              "",
              ""));
    }
    return new Maker(
        "m" + m, name, REGIONS[m % 4], town, 1, List.of(year + 40), null, List.of(), marks, "");
  }

  /** The same maker once more under another id, with marks of its own. */
  static Maker again(Maker maker, String prefix) {
    List<MarkVariant> marks = new ArrayList<>();
    for (MarkVariant m : maker.marks()) {
      marks.add(
          new MarkVariant(
              prefix + m.id(),
              m.lines(),
              m.pile(),
              m.technique(),
              m.everyBlade(),
              m.from(),
              m.to(),
              m.give(),
              m.note(),
              m.source()));
    }
    return new Maker(
        prefix + maker.id(),
        maker.name(),
        maker.region(),
        maker.place(),
        maker.weight(),
        maker.changes(),
        maker.numbers(),
        maker.codes(),
        marks,
        maker.history(),
        maker.note());
  }

  static String word(Random random, int length) {
    StringBuilder word = new StringBuilder();
    for (int i = 0; i < length; i++) {
      String from = i % 2 == 0 ? "BDFGKLMNPRSTVZ" : "AEIOU";
      word.append(from.charAt(random.nextInt(from.length())));
    }
    return word.toString();
  }

  static Specimen knife(ReferenceShelf shelf) {
    return knife(shelf, CLUES);
  }

  static Specimen knife(ReferenceShelf shelf, int looks) {
    Map<String, Seen<String>> seen = new LinkedHashMap<>();
    List<Feature> features = shelf.clues().features();
    for (Feature f : features.subList(0, Math.min(looks, features.size()))) {
      seen.put(f.id(), Seen.sure(f.clues().get(Math.min(1, f.clues().size() - 1)).id()));
    }
    List<String> struck = shelf.makers().get(0).marks().get(1).lines();
    List<String> worn = struck.stream().map(l -> l.substring(0, 2) + "_" + l.substring(3)).toList();
    return new Specimen(
        null,
        null,
        Seen.sure("serpentine"),
        Seen.sure("both-ends"),
        Length.parse("3 7/8 in"),
        Seen.sure(2),
        List.of(
            SeenBlade.sure("clip", End.A, Presses.ONE, null),
            SeenBlade.sure("sheepfoot", End.B, Presses.ONE, null),
            SeenBlade.sure("spey", End.B, Presses.ONE, null)),
        List.of(
            new SeenFace(1, Face.MARK, FaceState.READ, Technique.STRUCK, worn),
            new SeenFace(2, Face.MARK, FaceState.READ, Technique.STRUCK, worn)),
        "58/61",
        seen,
        Map.of("snap", Seen.sure("strong")),
        List.of(),
        List.of());
  }
}
