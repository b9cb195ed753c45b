package snikra.core.mark;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import snikra.core.clue.Clue;
import snikra.core.clue.ClueBook;
import snikra.core.clue.Feature;
import snikra.core.fixture.Shelf;
import snikra.core.judgement.Judgement;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkShares;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Layout;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Sureness;
import snikra.core.specimen.Technique;

/** What the reader says of marks, against every alignment summed up the plain way. */
class MarkOracleTest {
  private static final Judgement RATES = Shelf.judgement();
  private static final List<String> WORDS = List.of("GERMANY", "INOX");
  private static final ReferenceShelf SHELF = shelf();
  private static final Channel CHANNEL =
      new Channel(SHELF.lettering(), LetterRates.of(SHELF.judgement()));

  private static MarkVariant mark(
      String id,
      List<String> lines,
      List<String> pile,
      List<String> etch,
      Layout layout,
      Technique technique,
      boolean everyBlade,
      double trust,
      Map<String, String> cut) {
    return new MarkVariant(
        id, lines, pile, etch, layout, technique, everyBlade, 1890, 1912, 1, "", "", trust, cut);
  }

  private static Maker maker(String id, double weight, MarkVariant... marks) {
    return new Maker(
        id, id, "W", "Windover", weight, List.of(), null, List.of(), List.of(marks), "");
  }

  private static Feature borne(String id, String... words) {
    List<Clue> clues = new ArrayList<>();
    for (String word : words) {
      clues.add(
          new Clue(
              word, word, "", 1, null, null, false, List.of(), Map.of(), List.of(word), "", ""));
    }
    return new Feature(id, "marks", "blade", "Cut of " + id, true, true, clues);
  }

  private static ReferenceShelf shelf() {
    ReferenceShelf plain = Shelf.invented();
    List<Feature> features = new ArrayList<>(plain.clues().features());
    features.add(borne("country", "GERMANY"));
    features.add(borne("steel", "INOX"));
    return new ReferenceShelf(
            new ClueBook(plain.clues().parts(), withFoot(features)),
            plain.patterns(),
            plain.condition(),
            plain.care(),
            plain.prices(),
            plain.measures(),
            List.of(),
            plain.regions(),
            plain.unlistedWeight(),
            plain.lettering(),
            List.of(),
            List.of(),
            List.of(),
            plain.judgement())
        .withMakers(
            List.of(
                maker(
                    "thrale",
                    1,
                    mark(
                        "t-arched",
                        List.of("THRALE", "WINDOVER"),
                        List.of("GERMANY"),
                        List.of(),
                        Layout.ARCHED,
                        Technique.STRUCK,
                        true,
                        0.9,
                        Map.of("foot", "serif")),
                    mark(
                        "t-plain",
                        List.of("THRALE"),
                        List.of(),
                        List.of("THRALE", "BEST"),
                        Layout.STRAIGHT,
                        Technique.STRUCK,
                        false,
                        0.6,
                        Map.of("foot", "plain"))),
                maker(
                    "zwick",
                    3,
                    mark(
                        "z",
                        List.of("ZWICKEL", "DAX", "INOX"),
                        List.of(),
                        List.of(),
                        Layout.STRAIGHT,
                        Technique.ETCHED,
                        false,
                        0.99,
                        Map.of())),
                maker(
                    "orbel",
                    0.5,
                    mark(
                        "o",
                        List.of("ORBEL", "DAX"),
                        List.of("WINDOVER"),
                        List.of("ORBEL"),
                        Layout.STRAIGHT,
                        Technique.STRUCK,
                        true,
                        0.7,
                        Map.of()))));
  }

  // A look at how letters are cut needs answers like any other.
  private static List<Feature> withFoot(List<Feature> features) {
    List<Feature> out = new ArrayList<>(features);
    out.removeIf(f -> f.id().equals("foot"));
    out.add(
        new Feature(
            "foot",
            "marks",
            "blade",
            "Foot of the letters",
            true,
            false,
            List.of(Shelf.plain("serif", 1), Shelf.plain("plain", 1))));
    return out;
  }

  private static double rate(String id) {
    return RATES.of("mark." + id);
  }

