package snikra.server.journal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;
import snikra.core.examination.Examiner;
import snikra.core.reference.Maker;
import snikra.formats.InvalidInput;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedKnife;
import snikra.server.reference.Verdicts;

class JournalTest {
  private static final Instant NOON = Instant.parse("2026-11-24T12:00:00Z");
  private static final Examiner SHIPPED = new Examiner(ShippedShelf.load(), 2026);
  private static final String BONE =
      "\"handle_material\":{\"value\":\"acetal\",\"sureness\":\"sure\"}";

  private final JournalRepository rows = mock(JournalRepository.class);
  private final KnifeService knives = mock(KnifeService.class);
  private final Map<String, JournalEntity> kept = new LinkedHashMap<>();
  private Consumer<Runnable> inBackground = Runnable::run;
  private Instant now = NOON;
  private Examiner examiner = SHIPPED;
  private final Journal journal =
      new Journal(
          rows,
          knives,
          new Verdicts(() -> examiner),
          () -> examiner,
          () -> "" + examiner.shelf().makers().size(),
          mock(PlatformTransactionManager.class),
          task -> inBackground.accept(task),
          clock());

  private Clock clock() {
    return new Clock() {
      @Override
      public ZoneOffset getZone() {
        return ZoneOffset.UTC;
      }

      @Override
      public Clock withZone(java.time.ZoneId zone) {
        return this;
      }

      @Override
      public Instant instant() {
        return now;
      }
    };
  }

  @BeforeEach
  void rowsAreKept() {
    when(rows.save(any()))
        .thenAnswer(
            call -> {
              JournalEntity row = call.getArgument(0);
              kept.put(row.id(), row);
              return row;
            });
    doAnswer(call -> kept.remove(call.<JournalEntity>getArgument(0).id())).when(rows).delete(any());
    when(rows.findById(any()))
        .thenAnswer(call -> Optional.ofNullable(kept.get(call.<String>getArgument(0))));
    when(rows.findByKnifeIdAndRemovedAtIsNullOrderByBegunAt("k")).thenAnswer(call -> there());
    when(rows.findTop2ByKnifeIdAndRemovedAtIsNullOrderByBegunAtDesc("k"))
        .thenAnswer(
            call -> {
              List<JournalEntity> last = new ArrayList<>(there());
              Collections.reverse(last);
              return last.subList(0, Math.min(2, last.size()));
            });
  }

  private List<JournalEntity> there() {
    return kept.values().stream().filter(e -> !e.isRemoved()).toList();
  }

  private void sit(String json) {
    SavedKnife knife = new SavedKnife("k", 1, 0, now, SpecimenFormat.read(json, SHIPPED.shelf()));
    when(knives.get("k")).thenReturn(knife);
    journal.saved(knife);
  }

  private void later(Duration by) {
    now = now.plus(by);
  }

  @Test
  void changesWithinOneSittingMakeOneEntry() {
    sit("{\"frame\":\"canoe\"}");
    later(Duration.ofMinutes(29));
    sit("{\"frame\":\"canoe\",\"closedLength\":\"3 5/8 in\"}");

    assertThat(journal.of("k")).hasSize(1);
    assertThat(journal.of("k").get(0).changes())
        .extracting(c -> c.label())
        .containsExactly("Outline", "Closed length");
    assertThat(journal.of("k").get(0).at()).isEqualTo(NOON);
  }

  @Test
  void aLaterSittingIsAnEntryThatTellsWhatChangedAndWhatItDid() {
    sit("{\"bolsters\":\"both-ends\"}");
    later(Duration.ofDays(3));
    sit("{\"bolsters\":\"both-ends\",\"seen\":{" + BONE + "}}");

    List<JournalEntry> entries = journal.of("k");
    assertThat(entries).hasSize(2);
    assertThat(entries.get(0).changes()).hasSize(1);
    assertThat(entries.get(0).changes().get(0).before()).isNull();
    assertThat(entries.get(0).changes().get(0).label()).isEqualTo("Handle material");
    assertThat(entries.get(0).because().get(0)).contains("years later");
    assertThat(entries.get(0).opinion().span().from()).isGreaterThan(1900);
    assertThat(entries.get(1).opinion().span()).isNull();
  }

  @Test
  void whatIsUndoneInTheSameSittingLeavesNoEntry() {
    sit("{\"frame\":\"canoe\"}");
    sit("{}");
    assertThat(journal.of("k")).isEmpty();
  }

