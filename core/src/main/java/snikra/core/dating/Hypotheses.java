package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Feature;
import snikra.core.clue.Part;
import snikra.core.code.SeenCode;
import snikra.core.mark.MarkEvidence;
import snikra.core.mark.MarkEvidence.Seconds;
import snikra.core.number.Contradictions;
import snikra.core.number.DecodedNumber;
import snikra.core.number.NumberErrors;
import snikra.core.number.NumberGrammar;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.Region;

/** Every maker and mark on the shelf and the unlisted ones of each region, weighed by the marks. */
final class Hypotheses {

  /**
   * One maker with all its marks, or the unlisted makers of a region, with its years.
   *
   * @param hand who made it, null for an unlisted one
   * @param record what is on file of that hand
   * @param region of who made it
   * @param mass by nearness to a change and year; nothing outside the years from {@code from} up to
   *     {@code to}
   */
  record Hypothesis(
      @Nullable Maker maker,
      @Nullable Hand hand,
      HandRecord record,
      Region region,
      Group group,
      double[][] mass,
      int from,
      int to) {}

  final List<Group> groups = new ArrayList<>();
  final List<Voice> voices = new ArrayList<>();
  final List<Hypothesis> all = new ArrayList<>();

  /**
   * Under this, against the mark that reads best, a mark was not struck: sums of doubles do not
   * feel it, whatever else speaks for its maker.
   */
  private static final double NOT_STRUCK = 1e-30;

  private final Desk desk;
  private final Evidence evidence;
  private final double shift;

  /** What each mark's letters leave of it, at most, by whoever made the knife. */
  private final double[] atMost;

  /** What is on file of the hands of each house, of what was seen. */
  private final Map<Maker, List<HandRecord>> heard;

  /** By maker and year what the codes say by the maker's own scheme. */
  private final IdentityHashMap<Maker, double[]> codesOf = new IdentityHashMap<>();

  private final Map<String, Group> listed = new HashMap<>();
  private final Map<String, Voice> plain = new HashMap<>();

  Hypotheses(Desk desk, Evidence evidence) {
    this(desk, evidence, new IdentityHashMap<>());
  }

  private Hypotheses(Desk desk, Evidence evidence, Map<Maker, List<HandRecord>> heard) {
    this.desk = desk;
    this.evidence = evidence;
    this.heard = heard;
    double most = Math.max(evidence.marks().logUnlisted(), evidence.marks().logCopied());
    for (double l : evidence.marks().logLikelihood()) {
      most = Math.max(most, l);
    }
    shift = most;
    atMost = atMost(evidence.marks());
    addUnlisted();
    addListed();
    addForOthers();
  }

  private double[] atMost(MarkEvidence marks) {
    Seconds seconds = marks.seconds();
    double[] log = seconds == null ? marks.logLikelihood() : seconds.rest();
    return Arrays.stream(log).map(l -> Math.exp(l - shift)).toArray();
  }

  /** The same knife with other marks: what is on file of hands says what it said. */
  Hypotheses without(Evidence unmarked) {
    return new Hypotheses(desk, unmarked, heard);
  }

  private void addUnlisted() {
    double shares = desk.shelf.regions().stream().mapToDouble(Region::share).sum();
    double coded = 1;
    for (SeenCode code : evidence.codes()) {
      coded *= code.unexpected(desk.codeRates);
    }
    double unlisted = desk.shelf.unlistedWeight() * givenUnlisted();
    double said = saidOf(null);
    double known = said * coded * (unlisted + notAsListed());
    // A mark is copied as often as it is met: its prior is a share of its own maker's.
    double copied = said * coded * Math.exp(evidence.marks().logCopied() - shift);
    for (int r = 0; r < desk.shelf.regions().size(); r++) {
      Region region = desk.shelf.regions().get(r);
      double share = region.share() / shares;
      addUnlisted(region, r, Group.Kind.UNLISTED, known * share);
      if (evidence.marks().anyRead()) {
        addUnlisted(region, r, Group.Kind.UNTRUSTED, copied * share);
      }
    }
  }