  @Test
  void everyLikelihoodIsTheSumOverEveryAlignment() {
    MarkReader reader = new MarkReader(SHELF);
    Random chance = new Random(1890);
    int withSmall = 0;
    for (int i = 0; i < 300; i++) {
      List<SeenFace> faces = faces(chance);
      Map<String, Seen<String>> seen = cut(chance);
      MarkEvidence told = reader.read(faces, seen);
      Oracle oracle = new Oracle(faces, seen);
      for (int v = 0; v < oracle.log.length; v++) {
        assertThat(told.logLikelihood()[v])
            .as("%s of %s", oracle.marks.get(v).id(), faces)
            .isCloseTo(oracle.log[v], within(1e-9));
      }
      assertThat(told.logUnlisted()).isCloseTo(oracle.unlisted, within(1e-9));
      assertThat(told.unlisted()).isCloseTo(oracle.shareUnlisted(), within(1e-9));
      for (MarkCandidate c : told.candidates()) {
        assertThat(c.probability()).isCloseTo(oracle.share(c.variant().id()), within(1e-9));
      }
      withSmall += told.seconds() == null ? 0 : 1;
    }
    assertThat(withSmall).isBetween(50, 250);
  }

  private static List<SeenFace> faces(Random chance) {
    List<SeenFace> faces = new ArrayList<>();
    for (int blade = 1; blade <= 2; blade++) {
      for (Face face : Face.values()) {
        if (chance.nextInt(3) > 0) {
          continue;
        }
        FaceState state = List.of(FaceState.values()).get(chance.nextInt(3));
        boolean isRead = state == FaceState.READ;
        faces.add(
            new SeenFace(
                blade,
                face,
                state,
                isRead && chance.nextBoolean()
                    ? List.of(Technique.values()).get(chance.nextInt(2))
                    : null,
                isRead && chance.nextBoolean()
                    ? List.of(Layout.values()).get(chance.nextInt(2))
                    : null,
                isRead ? lines(chance) : List.of(),
                null));
      }
    }
    return faces;
  }

  private static List<String> lines(Random chance) {
    List<String> all =
        new ArrayList<>(
            List.of(
                "THRALE",
                "WINDOVER",
                "GERMANY",
                "ZWICKEL",
                "DAX",
                "INOX",
                "ORBEL",
                "BEST",
                "QUOIN"));
    Collections.shuffle(all, chance);
    List<String> lines = new ArrayList<>();
    for (String line : all.subList(0, 1 + chance.nextInt(3))) {
      StringBuilder read = new StringBuilder();
      for (int i = 0; i < line.length(); i++) {
        char c = line.charAt(i);
        int how = chance.nextInt(12);
        read.append(how == 0 ? "_" : how == 1 ? c + "?" : how == 2 ? "M" : "" + c);
      }
      lines.add(chance.nextInt(6) == 0 ? read.substring(0, 2) + "*" : read.toString());
    }
    return lines;
  }

  private static Map<String, Seen<String>> cut(Random chance) {
    Sureness how = List.of(Sureness.values()).get(chance.nextInt(4));
    return switch (chance.nextInt(3)) {
      case 0 -> Map.of();
      case 1 ->
          Map.of(
              "foot",
              how == Sureness.CANNOT_TELL ? new Seen<>(null, how) : new Seen<>("serif", how));
      default -> Map.of("foot", Seen.sure("plain"), "bail", Seen.sure("wire"));
    };
  }

  /** The same by plain sums. */
  private static final class Oracle {
    final List<MarkVariant> marks = new ArrayList<>();
    final List<Maker> makers = new ArrayList<>();
    final List<Double> weights = new ArrayList<>();
    final double[] log;
    double unlisted;

