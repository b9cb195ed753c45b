package snikra.core.dating;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Feature;
import snikra.core.clue.Part;
import snikra.core.code.SeenCode;
import snikra.core.number.DecodedNumber;
import snikra.core.number.NumberGrammar;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;

/** Every maker and mark on the shelf and the unlisted ones of each region, weighed by the marks. */
final class Hypotheses {
  private static final double AGREES_ORIGINAL = 0.985;
  private static final double CONTRADICTS_ORIGINAL = 0.015;
  private static final double AGREES_REPLACED = 0.3;
  private static final double CONTRADICTS_REPLACED = 0.7;

  /**
   * One maker with all its marks, or the unlisted makers of a region, with its years.
   *
   * @param hand who made it, null for an unlisted one
   * @param region of who made it
   * @param mass by nearness to a change and year; nothing outside the years from {@code from} up to
   *     {@code to}
   */
  record Hypothesis(
      @Nullable Maker maker,
      @Nullable Hand hand,
      Region region,
      Group group,
      double[][] mass,
      int from,
      int to) {}

  final List<Group> groups = new ArrayList<>();
  final List<Voice> voices = new ArrayList<>();
  final List<Hypothesis> all = new ArrayList<>();

  private final ReferenceShelf shelf;
  private final YearAxis axis;
  private final ClueTables tables;
  private final List<List<MarkUse>> uses;
  private final List<List<Hand>> hands;
  private final List<Part> parts;
  private final double[] replacedPrior;
  private final Map<String, Group> listed = new HashMap<>();
  private final Map<String, Voice> plain = new HashMap<>();

  Hypotheses(
      ReferenceShelf shelf,
      YearAxis axis,
      ClueTables tables,
      List<List<MarkUse>> uses,
      List<List<Hand>> hands,
      List<Part> parts,
      double[] replacedPrior,
      Evidence evidence) {
    this.shelf = shelf;
    this.axis = axis;
    this.tables = tables;
    this.uses = uses;
    this.hands = hands;
    this.parts = parts;
    this.replacedPrior = replacedPrior;
    double chance = evidence.number() == null ? 0 : NumberGrammar.logByChance(evidence.number());
    double shift = Math.max(evidence.marks().logUnlisted(), evidence.marks().logCopied());
    for (double l : evidence.marks().logLikelihood()) {
      shift = Math.max(shift, l);
    }
    addUnlisted(evidence, shift);
    addListed(evidence, shift, chance);
  }

  private void addUnlisted(Evidence evidence, double shift) {
    double shares = shelf.regions().stream().mapToDouble(Region::share).sum();
    double coded = 1;
    for (SeenCode code : evidence.codes()) {
      coded *= Maker.NOT_ON_FILE * code.byChance();
    }
    double known =
        coded * shelf.unlistedWeight() * Math.exp(evidence.marks().logUnlisted() - shift);
    // A mark is copied as often as it is met: its prior is a share of its own maker's.
    double copied = coded * Math.exp(evidence.marks().logCopied() - shift);
    for (int r = 0; r < shelf.regions().size(); r++) {
      Region region = shelf.regions().get(r);
      double share = region.share() / shares;
      addUnlisted(region, r, Group.Kind.UNLISTED, known * share);
      if (evidence.marks().anyRead()) {
        addUnlisted(region, r, Group.Kind.UNTRUSTED, copied * share);
      }
    }
  }

  private void addUnlisted(Region region, int r, Group.Kind kind, double weight) {
    Group group = group(kind + " " + region.id(), kind, voice(r, kind == Group.Kind.UNLISTED));
    double[][] mass = new double[2][axis.size()];
    for (int y = 0; y < axis.size(); y++) {
      mass[0][y] = weight * tables.output(r)[y];
    }
    add(new Hypothesis(null, null, region, group, mass, 0, axis.size()));
  }

  private void addListed(Evidence evidence, double shift, double chance) {
    int firstMark = 0;
    for (int m = 0; m < uses.size(); m++) {
      for (Hand hand : hands.get(m)) {
        addListed(m, hand, firstMark, evidence, shift, chance);
      }
      firstMark += uses.get(m).size();
    }
  }

