package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import snikra.core.examination.Station;
import snikra.core.glossary.Glossary;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Place;

class GlossaryFormatTest {
  private static final double TOO_CLOSE = 0.03;

  private final ReferenceShelf shelf = ShippedShelf.load();
  private final Glossary glossary = ShippedShelf.glossary(shelf);

  @Test
  void everyWordIsMetAtAStation() {
    for (Glossary.Term term : glossary.terms()) {
      assertThat(term.asked()).as(term.id()).isNotEmpty();
      assertThat(Station.ids()).as(term.id()).containsAll(term.asked());
    }
    assertThat(glossary.terms()).extracting(Glossary.Term::id).doesNotHaveDuplicates();
  }

  @Test
  void noTwoWordsLieOnOneAnotherInTheDrawing() {
    List<Glossary.Term> placed = glossary.terms().stream().filter(t -> t.at() != null).toList();
    assertThat(placed).hasSizeGreaterThan(15);
    Set<String> close = new HashSet<>();
    for (Glossary.Term a : placed) {
      for (Glossary.Term b : placed) {
        if (!a.id().equals(b.id()) && isClose(a.at(), b.at())) {
          close.add(a.id() + " and " + b.id());
        }
      }
    }
    assertThat(close).isEmpty();
  }

  private static boolean isClose(Place a, Place b) {
    return Objects.equals(a.blade(), b.blade())
        && Math.abs(a.along() - b.along()) < TOO_CLOSE
        && Math.abs(a.across() - b.across()) < 10 * TOO_CLOSE;
  }

  @Test
  void aLabelThatMeansSomethingElseLeadsNowhere() {
    List<String> labels = List.of("cap lifter", "trade mark notice", "second line of the mark");
    List<String> asked =
        shelf.clues().features().stream().map(f -> f.label().toLowerCase(Locale.ROOT)).toList();
    assertThat(asked).containsAll(labels);
    for (Glossary.Term term : glossary.terms()) {
      for (String name : term.names()) {
        String word = "(?i).*\\b" + Pattern.quote(name) + "\\b.*";
        assertThat(labels).as(term.id()).noneMatch(label -> label.matches(word));
      }
    }
  }

  @Test
  void partsThatAreAskedAboutHaveTheirWord() {
    String asked =
        String.join(" ", shelf.clues().features().stream().map(f -> f.label()).toList())
            .toLowerCase(Locale.ROOT);
    for (String part : List.of("kick", "swedge", "half stop", "spacer", "shield", "bail", "pins")) {
      assertThat(asked).contains(part);
      assertThat(glossary.terms())
          .as(part)
          .anyMatch(t -> t.names().stream().anyMatch(n -> n.equalsIgnoreCase(part)));
    }
  }
}
