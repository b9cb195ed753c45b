package snikra.core.resemblance;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import snikra.core.judgement.Judgement;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Specimen;
import snikra.core.trait.PatternTells;
import snikra.core.trait.Traits;
import snikra.core.wording.Wording;

/** What a knife may be one of: the models on file, another knife, any other of a pattern. */
final class Lookalikes {
  private static final String TWIN = "knife";

  private final ReferenceShelf shelf;
  private final LookReliability reliability;
  private final double sameAgain;
  private final double sameLengthMm;
  private final double fitted;
  private final double numberOnIt;
  private final double likeThoseOnFile;
  private final List<Lookalike> models;
  private final Map<String, Lookalike> mates = new ConcurrentHashMap<>();

  Lookalikes(ReferenceShelf shelf) {
    Judgement judgement = shelf.judgement();
    this.shelf = shelf;
    this.reliability = LookReliability.of(judgement);
    this.sameAgain = judgement.of("alike.same-again");
    this.sameLengthMm = judgement.of("alike.same-length-mm");
    this.fitted = judgement.of("fitting.on-its-knives");
    this.numberOnIt = judgement.of("alike.number-on-it");
    this.likeThoseOnFile = judgement.of("alike.like-those-on-file");
    List<Lookalike> all = new ArrayList<>();
    for (Maker maker : shelf.makers()) {
      maker.history().models().forEach(model -> all.add(model(maker, model)));
    }
    this.models = List.copyOf(all);
  }

  /** All models on file. */
  List<Lookalike> models() {
    return models;
  }

  /** Another knife on file. */
  Lookalike knife(String id, String label, Specimen knife) {
    List<ModelTell> tells = new ArrayList<>();
    Traits.of(knife, shelf.patterns())
        .forEach(
            (trait, seen) -> {
              double p = sameAgain * reliability.of(seen.sureness());
              tells.add(ModelTell.of(trait, Map.of(seen.value(), p), TWIN));
            });
    if (knife.closedLength() != null) {
      double mm = knife.closedLength().mm();
      tells.add(new ModelTell(Traits.LENGTH, Map.of(), mm, sameLengthMm, TWIN));
    }
    return new Lookalike(id, label, null, null, null, null, tells);
  }

  // What the pack says of the model itself goes before what its maker and its pattern say.
  private Lookalike model(Maker maker, History.Model model) {
    Map<String, ModelTell> tells = new LinkedHashMap<>();
    model.tells().forEach(t -> tells.put(t.trait(), t));
    Map<String, Double> number = Map.of(model.number(), numberOnIt);
    tells.putIfAbsent(Traits.NUMBER, ModelTell.of(Traits.NUMBER, number, model.source()));
    fitted(maker, model).forEach(t -> tells.putIfAbsent(t.trait(), t));
    shelf
        .patterns()
        .pattern(model.pattern())
        .map(p -> PatternTells.of(p, shelf.patterns(), shelf.judgement()))
        .ifPresent(all -> all.forEach(t -> tells.putIfAbsent(t.trait(), t)));
    return new Lookalike(
        maker.id() + "/" + model.number(),
        maker.name() + " " + model.number() + ", " + Wording.lowerFirst(model.label()),
        maker.id(),
        model.pattern(),
        model.from(),
        model.to(),
        List.copyOf(tells.values()));
  }

  private List<ModelTell> fitted(Maker maker, History.Model model) {
    Map<String, List<History.Fitting>> byFeature =
        maker.history().allFittings().stream()
            .filter(f -> f.from() <= model.to() && f.to() >= model.from())
            .collect(Collectors.groupingBy(History.Fitting::feature));
    List<ModelTell> out = new ArrayList<>();
    byFeature.forEach(
        (feature, fittings) -> {
          Map<String, Double> likely = new HashMap<>();
          fittings.forEach(f -> likely.merge(f.value(), fitted / fittings.size(), Double::sum));
          double trust = fittings.stream().mapToDouble(History.Fitting::trust).max().orElse(1);
          String source = fittings.get(0).source();
          out.add(new ModelTell(feature, likely, null, null, source, trust));
        });
    out.sort(Comparator.comparing(ModelTell::trait));
    return out;
  }

  /** Another knife of this pattern, of whose maker and model nothing is on file. */
  Lookalike mate(String pattern) {
    return mates.computeIfAbsent(
        pattern, of -> new Lookalike("", "", null, of, null, null, mateTells(of)));
  }

  // Half as its pattern asks or as knives at large, half as the models of its pattern on file are:
  // makers of one time made them alike.
  private List<ModelTell> mateTells(String pattern) {
    Map<String, ModelTell> tells = new LinkedHashMap<>();
    shelf
        .patterns()
        .pattern(pattern)
        .map(p -> PatternTells.withTools(p, shelf))
        .ifPresent(all -> all.forEach(t -> tells.put(t.trait(), t)));
    Map<String, List<ModelTell>> onFile =
        models.stream()
            .filter(m -> pattern.equals(m.pattern()))
            .flatMap(m -> m.tells().stream())
            .filter(t -> t.mm() == null && !t.trait().equals(Traits.NUMBER))
            .collect(Collectors.groupingBy(ModelTell::trait));
    onFile.forEach(
        (trait, all) -> {
          Map<String, Double> likely = new HashMap<>();
          all.forEach(t -> add(likely, t, likeThoseOnFile / all.size()));
          ModelTell own = tells.get(trait);
          if (own != null) {
            add(likely, own, 1 - likeThoseOnFile);
          }
          tells.put(trait, ModelTell.of(trait, likely, pattern));
        });
    return List.copyOf(tells.values());
  }

  private static void add(Map<String, Double> likely, ModelTell tell, double share) {
    tell.likely().forEach((value, p) -> likely.merge(value, share * p, Double::sum));
  }
}
