package snikra.core.dating;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import snikra.core.clue.Feature;
import snikra.core.clue.Part;
import snikra.core.number.DecodedNumber;
import snikra.core.number.NumberGrammar;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;

/** Every maker and mark on the shelf and the unlisted ones of each region, weighed by the marks. */
final class Hypotheses {
  private static final double AGREES_ORIGINAL = 0.985;
  private static final double CONTRADICTS_ORIGINAL = 0.015;
  private static final double AGREES_REPLACED = 0.3;
  private static final double CONTRADICTS_REPLACED = 0.7;

  /** One maker's mark, or the unlisted makers of a region, with its years. */
  record Hypothesis(Maker maker, Region region, Group group, double[][] mass) {}

  final List<Group> groups = new ArrayList<>();
  final List<Hypothesis> all = new ArrayList<>();

  private final ReferenceShelf shelf;
  private final YearAxis axis;
  private final ClueTables tables;
  private final List<Part> parts;
  private final double[] replacedPrior;
  private final Map<String, Group> listed = new HashMap<>();

  Hypotheses(
      ReferenceShelf shelf,
      YearAxis axis,
      ClueTables tables,
      List<Part> parts,
      double[] replacedPrior,
      Evidence evidence) {
    this.shelf = shelf;
    this.axis = axis;
    this.tables = tables;
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
    double known = shelf.unlistedWeight() * Math.exp(evidence.marks().logUnlisted() - shift);
    // A mark is copied as often as it is met: its prior is a share of its own maker's.
    double copied = Math.exp(evidence.marks().logCopied() - shift);
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
    Group group = new Group(r, kind, parts.size() + 1, axis.size(), replacedPrior);
    groups.add(group);
    double[][] mass = new double[2][axis.size()];
    for (int y = 0; y < axis.size(); y++) {
      mass[0][y] = weight * tables.output(r)[y];
    }
    add(new Hypothesis(null, region, group, mass));
  }

  private void addListed(Evidence evidence, double shift, double chance) {
    int v = 0;
    for (Maker maker : shelf.makers()) {
      double number = 0;
      Group group = null;
      for (MarkVariant variant : maker.marks()) {
        double log = evidence.marks().logLikelihood()[v++];
        if (group == null) {
          group = groupFor(maker, evidence);
          number = numberWeight(maker, evidence, chance);
        }
        double prior = maker.weight() / maker.marks().size();
        addVariant(maker, variant, group, prior * number * Math.exp(log - shift));
      }
    }
  }

  // How much better the number fits this maker's grammar than figures by chance.
  private static double numberWeight(Maker maker, Evidence evidence, double chance) {
    if (evidence.number() == null || maker.numbers() == null) {
      return 1;
    }
    return Math.exp(maker.numbers().logLikelihood(evidence.number()) - chance);
  }

  private void addVariant(Maker maker, MarkVariant variant, Group group, double weight) {
    double[] use = Distribution.normalised(axis.map(variant::useIn));
    double[][] mass = new double[2][axis.size()];
    for (int y = 0; y < axis.size(); y++) {
      if (use[y] > 0) {
        mass[maker.isNearChange(axis.year(y)) ? 1 : 0][y] = weight * use[y];
      }
    }
    add(new Hypothesis(maker, shelf.regions().get(group.region), group, mass));
  }

  private void add(Hypothesis h) {
    all.add(h);
    for (int near = 0; near < 2; near++) {
      for (int y = 0; y < axis.size(); y++) {
        h.group.mass[near][y] += h.mass[near][y];
      }
    }
  }

  // Makers of one region share a group unless the number speaks differently of a part.
  private Group groupFor(Maker maker, Evidence evidence) {
    int region = regionIndex(maker.region());
    Group group =
        new Group(region, Group.Kind.LISTED, parts.size() + 1, axis.size(), replacedPrior);
    StringBuilder key = new StringBuilder(maker.region());
    decoded(maker, evidence).ifPresent(d -> applyNumber(d, group, key));
    Group known = listed.putIfAbsent(key.toString(), group);
    if (known == null) {
      groups.add(group);
      return group;
    }
    return known;
  }

  private static Optional<DecodedNumber> decoded(Maker maker, Evidence evidence) {
    return maker.numbers() == null || evidence.number() == null
        ? Optional.empty()
        : maker.numbers().decode(evidence.number(), evidence.found());
  }

  private void applyNumber(DecodedNumber number, Group group, StringBuilder key) {
    for (DecodedNumber.Field field : number.fields()) {
      Optional<Feature> feature = shelf.clues().feature(field.meaning());
      if (feature.isEmpty() || field.holds() == DecodedNumber.Holds.UNKNOWN) {
        continue;
      }
      int part = parts.indexOf(shelf.clues().part(feature.get().part()));
      boolean agrees = field.holds() == DecodedNumber.Holds.AGREES;
      group.numberOriginal[part] *= agrees ? AGREES_ORIGINAL : CONTRADICTS_ORIGINAL;
      group.numberReplaced[part] *= agrees ? AGREES_REPLACED : CONTRADICTS_REPLACED;
      key.append('|').append(part).append(field.holds());
    }
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