    Oracle(List<SeenFace> faces, Map<String, Seen<String>> seen) {
      for (Maker maker : SHELF.makers()) {
        double[] shares = MarkShares.of(maker, SHELF.region(maker.region()), 0.01);
        for (int i = 0; i < shares.length; i++) {
          marks.add(maker.marks().get(i));
          makers.add(maker);
          weights.add(maker.weight() * shares[i]);
        }
      }
      log = new double[marks.size()];
      double[] own = new double[marks.size()];
      double[] other = new double[marks.size()];
      double chanceOfSmall = 0;
      boolean anyRead = false;
      boolean anySmall = false;
      for (SeenFace face : faces) {
        if (face.state() == FaceState.WORN) {
          continue;
        }
        anyRead |= face.state() == FaceState.READ;
        boolean isSmall = face.blade() > 1 && face.state() == FaceState.READ;
        anySmall |= isSmall;
        for (int v = 0; v < log.length; v++) {
          (isSmall ? own : log)[v] += Math.log(given(face, marks.get(v)));
          if (isSmall) {
            List<String> onTang = marks.get(v).lines();
            other[v] +=
                isAny(face, onTang)
                    ? Math.log(lines(face.lines(), onTang))
                    : Double.NEGATIVE_INFINITY;
          }
        }
        double p = Math.log(byChance(face));
        unlisted += isSmall ? 0 : p;
        chanceOfSmall += isSmall ? p : 0;
      }
      if (anyRead) {
        letterform(seen.get("foot"));
      }
      if (anySmall) {
        small(own, other, chanceOfSmall);
      }
    }

    private void letterform(Seen<String> seen) {
      if (seen == null || seen.value() == null) {
        return;
      }
      double q = LookReliability.of(RATES).of(seen.sureness());
      unlisted += Math.log(0.5);
      for (int v = 0; v < log.length; v++) {
        String onFile = marks.get(v).letterform().get("foot");
        double agrees = rate("letterform-agrees");
        double p = onFile == null ? 0.5 : onFile.equals(seen.value()) ? agrees : 1 - agrees;
        log[v] += Math.log(q * p + (1 - q) * 0.5);
      }
    }

    private void small(double[] own, double[] other, double chance) {
      double often = RATES.of("hand.own-mark-on-small-blade");
      double all = weights.stream().mapToDouble(w -> w).sum();
      double most = 0;
      for (int v = 0; v < log.length; v++) {
        double others = 0;
        for (int u = 0; u < log.length; u++) {
          if (!makers.get(u).id().equals(makers.get(v).id())) {
            others += weights.get(u) / all * Math.exp(other[u]);
          }
        }
        most = Math.max(most, others);
        log[v] += Math.log((1 - often) * Math.exp(own[v]) + often * others);
      }
      unlisted += Math.log((1 - often) * Math.exp(chance) + often * most);
    }

    double shareUnlisted() {
      return unlistedWeight() / (unlistedWeight() + listed());
    }

    double share(String id) {
      for (int v = 0; v < log.length; v++) {
        if (marks.get(v).id().equals(id)) {
          return weights.get(v) * Math.exp(log[v]) / (unlistedWeight() + listed());
        }
      }
      throw new IllegalArgumentException(id);
    }

    private double listed() {
      double sum = 0;
      for (int v = 0; v < log.length; v++) {
        sum += weights.get(v) * Math.exp(log[v]);
      }
      return sum;
    }

    // A listing that is not so stands for a maker not on file under the same letters.
    private double unlistedWeight() {
      double sum = SHELF.unlistedWeight() * Math.exp(unlisted);
      for (int v = 0; v < log.length; v++) {
        double trust = marks.get(v).trust();
        sum += weights.get(v) * Math.exp(log[v]) * (1 - trust) / trust;
      }
      return sum;
    }
  }

  private static double given(SeenFace face, MarkVariant mark) {
    List<String> on =
        switch (face.face()) {
          case MARK -> mark.lines();
          case PILE -> mark.pile();
          case BLADE -> mark.etch();
        };
    boolean isMarked = (face.blade() == 1 || mark.everyBlade()) && !on.isEmpty();
    if (face.state() == FaceState.BARE) {
      return isMarked ? rate("bare-though-marked") : 1 - rate("marked-though-bare");
    }
    if (isMarked) {
      double manner = 1 - rate("bare-though-marked");
      if (face.face() == Face.MARK && face.technique() != null) {
        manner *=
            face.technique() == mark.technique()
                ? rate("technique-agrees")
                : rate("technique-differs");
      }
      if (face.face() == Face.MARK && face.layout() != null) {
        manner *= face.layout() == mark.layout() ? rate("layout-agrees") : rate("layout-differs");
      }
      return manner * lines(face.lines(), on);
    }
    double text = 1;
    for (String line : face.lines()) {
      text *= byChance(line);
    }
    double unusual = isAny(face, mark.lines()) ? lines(face.lines(), mark.lines()) : 0;
    return rate("marked-though-bare")
        * ((1 - rate("unusual-place")) * text + rate("unusual-place") * unusual);
  }