  // A maker is claimed for the name on the knife.
  private double saidOf(@Nullable Maker maker) {
    double p = 1;
    for (Evidence.Statement s : evidence.statements()) {
      p *= s.maker() == null ? 1 : desk.named(s, maker);
    }
    return p;
  }

  // The letters of a mark on file, by a maker of whom what is listed is not so: told by letters
  // alone a listing is believed as far as its sources are.
  private double notAsListed() {
    double sum = 0;
    int v = 0;
    for (int m = 0; m < desk.uses.size(); m++) {
      Maker maker = desk.shelf.makers().get(m);
      for (int i = 0; i < desk.uses.get(m).size(); i++) {
        double trust = maker.marks().get(i).trust();
        double weight = maker.weight() * desk.uses.get(m).get(i).weight();
        sum += weight * givenAlone(v++) * (1 - trust) / trust;
      }
    }
    return sum;
  }

  // P(faces | this mark), but for another maker's mark on a small blade: that names its maker.
  private double givenAlone(int v) {
    Seconds seconds = evidence.marks().seconds();
    return seconds == null
        ? Math.exp(evidence.marks().logLikelihood()[v] - shift)
        : Math.exp(seconds.rest()[v] - shift + seconds.own()[v]) * (1 - desk.othersMark);
  }

  private double givenUnlisted() {
    Seconds seconds = evidence.marks().seconds();
    return seconds == null
        ? Math.exp(evidence.marks().logUnlisted() - shift)
        : Math.exp(seconds.unlistedRest() - shift + seconds.unlistedOwn()) * (1 - desk.othersMark);
  }

  // Makers whose own mark is on a small blade, under a name that is not on file or not as listed.
  private void addForOthers() {
    Seconds seconds = evidence.marks().seconds();
    if (seconds == null) {
      return;
    }
    double all = desk.shelf.makers().stream().mapToDouble(Maker::weight).sum();
    double doubted = desk.shelf.unlistedWeight() * Math.exp(seconds.unlistedRest() - shift);
    int v = 0;
    for (int m = 0; m < desk.uses.size(); m++) {
      Maker maker = desk.shelf.makers().get(m);
      for (int i = 0; i < desk.uses.get(m).size(); i++) {
        double trust = maker.marks().get(i).trust();
        double weight = maker.weight() * desk.uses.get(m).get(i).weight();
        doubted += weight * Math.exp(seconds.rest()[v++] - shift) * (1 - trust) / trust;
      }
    }
    for (Maker maker : onSmallBlades()) {
      int m = desk.shelf.makers().indexOf(maker);
      Hand hand = desk.hands.get(m).get(0);
      Group group = groupFor(maker, maker, hand, HandRecord.SILENT);
      double[][] mass = new double[2][desk.axis.size()];
      double often = doubted * desk.othersMark * maker.weight() / all;
      int first = firstMark(m);
      for (MarkUse use : desk.uses.get(m)) {
        double given = often * use.weight() * Math.exp(seconds.other()[first++]);
        for (int i = 0; i < use.share().length; i++) {
          mass[use.near()[i]][use.first() + i] += given * use.share()[i];
        }
      }
      Region region = desk.shelf.region(maker.region());
      add(new Hypothesis(maker, hand, HandRecord.SILENT, region, group, mass, 0, desk.axis.size()));
    }
  }

  private int firstMark(int m) {
    int v = 0;
    for (int before = 0; before < m; before++) {
      v += desk.uses.get(before).size();
    }
    return v;
  }

  private void addUnlisted(Region region, int r, Group.Kind kind, double weight) {
    Group group = group(kind + " " + region.id(), kind, voice(r, kind == Group.Kind.UNLISTED));
    double[][] mass = new double[2][desk.axis.size()];
    for (int y = 0; y < desk.axis.size(); y++) {
      mass[0][y] = weight * desk.tables.output(r)[y];
    }
    add(new Hypothesis(null, null, HandRecord.SILENT, region, group, mass, 0, desk.axis.size()));
  }