  private void addListed(
      int m, Hand hand, int firstMark, Evidence evidence, double shift, double chance) {
    Maker maker = shelf.makers().get(m);
    Maker numbering = hand.numbersOf(maker);
    Maker coding = hand.codesOf(maker);
    boolean coded = !evidence.codes().isEmpty();
    Group group = groupFor(numbering, hand.regionFor(maker), evidence);
    History.Model model =
        evidence.number() == null ? null : maker.history().model(evidence.number()).orElse(null);
    List<MarkUse> marks =
        model == null || model.marks().isEmpty()
            ? uses.get(m)
            : MarkUse.of(maker.asFor(model), axis);
    double prior = numberWeight(numbering, evidence, chance) * maker.weight() / marks.size();
    History.Spoken spoken = maker.history().spoken(evidence.found()).orElse(null);
    NumberGrammar.Eras eras =
        evidence.number() == null || numbering.numbers() == null
            ? null
            : numbering.numbers().eras(evidence.number()).orElse(null);
    double[][] mass = new double[2][axis.size()];
    int from = axis.size();
    int to = 0;
    int v = firstMark;
    for (MarkUse use : marks) {
      from = Math.min(from, use.first());
      to = Math.max(to, use.first() + use.share().length);
      double weight = prior * Math.exp(evidence.marks().logLikelihood()[v] - shift);
      double[] made = hand.share().get(v++ - firstMark);
      for (int i = 0; i < use.share().length; i++) {
        // What is less than a double can hold in full is no hypothesis any more.
        double more = weight * use.share()[i] * made[use.first() + i];
        if (coded) {
          more *= given(evidence, coding, use.first() + i);
        }
        if (spoken != null) {
          more *= spoken.in(axis.year(use.first() + i));
        }
        if (eras != null) {
          more *= eras.in(axis.year(use.first() + i));
        }
        if (model != null) {
          more *= Maker.given(model, axis.year(use.first() + i));
        }
        mass[use.near()[i]][use.first() + i] += more > Double.MIN_NORMAL ? more : 0;
      }
    }
    Region region = shelf.regions().get(group.voice.region);
    add(new Hypothesis(maker, hand, region, group, mass, from, to));
  }

  // A code is read by the maker's own scheme, so it speaks through the maker.
  private double given(Evidence evidence, Maker maker, int y) {
    double p = 1;
    for (SeenCode code : evidence.codes()) {
      p *= maker.given(code, axis.year(y));
    }
    return p;
  }

  // How much better the number fits this maker's grammar than figures by chance.
  private static double numberWeight(Maker maker, Evidence evidence, double chance) {
    if (evidence.number() == null || maker.numbers() == null) {
      return 1;
    }
    return Math.exp(maker.numbers().logLikelihood(evidence.number()) - chance);
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
    Group group = new Group(groups.size(), key, kind, voice, axis.size());
    groups.add(group);
    return group;
  }

  private Voice voice(int region, boolean hearsMark) {
    return plain.computeIfAbsent(
        region + " " + hearsMark,
        key -> addVoice(new Voice(voices.size(), region, hearsMark, axis.size(), replacedPrior)));
  }

  private Voice addVoice(Voice voice) {
    voices.add(voice);
    return voice;
  }

  // Makers of one region share a group unless the number speaks differently of a part.
  private Group groupFor(Maker numbering, String made, Evidence evidence) {
    int region = regionIndex(made);
    List<DecodedNumber.Field> telling =
        decoded(numbering, evidence).map(this::telling).orElse(List.of());
    String key = made;
    if (!telling.isEmpty()) {
      key += telling.stream().map(f -> f.meaning() + f.holds()).sorted().toList();
    }
    return listed.computeIfAbsent(
        key,
        k ->
            group(
                k,
                Group.Kind.LISTED,
                telling.isEmpty() ? voice(region, false) : numbered(region, telling)));
  }

  private List<DecodedNumber.Field> telling(DecodedNumber decoded) {
    return decoded.fields().stream()
        .filter(f -> f.holds() != DecodedNumber.Holds.UNKNOWN)
        .filter(f -> shelf.clues().feature(f.meaning()).isPresent())
        .toList();
  }

  private static Optional<DecodedNumber> decoded(Maker maker, Evidence evidence) {
    return maker.numbers() == null || evidence.number() == null
        ? Optional.empty()
        : maker.numbers().decode(evidence.number(), evidence.found());
  }

  private Voice numbered(int region, List<DecodedNumber.Field> telling) {
    Voice voice = addVoice(new Voice(voices.size(), region, false, axis.size(), replacedPrior));
    for (DecodedNumber.Field field : telling) {
      Feature feature = shelf.clues().feature(field.meaning()).orElseThrow();
      int part = parts.indexOf(shelf.clues().part(feature.part()));
      boolean agrees = field.holds() == DecodedNumber.Holds.AGREES;
      voice.numberOriginal[part] *= agrees ? AGREES_ORIGINAL : CONTRADICTS_ORIGINAL;
      voice.numberReplaced[part] *= agrees ? AGREES_REPLACED : CONTRADICTS_REPLACED;
    }
    return voice;
  }

  private int regionIndex(String id) {
    for (int r = 0; r < shelf.regions().size(); r++) {
      if (shelf.regions().get(r).id().equals(id)) {
        return r;
      }
    }
    throw new IllegalArgumentException("region must be on the shelf; found " + id);
  }
}