  private static double byChance(SeenFace face) {
    double bare = face.face() == Face.BLADE ? rate("unlisted-not-etched") : rate("unlisted-bare");
    if (face.state() == FaceState.BARE) {
      return bare;
    }
    double p = 1 - bare;
    for (String line : face.lines()) {
      p *= byChance(line);
    }
    return p;
  }

  private static double byChance(String line) {
    double p = (1 - rate("common-word")) * CHANNEL.read(line).chance();
    for (String word : WORDS) {
      p += rate("common-word") * letters(line, word);
    }
    return p;
  }

  private static boolean isAny(SeenFace face, List<String> struck) {
    return face.lines().stream().anyMatch(l -> struck.stream().anyMatch(s -> letters(l, s) > 0));
  }

  // In order, or with a line and the next exchanged where they stand the other way round.
  private static double lines(List<String> read, List<String> struck) {
    double inOrder = ordered(read, struck, read.size(), struck.size());
    double other = 0;
    for (int i = 0; i + 1 < read.size(); i++) {
      if (isExchanged(read.get(i), read.get(i + 1), struck)) {
        List<String> swapped = new ArrayList<>(read);
        Collections.swap(swapped, i, i + 1);
        other += ordered(swapped, struck, read.size(), struck.size()) / (read.size() - 1);
      }
    }
    double out = rate("out-of-order");
    return other > 0 ? (1 - out) * inOrder + out * other : inOrder;
  }

  private static boolean isExchanged(String line, String next, List<String> struck) {
    for (int a = 0; a < struck.size(); a++) {
      for (int b = a + 1; b < struck.size(); b++) {
        if (letters(next, struck.get(a)) > 0 && letters(line, struck.get(b)) > 0) {
          return true;
        }
      }
    }
    return false;
  }

  private static double ordered(List<String> read, List<String> struck, int i, int j) {
    if (i == 0 && j == 0) {
      return 1;
    }
    double sum = 0;
    if (i > 0 && j > 0) {
      sum += ordered(read, struck, i - 1, j - 1) * letters(read.get(i - 1), struck.get(j - 1));
    }
    if (i > 0) {
      double notOnFile = rate("line-not-on-file") * byChance(read.get(i - 1));
      sum += ordered(read, struck, i - 1, j) * notOnFile;
    }
    if (j > 0) {
      sum += ordered(read, struck, i, j - 1) * rate("line-worn-away");
    }
    return sum;
  }

  private static final Map<String, Double> KNOWN = new HashMap<>();

  // Left out where it is next to nothing against chance, as the reader does.
  private static double letters(String text, String struck) {
    return KNOWN.computeIfAbsent(
        text + " " + struck,
        key -> {
          Channel.Read read = CHANNEL.read(text);
          double p = letters(read, Channel.indices(struck), read.length(), struck.length());
          return p < Channel.NEGLIGIBLE * read.chance() ? 0 : p;
        });
  }

  private static double letters(Channel.Read read, int[] struck, int i, int j) {
    if (i == 0) {
      return Math.pow(read.overlooked(), j);
    }
    boolean isStretch = read.isStretch()[i - 1];
    double same = letters(read, struck, i - 1, j);
    if (j == 0) {
      return isStretch ? same : same * read.imagined()[i];
    }
    double longer = letters(read, struck, i, j - 1);
    if (isStretch) {
      return Math.max(longer, same);
    }
    return longer * read.overlooked()
        + letters(read, struck, i - 1, j - 1) * read.emission()[i][struck[j - 1]]
        + same * read.imagined()[i];
  }
}