  private void addListed() {
    List<Maker> others = onSmallBlades();
    int firstMark = 0;
    for (int m = 0; m < desk.uses.size(); m++) {
      int marks = desk.uses.get(m).size();
      addHands(m, firstMark, mayBeStruck(firstMark, marks), others);
      firstMark += marks;
    }
  }

  private boolean mayBeStruck(int firstMark, int marks) {
    for (int v = firstMark; v < firstMark + marks; v++) {
      if (atMost[v] >= NOT_STRUCK) {
        return true;
      }
    }
    return false;
  }

  private void addHands(int m, int firstMark, boolean mayBeStruck, List<Maker> others) {
    Maker house = desk.shelf.makers().get(m);
    List<Hand> hands = desk.hands.get(m);
    double[] shares = desk.handShares.get(m);
    List<HandRecord> records =
        heard.computeIfAbsent(house, of -> desk.handReader.of(of, hands, shares, evidence));
    if (!mayBeStruck) {
      for (int h = 0; h < hands.size(); h++) {
        meet(m, hands.get(h), records.get(h));
      }
      return;
    }
    for (int h = 0; h < hands.size(); h++) {
      addListed(m, hands.get(h), records.get(h), firstMark, 1);
    }
    for (Maker other : others) {
      if (hands.stream().noneMatch(h -> other.equals(h.maker()))) {
        addWithoutContract(m, other, firstMark);
      }
    }
  }

  // What it would weigh is asked when the marks are left out.
  private void meet(int m, Hand hand, HandRecord record) {
    Maker house = desk.shelf.makers().get(m);
    Group group = groupFor(hand.numbersOf(house), house, hand, record);
    group.meet(0);
    group.meet(1);
  }

  /** Makers whose own marks the small blades may well bear. */
  private List<Maker> onSmallBlades() {
    return desk.shelf.makers().stream()
        .filter(m -> evidence.marks().onSmallBlades().contains(m.id()))
        .toList();
  }

  // Heard beside the hands on file, which go on as if it were not there.
  private void addWithoutContract(int m, Maker other, int firstMark) {
    Maker house = desk.shelf.makers().get(m);
    List<Hand> hands = new ArrayList<>(desk.hands.get(m));
    hands.add(Hand.withoutContract(other, house, desk.axis));
    int last = hands.size() - 1;
    double[] shares = Arrays.copyOf(desk.handShares.get(m), hands.size());
    shares[last] = desk.noContract;
    HandRecord record = desk.handReader.of(house, hands, shares, evidence).get(last);
    addListed(m, hands.get(last), record, firstMark, desk.noContract);
  }

  private void addListed(int m, Hand hand, HandRecord record, int firstMark, double often) {
    Maker maker = desk.shelf.makers().get(m);
    Maker numbering = hand.numbersOf(maker);
    Group group = groupFor(numbering, maker, hand, record);
    History.Model model =
        evidence.number() == null ? null : maker.history().model(evidence.number()).orElse(null);
    List<MarkUse> marks =
        model == null || model.marks().isEmpty()
            ? desk.uses.get(m)
            : MarkUse.of(
                maker.asFor(model),
                desk.shelf.region(maker.region()),
                desk.axis,
                desk.shelf.judgement());
    double prior = often * numberWeight(numbering) * maker.weight() * saidOf(maker);
    double[] beside =
        together(
            codes(hand.codesOf(maker)),
            record.whole(),
            eras(numbering),
            model == null ? null : desk.run(model));
    double[] small = hand.maker() == null || hand.isItself() ? null : smallBlades(hand.maker());
    double[][] mass = new double[2][desk.axis.size()];
    int from = desk.axis.size();
    int to = 0;
    int v = firstMark;
    for (MarkUse use : marks) {
      from = Math.min(from, use.first());
      to = Math.max(to, use.first() + use.share().length);
      double[] made = hand.share().get(v - firstMark);
      double struck =
          use.weight()
              * (model == null ? 1 : desk.struckOn(model, maker.marks().get(v - firstMark)));
      Given given = given(v, hand);
      for (int i = 0; i < use.share().length; i++) {
        int y = use.first() + i;
        // What is less than a double can hold in full is no hypothesis any more.
        double more = prior * struck * given.in(small, y) * use.share()[i] * made[y];
        more *= beside == null ? 1 : beside[y];
        mass[use.near()[i]][y] += more > Double.MIN_NORMAL ? more : 0;
      }
      v++;
    }
    Region region = desk.shelf.regions().get(group.voice.region);
    add(new Hypothesis(maker, hand, record, region, group, mass, from, to));
  }

