package snikra.core.examination;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Feature;
import snikra.core.clue.Part;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.Span;
import snikra.core.dating.State;
import snikra.core.examination.Verdict.NumberVerdict;
import snikra.core.number.Contradictions;
import snikra.core.number.Contradictions.Against;
import snikra.core.number.DecodedNumber;
import snikra.core.number.GrammarRates;
import snikra.core.number.NumberErrors;
import snikra.core.number.NumberGrammar;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/** Reads pattern numbers by the grammars of the makers on the shelf. */
final class Numbers {
  private Numbers() {}

  /** Read by the likeliest maker whose grammar it fits; without a number, what there would be. */
  static Optional<NumberVerdict> read(
      Specimen knife, Map<String, String> found, DatingVerdict dated, ReferenceShelf shelf) {
    GrammarRates rates = GrammarRates.of(shelf.judgement());
    Map<String, Maker> order = new LinkedHashMap<>();
    for (DatingVerdict.Attribution likely : dated.makers()) {
      if (likely.maker() != null) {
        shelf.maker(likely.maker()).ifPresent(m -> order.put(m.id(), m));
      }
    }
    if (knife.number() != null) {
      shelf.makers().forEach(m -> order.putIfAbsent(m.id(), m));
    }
    for (Maker maker : order.values()) {
      NumberGrammar grammar = maker.numbers();
      if (grammar == null) {
        continue;
      }
      String expected = grammar.encode(found).filter(Numbers::saysSomething).orElse(null);
      DecodedNumber decoded =
          knife.number() == null ? null : grammar.decode(knife.number(), found, rates).orElse(null);
      if (decoded != null) {
        return Optional.of(
            new NumberVerdict(
                maker.id(),
                maker.name(),
                decoded,
                grammar.completions(knife.number(), found, rates),
                expected,
                reasons(maker, grammar, decoded, found, dated, shelf)));
      }
      if (knife.number() == null && expected != null) {
        return Optional.of(
            new NumberVerdict(maker.id(), maker.name(), null, List.of(), expected, List.of()));
      }
    }
    return Optional.empty();
  }

  private static boolean saysSomething(String number) {
    return number.chars().anyMatch(Character::isDigit);
  }

  private static List<Contradictions.Reason> reasons(
      Maker maker,
      NumberGrammar grammar,
      DecodedNumber decoded,
      Map<String, String> found,
      DatingVerdict dated,
      ReferenceShelf shelf) {
    List<Against> against =
        decoded.fields().stream()
            .filter(f -> f.holds() == DecodedNumber.Holds.CONTRADICTS)
            .map(
                f -> {
                  Part part =
                      shelf
                          .clues()
                          .feature(f.meaning())
                          .map(Feature::part)
                          .map(shelf.clues()::part)
                          .orElse(null);
                  return new Against(
                      f,
                      part == null ? f.label() : part.label(),
                      of(dated, State.Kind.PART_REPLACED, part),
                      of(dated, State.Kind.OLDER_PART, part),
                      Contradictions.isInOneFigure(grammar, f, found));
                })
            .toList();
    return Contradictions.reasons(
        against, isNearChange(maker, dated.nineTenths()), NumberErrors.of(shelf.judgement()));
  }

  private static double of(DatingVerdict dated, State.Kind kind, @Nullable Part part) {
    return part == null
        ? 0
        : dated.states().stream()
            .filter(s -> s.state().kind() == kind && part.id().equals(s.state().part()))
            .mapToDouble(DatingVerdict.StateProbability::probability)
            .sum();
  }

  private static boolean isNearChange(Maker maker, @Nullable Span span) {
    return span != null
        && span.pieces().stream()
            .anyMatch(
                piece ->
                    maker.changes().stream()
                        .anyMatch(year -> year >= piece.from() - 1 && year <= piece.to() + 1));
  }
}
