package snikra.core.dating;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.random.RandomGenerator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.clue.Part;
import snikra.core.mark.MarkReader;
import snikra.core.mark.Wear;
import snikra.core.pattern.Pattern;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Sureness;

/**
 * Draws made-up knives from the very model by which knives are dated, so that what the model says
 * of them can be held against what they are.
 */
public final class Sampler {
  private static final double MARK_IS_WORN = 0.35;
  private static final double UNLISTED_IS_BARE = 0.2;

  private final ReferenceShelf shelf;
  private final Desk desk;
  private final YearAxis axis;
  private final ClueTables tables;
  private final List<Struck> marks = new ArrayList<>();
  private final List<List<Hand>> hands;
  private final Priors priors;
  private final List<Feature> features;
  private final MarkReader reader;
  private final PatternEras eras;
  private final Wear wear;

  /** What is on file of one of whom nothing is. */
  private final double[] anyone;

  private static final int LISTED = 0;
  private static final int COPIED = 2;
  private static final int NOT_AS_LISTED = 3;

  private record Struck(int maker, int place, MarkVariant variant, MarkUse use, double weight) {}

  /** Whose it is, and where it was built. */
  private record Made(@Nullable Maker maker, @Nullable Hand hand, Region region) {}

  /**
   * How knives are looked at.
   *
   * @param looks share of the features that is looked at
   * @param lost share of the letters of a mark that is lost
   * @param slips share of the looks that are taken for sure though they are only likely
   */
  public record Care(double looks, double lost, double slips) {}

  /**
   * A knife as it is, and all that was seen of it.
   *
   * @param maker id on the shelf, null for one of whom nothing is known
   * @param part the part that is not of the knife's year, where one alone is not
   * @param happened all that befell it, one by one; nothing where it is as made
   * @param faces of its tangs that were looked at
   */
  public record Drawn(
      @Nullable String maker,
      String region,
      int year,
      State.Kind state,
      @Nullable String part,
      List<State> happened,
      List<SeenFace> faces,
      Evidence evidence) {
    /** What each look showed. */
    public Map<Feature, Clue> answers() {
      Map<Feature, Clue> all = new LinkedHashMap<>();
      evidence.observed().forEach(o -> all.put(o.feature(), o.clue()));
      return all;
    }
  }

  /** A sampler of knives up to this year. */
  public Sampler(ReferenceShelf shelf, int thisYear) {
    this.shelf = shelf;
    desk = new Desk(shelf, thisYear, null);
    axis = desk.axis;
    tables = desk.tables;
    for (int m = 0; m < desk.uses.size(); m++) {
      for (int place = 0; place < desk.uses.get(m).size(); place++) {
        MarkUse use = desk.uses.get(m).get(place);
        Maker maker = shelf.makers().get(m);
        double weight = maker.weight() * use.weight();
        marks.add(new Struck(m, place, maker.marks().get(place), use, weight));
      }
    }
    hands = desk.hands;
    priors = desk.priors;
    reader = new MarkReader(shelf);
    eras = new PatternEras(shelf.judgement());
    wear = new Wear(shelf);
    anyone = axis.map(year -> 1);
    features = shelf.clues().features().stream().filter(Sampler::isDrawn).toList();
  }

  // What is struck with the mark is drawn with the mark.
  private static boolean isDrawn(Feature feature) {
    return feature.complete()
        && !feature.markBorne()
        && feature.asked() != Feature.Asked.OTHER_BLADES
        && feature.onlyIf() == null;
  }

  /** How many knives bear the marks on file, in the measure of those who are not on it. */
  public double listed() {
    return marks.stream().mapToDouble(Struck::weight).sum();
  }

  /** Draws a knife. */
  public Drawn draw(RandomGenerator random, Care care) {
    double[] asListed = new double[marks.size()];
    double[] otherwise = new double[marks.size()];
    for (int v = 0; v < asListed.length; v++) {
      asListed[v] = marks.get(v).weight();
      double trust = marks.get(v).variant().trust();
      otherwise[v] = asListed[v] * (1 - trust) / trust;
    }
    double listed = Distribution.sum(asListed);
    double unlisted = shelf.unlistedWeight();
    double copied = priors.untrusted() * listed;
    double[] kinds = {listed, unlisted, copied, Distribution.sum(otherwise)};
    int kind = choose(random, kinds);
    if (kind == LISTED) {
      Struck mark = marks.get(choose(random, asListed));
      int i = choose(random, mark.use().share());
      int y = mark.use().first() + i;
      Hand hand = hand(random, hands.get(mark.maker()), mark.place(), y);
      Maker maker = shelf.makers().get(mark.maker());
      Region made = shelf.region(hand.regionFor(maker));
      Made by = new Made(maker, hand, made);
      return knife(random, care, by, y, mark.use().near()[i], mark.variant(), false);
    }
    int r = choose(random, shelf.regions().stream().mapToDouble(Region::share).toArray());
    int y = choose(random, tables.output(r));
    MarkVariant variant =
        switch (kind) {
          case COPIED -> marks.get(choose(random, asListed)).variant();
          case NOT_AS_LISTED -> marks.get(choose(random, otherwise)).variant();
          default -> null;
        };
    Made by = new Made(null, null, shelf.regions().get(r));
    return knife(random, care, by, y, 0, variant, kind == COPIED);
  }