  /** The product of those that say anything; null where none does. */
  private static double @Nullable [] together(double @Nullable []... rows) {
    double[] product = null;
    for (double[] row : rows) {
      if (row != null) {
        product = product == null ? row : Distribution.product(product, row);
      }
    }
    return product;
  }

  private double @Nullable [] eras(Maker numbering) {
    if (evidence.number() == null || numbering.numbers() == null) {
      return null;
    }
    NumberGrammar.Eras eras =
        numbering.numbers().eras(evidence.number(), desk.grammarRates).orElse(null);
    return eras == null ? null : desk.axis.map(eras::in);
  }

  /**
   * P(faces | this mark, this hand, this year).
   *
   * @param alone whatever the hand's own mark says of the small blades
   * @param others times what that says in the year
   */
  private record Given(double alone, double others) {
    double in(double @Nullable [] small, int y) {
      return small == null ? alone : alone + others * small[y];
    }
  }

  private Given given(int v, Hand hand) {
    Seconds seconds = evidence.marks().seconds();
    if (seconds == null) {
      return new Given(Math.exp(evidence.marks().logLikelihood()[v] - shift), 0);
    }
    double rest = Math.exp(seconds.rest()[v] - shift);
    double own = Math.exp(seconds.own()[v]);
    return hand.isItself()
        ? new Given(rest * own, 0)
        : new Given(rest * (1 - desk.othersMark) * own, rest * desk.othersMark);
  }

  /** P(small blades as read | made by this maker in this year and struck with its mark). */
  private double @Nullable [] smallBlades(Maker maker) {
    Seconds seconds = evidence.marks().seconds();
    if (seconds == null) {
      return null;
    }
    int m = desk.shelf.makers().indexOf(maker);
    double[] sum = new double[desk.axis.size()];
    double[] all = new double[desk.axis.size()];
    int v = firstMark(m);
    for (MarkUse use : desk.uses.get(m)) {
      double given = Math.exp(seconds.other()[v++]);
      for (int i = 0; i < use.share().length; i++) {
        sum[use.first() + i] += use.weight() * use.share()[i] * given;
        all[use.first() + i] += use.weight() * use.share()[i];
      }
    }
    for (int y = 0; y < sum.length; y++) {
      sum[y] = all[y] > 0 ? sum[y] / all[y] : 0;
    }
    return sum;
  }

  // A code is read by the maker's own scheme, so it speaks through the maker.
  private double @Nullable [] codes(Maker coding) {
    return evidence.codes().isEmpty()
        ? null
        : codesOf.computeIfAbsent(coding, maker -> desk.axis.map(year -> given(maker, year)));
  }

  private double given(Maker maker, int year) {
    double p = 1;
    for (SeenCode code : evidence.codes()) {
      p *= maker.given(code, year, desk.codeRates);
    }
    return p;
  }

  // How much better the number fits this maker's grammar than figures by chance.
  private double numberWeight(Maker maker) {
    if (evidence.number() == null || maker.numbers() == null) {
      return 1;
    }
    return Math.exp(
        maker.numbers().logLikelihood(evidence.number(), desk.grammarRates)
            - NumberGrammar.logByChance(evidence.number()));
  }

