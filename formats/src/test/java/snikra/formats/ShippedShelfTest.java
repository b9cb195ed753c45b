package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import snikra.core.care.CareBook;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.condition.ConditionBook;
import snikra.core.examination.Station;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.Frame;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.ShieldForm;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;

class ShippedShelfTest {
  private final ReferenceShelf shelf = ShippedShelf.load();

  @Test
  void holdsWhatTheFirstPathNeeds() {
    assertThat(shelf.patterns().patterns()).hasSizeGreaterThanOrEqualTo(12);
    assertThat(shelf.makers()).hasSizeGreaterThanOrEqualTo(4);
    assertThat(shelf.makers().stream().mapToInt(m -> m.marks().size()).sum())
        .isGreaterThanOrEqualTo(10);
    assertThat(dated()).hasSizeGreaterThanOrEqualTo(20);
    assertThat(shelf.condition().points()).hasSizeGreaterThanOrEqualTo(12);
  }

  @Test
  void everyPatternNamesKnownFramesBladesAndRivals() {
    Set<String> frames = ids(shelf.patterns().frames().stream().map(Frame::id).toList());
    Set<String> blades = ids(shelf.patterns().blades().stream().map(BladeType::id).toList());
    Set<String> patterns = ids(shelf.patterns().patterns().stream().map(Pattern::id).toList());
    for (Pattern p : shelf.patterns().patterns()) {
      assertThat(frames).as(p.id()).containsAll(p.frames().keySet());
      assertThat(patterns).as(p.id()).containsAll(p.tellApart().keySet());
      p.slots().forEach(s -> assertThat(blades).as(p.id()).containsAll(s.types().keySet()));
      assertThat(p.closedLengthMm().typical())
          .as(p.id())
          .isBetween(p.closedLengthMm().min(), p.closedLengthMm().max());
    }
  }

  @Test
  void everyAnswerThatIsDrawnHasItsOutline() {
    Set<String> blades = ids(shelf.patterns().blades().stream().map(BladeType::id).toList());
    List<String> drawn =
        shelf.clues().features().stream()
            .filter(f -> !f.id().equals("handle_material"))
            .flatMap(f -> f.clues().stream())
            .map(Clue::drawnAs)
            .filter(java.util.Objects::nonNull)
            .toList();
    assertThat(drawn).hasSizeGreaterThan(12);
    assertThat(blades).containsAll(drawn);
  }

  @Test
  void everyMaterialHasATextureAndEveryShieldAForm() {
    assertThat(shelf.clues().feature("handle_material").orElseThrow().clues())
        .allSatisfy(c -> assertThat(c.drawnAs()).as(c.id()).isNotBlank());
    List<String> shields =
        shelf.clues().feature("shield_shape").orElseThrow().clues().stream()
            .map(Clue::id)
            .filter(id -> !id.equals("none"))
            .toList();
    assertThat(shelf.patterns().shields())
        .extracting(ShieldForm::id)
        .containsExactlyInAnyOrderElementsOf(shields);
  }

  @Test
  void everyOutlineRunsFromOneEndToTheOther() {
    for (Frame f : shelf.patterns().frames()) {
      assertThat(f.profile().get(0).get(0)).as(f.id()).isZero();
      assertThat(f.profile().get(f.profile().size() - 1).get(0)).as(f.id()).isEqualTo(1.0);
      for (int i = 1; i < f.profile().size(); i++) {
        assertThat(f.profile().get(i).get(0)).isGreaterThan(f.profile().get(i - 1).get(0));
      }
    }
  }

  @Test
  void everyClueGivesItsReasonAndBelongsToAStation() {
    for (Feature f : shelf.clues().features()) {
      assertThat(Station.ids()).contains(f.station());
      for (Clue c : f.clues()) {
        assertThat(c.why()).as(f.id() + "." + c.id()).isNotBlank();
        assertThat(c.lookFor()).as(f.id() + "." + c.id()).isNotBlank();
      }
    }
  }

  @Test
  void aHardBoundRestsOnLawOrInventionAndIsNeverImitable() {
    assertThat(dated())
        .filteredOn(c -> c.notAfter() != null && c.imitable())
        .allSatisfy(c -> assertThat(c.notAfter().firmness().toString()).isEqualTo("soft"));
  }