  private static Hand hand(RandomGenerator random, List<Hand> hands, int mark, int y) {
    return hands.size() == 1
        ? hands.get(0)
        : hands.get(
            choose(random, hands.stream().mapToDouble(h -> h.share().get(mark)[y]).toArray()));
  }

  private Drawn knife(
      RandomGenerator random,
      Care care,
      Made by,
      int y,
      int near,
      @Nullable MarkVariant variant,
      boolean copied) {
    Maker maker = by.maker();
    Region home = by.region();
    boolean oldStyle = random.nextDouble() < priors.oldStyle() / (1 + priors.oldStyle());
    int style = oldStyle ? ClueTables.OLD_STYLE : ClueTables.AS_MADE;
    List<Part> parts = shelf.clues().parts();
    Map<String, State> odd = new TreeMap<>();
    int[] of = new int[parts.size()];
    for (int k = 0; k < of.length; k++) {
      of[k] = partOf(random, parts.get(k), y, near, odd);
    }
    List<Evidence.Observed> seen = new ArrayList<>();
    List<State> happened = new ArrayList<>();
    Map<Integer, List<Look>> looks = new TreeMap<>();
    for (Feature feature : features) {
      int k = parts.indexOf(shelf.clues().part(feature.part()));
      if (random.nextDouble() < care.looks()) {
        Sureness truly = random.nextDouble() < care.slips() ? Sureness.LIKELY : Sureness.SURE;
        int r = shelf.regions().indexOf(home);
        Taken taken = look(random, feature, by, style, of[k], truly);
        Look look = taken.look();
        seen.add(new Evidence.Observed(feature, taken.shown(), Sureness.SURE));
        looks.computeIfAbsent(k, part -> new ArrayList<>()).add(look);
        if (isMisjudged(random, look, r, of[k])) {
          happened.add(new State(State.Kind.MISJUDGED, feature.id(), ""));
        }
      }
    }
    double ofItsDay = 1;
    double inOldStyle = 1;
    for (Map.Entry<Integer, List<Look>> part : looks.entrySet()) {
      State befell = odd.get(parts.get(part.getKey()).id());
      int r = shelf.regions().indexOf(home);
      ofItsDay *= ofPart(part.getValue(), befell, r, ClueTables.AS_MADE, y);
      inOldStyle *= ofPart(part.getValue(), befell, r, ClueTables.OLD_STYLE, y);
    }
    // An older style in the years of that style is as made.
    boolean isLater = oldStyle && random.nextDouble() >= Math.min(1, ofItsDay / inOldStyle);
    List<SeenFace> faces = faces(random, care, variant);
    // What happened to a part nobody looked at makes no difference to what was seen.
    odd.keySet().retainAll(seen.stream().map(o -> o.feature().part()).toList());
    boolean untrusted = copied && !faces.isEmpty();
    // A look at a part that is not of the knife's year, or in another style, is not told apart.
    if (isLater || untrusted || !odd.isEmpty()) {
      happened.clear();
    }
    happened.addAll(odd.values());
    if (isLater) {
      happened.add(new State(State.Kind.OLD_STYLE, null, ""));
    }
    if (untrusted) {
      happened.add(new State(State.Kind.MARK_UNTRUSTED, null, ""));
    }
    State state =
        switch (happened.size()) {
          case 0 -> new State(State.Kind.AS_MADE, null, "");
          case 1 -> happened.get(0);
          default -> new State(State.Kind.TWO_AT_ONCE, null, "");
        };
    Evidence evidence =
        new Evidence(
            reader.read(faces),
            seen,
            List.of(),
            null,
            List.of(),
            Map.of(),
            Shown.surely(
                seen.stream().collect(Collectors.toMap(o -> o.feature().id(), o -> o.clue().id()))),
            List.of(),
            Set.of());
    return new Drawn(
        maker == null ? null : maker.id(),
        home.id(),
        axis.year(y),
        state.kind(),
        state.part(),
        List.copyOf(happened),
        faces,
        evidence);
  }