  private void add(Hypothesis h) {
    for (int near = 0; near < 2; near++) {
      for (int y = h.from; y < h.to; y++) {
        if (h.mass[near][y] > 0) {
          h.group.add(near, y, h.mass[near][y]);
        }
      }
    }
    all.add(h);
  }

  private Group group(String key, Group.Kind kind, Voice voice) {
    Group group = new Group(groups.size(), key, kind, voice, desk.axis.size(), desk.priors);
    groups.add(group);
    return group;
  }

  private Voice voice(int region, boolean hearsMark) {
    return plain.computeIfAbsent(
        region + " " + hearsMark, key -> addVoice(region, hearsMark, Map.of()));
  }

  private Voice addVoice(int region, boolean hearsMark, Map<String, double[]> own) {
    Voice voice = new Voice(voices.size(), region, hearsMark, desk.axis.size(), desk.priors, own);
    voices.add(voice);
    return voice;
  }

  // Makers of one region share a group unless the number or what is on file of the hand speaks of a
  // part.
  private Group groupFor(Maker numbering, Maker house, Hand hand, HandRecord record) {
    String made = hand.regionFor(house);
    int region = desk.shelf.regionIndex(made);
    List<DecodedNumber.Field> telling = decoded(numbering).map(this::telling).orElse(List.of());
    String key = made;
    if (!telling.isEmpty()) {
      key +=
          telling.stream()
              .map(f -> f.meaning() + f.holds() + isInOneFigure(numbering, f))
              .sorted()
              .toList();
    }
    if (!record.rows().isEmpty()) {
      key += " " + house.id() + " by " + hand.label();
    }
    return listed.computeIfAbsent(
        key,
        k ->
            group(
                k,
                Group.Kind.LISTED,
                telling.isEmpty() && record.rows().isEmpty()
                    ? voice(region, false)
                    : ownVoice(region, numbering, telling, record)));
  }

  private List<DecodedNumber.Field> telling(DecodedNumber decoded) {
    return decoded.fields().stream()
        .filter(f -> f.holds() != DecodedNumber.Holds.UNKNOWN)
        .filter(f -> desk.shelf.clues().feature(f.meaning()).isPresent())
        .toList();
  }

  private Optional<DecodedNumber> decoded(Maker maker) {
    return maker.numbers() == null || evidence.number() == null
        ? Optional.empty()
        : maker.numbers().decode(evidence.number(), evidence.found(), desk.grammarRates);
  }

  private boolean isInOneFigure(Maker numbering, DecodedNumber.Field field) {
    return Contradictions.isInOneFigure(numbering.numbers(), field, evidence.found());
  }

  private Voice ownVoice(
      int region, Maker numbering, List<DecodedNumber.Field> telling, HandRecord record) {
    Voice voice = addVoice(region, false, record.rows());
    List<Part> parts = desk.parts;
    for (DecodedNumber.Field field : telling) {
      Feature feature = desk.shelf.clues().feature(field.meaning()).orElseThrow();
      int part = parts.indexOf(desk.shelf.clues().part(feature.part()));
      NumberErrors errors = desk.numberErrors;
      boolean agrees = field.holds() == DecodedNumber.Holds.AGREES;
      voice.numberOriginal[part] *=
          agrees ? errors.agrees() : errors.contradicts(isInOneFigure(numbering, field));
      voice.numberReplaced[part] *= agrees ? errors.agreesReplaced() : 1 - errors.agreesReplaced();
      voice.numberOlder[part] *= agrees ? errors.agreesOlder() : 1 - errors.agreesOlder();
    }
    return voice;
  }

  /**
   * By how much at most one group may gain on another through what is on file of its hand of these
   * features, when they are left out; 1 where nothing is.
   */
  double ownLeast(String feature) {
    double least = 1;
    double most = 1;
    for (Voice voice : voices) {
      double[] row = voice.own.get(feature);
      for (int y = 0; row != null && y < row.length; y++) {
        least = Math.min(least, row[y]);
        most = Math.max(most, row[y]);
      }
    }
    return least / most;
  }
}