  @Test
  void makersWorkInKnownRegionsAndMarkTheirYears() {
    for (Maker m : shelf.makers()) {
      assertThat(m.marks()).allSatisfy(v -> assertThat(v.to()).isGreaterThanOrEqualTo(v.from()));
      assertThat(m.changes()).allSatisfy(c -> assertThat(c).isBetween(1700, 2026));
    }
  }

  @Test
  void whatANameAsksForCanBeAnsweredInTheClueBook() {
    List<Pattern.Asked> asked =
        shelf.patterns().patterns().stream().flatMap(p -> p.asks().stream()).toList();
    assertThat(asked).isNotEmpty();
    Stream.concat(asked.stream(), shelf.patterns().dividers().values().stream())
        .forEach(
            one -> {
              assertThat(answersTo(one.feature())).containsAll(one.answers().keySet());
              assertThat(Station.ids()).contains(one.station());
            });
    shelf
        .patterns()
        .mechanisms()
        .forEach(
            of ->
                Stream.of(of.shows(), of.askWhen())
                    .flatMap(m -> m.entrySet().stream())
                    .filter(e -> !e.getKey().equals("bolsters"))
                    .forEach(e -> assertThat(answersTo(e.getKey())).containsAll(e.getValue())));
  }

  private List<String> answersTo(String feature) {
    return shelf.clues().feature(feature).orElseThrow().clues().stream().map(Clue::id).toList();
  }

  @Test
  void boxesAskForAnswersThatCanBeGiven() {
    assertThat(shelf.condition().boxes()).isNotEmpty();
    shelf
        .condition()
        .boxes()
        .forEach(
            box ->
                box.when()
                    .forEach(
                        (asked, answers) -> {
                          List<String> known =
                              shelf
                                  .clues()
                                  .feature(asked)
                                  .map(f -> f.clues().stream().map(Clue::id).toList())
                                  .orElseGet(
                                      () ->
                                          shelf
                                              .condition()
                                              .point(asked)
                                              .orElseThrow()
                                              .findings()
                                              .stream()
                                              .map(ConditionBook.Finding::id)
                                              .toList());
                          assertThat(known).as(box.id()).containsAll(answers);
                        }));
  }

  @Test
  void whatNumbersFittingsAndModelsSpeakOfCanBeAnswered() {
    for (Maker maker : shelf.makers()) {
      if (maker.numbers() != null) {
        maker
            .numbers()
            .fields()
            .forEach(f -> f.codes().values().forEach(c -> answers(maker, f.meaning(), c.values())));
      }
      maker.history().allFittings().forEach(f -> answers(maker, f.feature(), List.of(f.value())));
      maker
          .history()
          .models()
          .forEach(
              m -> {
                m.options().forEach(o -> answers(maker, o.feature(), List.of(o.value())));
                m.tells().forEach(t -> answers(maker, t.trait(), List.copyOf(t.likely().keySet())));
              });
    }
  }

  private void answers(Maker maker, String feature, List<String> values) {
    shelf
        .clues()
        .feature("" + feature)
        .ifPresent(
            f ->
                assertThat(f.clues().stream().map(Clue::id).toList())
                    .as(maker.id() + ": " + feature)
                    .containsAll(values));
  }

  private List<Clue> dated() {
    return shelf.clues().features().stream()
        .flatMap(f -> f.clues().stream())
        .filter(Clue::isDated)
        .toList();
  }

  private static Set<String> ids(List<String> ids) {
    Set<String> set = ids.stream().collect(Collectors.toSet());
    assertThat(set).hasSameSizeAs(ids);
    return set;
  }

  @Test
  void whatCountsOfAKnifeThatIsCarriedIsInTheBooks() {
    ReferenceShelf shelf = ShippedShelf.load();
    CareBook.Carrying carrying = java.util.Objects.requireNonNull(shelf.care().carrying());
    assertThat(shelf.measures().quantities())
        .anyMatch(q -> q.id().equals(carrying.weight()) && q.station().equals("handle"));
    assertThat(shelf.condition().point(carrying.wear())).isPresent();
    assertThat(shelf.condition().school(carrying.school())).isPresent();
  }
}