  /** A pattern such a knife may be of, by how often each is met and where and when it was made. */
  public Pattern pattern(RandomGenerator random, Drawn knife, List<Pattern> among) {
    double[] weights =
        among.stream()
            .mapToDouble(p -> p.weight() * eras.at(p, knife.region(), knife.year(), false))
            .toArray();
    return among.get(choose(random, weights));
  }

  // The year of a part: the knife's, one of those after it, or one of the years before.
  private int partOf(RandomGenerator random, Part part, int y, int near, Map<String, State> odd) {
    double replaced = priors.replaced()[desk.parts.indexOf(part)];
    double older = replaced > 0 ? priors.older()[near] : 0;
    double which = random.nextDouble() * (1 + replaced + older);
    if (which < 1) {
      return y;
    }
    boolean isLater = which < 1 + replaced;
    odd.put(
        part.id(),
        new State(
            isLater ? State.Kind.PART_REPLACED : State.Kind.OLDER_PART, part.id(), part.label()));
    return isLater
        ? random.nextInt(y, axis.size())
        : Math.max(0, y - 1 - random.nextInt(priors.olderBy()));
  }

  /** An answer, and what it says when seen so. */
  private record Taken(Clue shown, Look look) {}

  private Taken look(
      RandomGenerator random, Feature feature, Made by, int style, int y, Sureness truly) {
    int region = shelf.regions().indexOf(by.region());
    double[] p =
        feature.clues().stream()
            .mapToDouble(
                c ->
                    tables.look(feature, c, truly).likelihood()[region][style][y]
                        * likelier(by, feature, c)[y])
            .toArray();
    Clue shown = feature.clues().get(choose(random, p));
    return new Taken(shown, tables.look(feature, shown, truly));
  }

  private double[] likelier(Made by, Feature feature, Clue clue) {
    return by.maker() == null || by.hand() == null
        ? anyone
        : desk.handReader.likelier(by.maker(), by.hand(), feature.id(), clue.id());
  }

  // What is seen of a part, by how it came to be, as the model weighs it.
  private double ofPart(List<Look> looks, @Nullable State befell, int region, int style, int y) {
    double[] row = new double[axis.size()];
    for (int z = 0; z < row.length; z++) {
      row[z] = 1;
      for (Look look : looks) {
        row[z] *= look.likelihood()[region][style][z];
      }
    }
    if (befell == null) {
      return row[y];
    }
    boolean isLater = befell.kind() == State.Kind.PART_REPLACED;
    int from = isLater ? y : Math.max(0, y - priors.olderBy());
    int to = isLater ? row.length : y;
    double sum = 0;
    double most = 0;
    for (int z = from; z < to; z++) {
      sum += row[z];
      most = Math.max(most, row[z]);
    }
    return isLater ? sum / (to - from) : most;
  }

  private static boolean isMisjudged(RandomGenerator random, Look look, int region, int y) {
    double odds = look.misjudged() == null ? 0 : look.misjudged()[region][y];
    return random.nextDouble() < odds / (1 + odds);
  }

  private List<SeenFace> faces(RandomGenerator random, Care care, @Nullable MarkVariant variant) {
    if (random.nextDouble() < MARK_IS_WORN) {
      return List.of();
    }
    if (variant != null) {
      List<String> read = wear.read(variant.lines(), care.lost(), random);
      return List.of(new SeenFace(1, Face.MARK, FaceState.READ, variant.technique(), read));
    }
    if (random.nextDouble() < UNLISTED_IS_BARE) {
      return List.of(new SeenFace(1, Face.MARK, FaceState.BARE, null, List.of()));
    }
    List<String> lines =
        IntStream.rangeClosed(0, random.nextInt(2)).mapToObj(i -> wear.anyLine(random)).toList();
    return List.of(
        new SeenFace(1, Face.MARK, FaceState.READ, null, wear.read(lines, care.lost(), random)));
  }

  /** The same knife with nobody having looked at its marks. */
  Evidence unmarked(Evidence knife) {
    return new Evidence(
        reader.read(List.of()),
        knife.observed(),
        knife.statements(),
        knife.number(),
        knife.codes(),
        knife.found(),
        knife.shown(),
        knife.facesLeft(),
        knife.lookedInVain());
  }

  private static int choose(RandomGenerator random, double[] weights) {
    double left = random.nextDouble() * Distribution.sum(weights);
    for (int i = 0; i < weights.length; i++) {
      left -= weights[i];
      if (left < 0) {
        return i;
      }
    }
    return weights.length - 1;
  }
}