  @Test
  void anOwnOpinionStandsBesideTheEnginesAndNeitherChangesTheOther() {
    sit("{\"seen\":{" + BONE + "}}");
    JournalEntry own = journal.write("k", new Journal.Written("Too early for me.", true, "193X"));
    assertThat(own.own().from()).isEqualTo(1930);
    assertThat(own.own().to()).isEqualTo(1939);
    assertThat(own.own().probability()).isLessThan(0.05);
    assertThat(own.opinion().span().from()).isGreaterThan(1900);

    sit("{\"seen\":{" + BONE + "},\"number\":\"3\"}");
    assertThat(journal.of("k")).hasSize(3);
    assertThat(journal.of("k").get(1).own().held()).isEqualTo("193X");
    assertThat(journal.question(own.id(), false).own().question()).isFalse();

    journal.remove(own.id(), true);
    assertThat(journal.of("k")).hasSize(2);
    journal.remove(own.id(), false);
    assertThat(journal.of("k")).hasSize(3);
  }

  @Test
  void referencesThatMoveTheOpinionByThemselvesAreToldApart() {
    String marked =
        "{\"marks\":[{\"blade\":1,\"face\":\"mark\",\"state\":\"read\",\"lines\":[\"VELDRAKE\",\"TARNMOOR FALLS\"]}]%s}";
    sit(marked.formatted(""));
    later(Duration.ofDays(1));
    examiner = SHIPPED.with(SHIPPED.shelf().withMakers(List.of()));
    sit(marked.formatted(",\"number\":\"3\""));
    assertThat(journal.of("k").get(0).referencesMoved()).isTrue();
  }

  @Test
  void otherReferencesThatMoveNothingAreNotTold() {
    sit("{\"frame\":\"canoe\",\"seen\":{%s}}".formatted(BONE));
    later(Duration.ofDays(1));
    List<Maker> without = SHIPPED.shelf().makers();
    examiner = SHIPPED.with(SHIPPED.shelf().withMakers(without.subList(1, without.size())));
    sit("{\"frame\":\"canoe\",\"number\":\"3\",\"seen\":{%s}}".formatted(BONE));
    assertThat(journal.of("k")).hasSize(2);
    assertThat(journal.of("k").get(0).referencesMoved()).isFalse();
  }

  @Test
  void aSittingGoesOnAfterARestOfThirtyMinutesAndNoLonger() {
    sit("{\"frame\":\"canoe\"}");
    later(Duration.ofMinutes(30));
    sit("{\"frame\":\"canoe\",\"closedLength\":\"3 5/8 in\"}");
    assertThat(journal.of("k")).hasSize(1);
    later(Duration.ofMinutes(30).plusSeconds(1));
    sit("{\"frame\":\"canoe\",\"closedLength\":\"3 3/4 in\"}");
    assertThat(journal.of("k")).hasSize(2);
  }

  @Test
  void ofTwoSavesThatWaitTheLaterVersionIsEnteredWhicheverIsToldFirst() {
    inBackground = task -> {};
    SavedKnife later = at(2, "{\"frame\":\"canoe\"}");
    when(knives.get("k")).thenReturn(later);
    journal.saved(later);
    journal.saved(at(1, "{\"frame\":\"swell-end\"}"));
    assertThat(journal.of("k").get(0).changes())
        .singleElement()
        .satisfies(c -> assertThat(c.toString()).containsIgnoringCase("canoe"));
  }

  private SavedKnife at(long version, String json) {
    return new SavedKnife("k", 1, version, now, SpecimenFormat.read(json, SHIPPED.shelf()));
  }

  @Test
  void whatCannotBeWrittenIsRefusedByName() {
    sit("{}");
    assertThatThrownBy(() -> journal.write("k", new Journal.Written(" ", false, null)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("note");
    assertThatThrownBy(() -> journal.write("k", new Journal.Written("", false, "the thirties")))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("held")
        .hasMessageContaining("the thirties");
    assertThatThrownBy(() -> journal.write("k", new Journal.Written("x".repeat(4001), false, null)))
        .hasMessageContaining("4001 characters");
    assertThatThrownBy(() -> journal.question("none", true)).hasMessageContaining("none");
  }

  @Test
  void theAnswerOfASaveDoesNotWaitAndWhatIsPendingIsEnteredBeforeItIsReadOrSnikraStops() {
    List<Runnable> later = new ArrayList<>();
    inBackground = later::add;
    sit("{\"frame\":\"canoe\"}");
    assertThat(kept).isEmpty();
    assertThat(journal.of("k")).hasSize(1);

    sit("{\"frame\":\"canoe\",\"closedLength\":\"3 5/8 in\"}");
    journal.close();
    assertThat(kept).hasSize(1);
    later.forEach(Runnable::run);
    assertThat(journal.of("k")).hasSize(1);
    assertThat(journal.of("k").get(0).changes()).hasSize(2);
  }
}
