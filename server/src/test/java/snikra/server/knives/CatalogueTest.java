package snikra.server.knives;

import static java.util.Comparator.comparingInt;
import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyCollection;
import static org.mockito.Mockito.clearInvocations;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.StreamSupport;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;
import snikra.core.examination.Examiner;
import snikra.core.search.Card;
import snikra.core.search.Found;
import snikra.formats.Json;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;
import snikra.server.knives.Catalogue.Standing;
import snikra.server.reference.Verdicts;
import tools.jackson.databind.JsonNode;

class CatalogueTest {
  private static final Instant NOON = Instant.parse("2026-11-24T12:00:00Z");
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);
  private static final long PATIENCE_MS = 30_000;

  private final KnifeRepository knives = mock(KnifeRepository.class);
  private final CatalogueRepository kept = mock(CatalogueRepository.class);
  private final PlatformTransactionManager transactions = mock(PlatformTransactionManager.class);
  // Several hands write and read these at once, as they would a data base.
  private final Map<String, CatalogueRow> disk = new ConcurrentHashMap<>();
  private final Map<String, KnifeEntity> there = new ConcurrentHashMap<>();
  private volatile String references = "first";
  private Catalogue catalogue = begun();

  private Catalogue begun() {
    return new Catalogue(
        kept, knives, () -> EXAMINER, () -> references, new Verdicts(() -> EXAMINER), transactions);
  }

  @BeforeEach
  void aTrayOfMocks() {
    when(knives.standing())
        .thenAnswer(
            call ->
                there.values().stream()
                    .sorted(comparingInt(KnifeEntity::number))
                    .map(k -> new Standing(k.id(), k.number(), k.version()))
                    .toList());
    when(knives.findById(any()))
        .thenAnswer(call -> Optional.ofNullable(there.get(call.<String>getArgument(0))));
    when(knives.idsAmong(anyCollection()))
        .thenAnswer(
            call -> {
              Collection<String> asked = call.getArgument(0);
              HashSet<String> found = new HashSet<>(there.keySet());
              found.retainAll(asked);
              return found;
            });
    when(kept.findAll()).thenAnswer(call -> new ArrayList<>(disk.values()));
    when(kept.saveAll(any()))
        .thenAnswer(
            call -> {
              Iterable<CatalogueRow> rows = call.getArgument(0);
              List<CatalogueRow> all = StreamSupport.stream(rows.spliterator(), false).toList();
              all.forEach(r -> disk.put(r.knifeId(), r));
              return all;
            });
  }

  @AfterEach
  void shut() {
    catalogue.close();
  }

  private void lay(int from, int to) {
    for (int i = from; i <= to; i++) {
      lay("k" + i, i, "{\"title\":\"Knife %d\"}".formatted(i));
    }
  }

  private void lay(String id, int number, String text) {
    there.put(
        id,
        new KnifeEntity(
            id,
            number,
            text.startsWith("{\"title")
                ? SpecimenFormat.write(SpecimenFormat.readKept(text))
                : text,
            NOON));
  }

  private List<JsonNode> tray() throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    catalogue.write(out);
    List<JsonNode> all = new ArrayList<>();
    Json.mapper().readTree(out.toString(StandardCharsets.UTF_8)).forEach(all::add);
    return all;
  }

  private void settled() throws InterruptedException {
    long until = System.currentTimeMillis() + PATIENCE_MS;
    while (catalogue.left() > 0 && System.currentTimeMillis() < until) {
      Thread.sleep(10);
    }
    assertThat(catalogue.left()).isZero();
  }

  @Test
  void aFewKnivesAreWorkedOutWhileOneWaitsAndOnlyOnce() throws Exception {
    lay(1, 3);
    assertThat(tray())
        .extracting(k -> k.path("title").asString(""))
        .containsExactly("Knife 1", "Knife 2", "Knife 3");
    assertThat(tray().get(0).path("summary").path("title").isString()).isTrue();
    clearInvocations(knives);
    tray();
    verify(knives, never()).findById(any());
  }

  @Test
  void anEmptyTrayIsAnEmptyList() throws Exception {
    assertThat(tray()).isEmpty();
  }

  @Test
  void manyAreLeftToTheBackgroundAndToldAsNotWorkedOutYet() throws Exception {
    lay(1, Catalogue.AT_ONCE + 10);
    List<JsonNode> first = tray();
    assertThat(first).hasSize(Catalogue.AT_ONCE + 10);
    assertThat(first.get(first.size() - 1).path("pending").asBoolean(false)).isTrue();
    assertThat(first.get(first.size() - 1).path("number").asInt(0)).isEqualTo(34);
    settled();
    assertThat(tray())
        .allSatisfy(
            k -> {
              assertThat(k.has("pending")).isFalse();
              assertThat(k.has("summary")).isTrue();
            });
    assertThat(disk).hasSize(Catalogue.AT_ONCE + 10);
  }

  @Test
  void whatWasKeptIsNotWorkedOutAgainAfterARestart() throws Exception {
    lay(1, 3);
    tray();
    catalogue.close();
    assertThat(disk).hasSize(3);
    catalogue = begun();
    clearInvocations(knives);
    assertThat(tray()).allSatisfy(k -> assertThat(k.has("stale")).isFalse());
    verify(knives, never()).findById(any());
  }

  @Test
  void withOtherReferencesEveryRowIsShownAsItWasUntilItIsWorkedOutAnew() throws Exception {
    lay(1, Catalogue.AT_ONCE + 5);
    tray();
    settled();
    references = "second";
    assertThat(tray()).allSatisfy(k -> assertThat(k.has("summary")).isTrue());
    settled();
    assertThat(tray()).allSatisfy(k -> assertThat(k.has("stale")).isFalse());
    assertThat(disk.values()).allSatisfy(r -> assertThat(r.isBy("second")).isTrue());
  }

  @Test
  void aRowOfOtherReferencesSaysThatItIsStale() throws Exception {
    lay(1, Catalogue.AT_ONCE + 5);
    there
        .values()
        .forEach(
            k ->
                disk.put(
                    k.id(),
                    new CatalogueRow(
                        k.id(),
                        0,
                        "older",
                        "{\"id\":\"" + k.id() + "\",\"number\":1}",
                        Json.mapper().writeValueAsString(Card.unread(k.number())))));
    List<JsonNode> stale = tray();
    assertThat(stale.get(stale.size() - 1).path("stale").asBoolean(false)).isTrue();
    settled();
  }

  private List<Integer> found(String search) {
    return catalogue.find(new FoundBy(search, Map.of())).hits().stream()
        .map(Found.Hit::number)
        .toList();
  }

  @Test
  void aSearchSeesWhatCameAndWhatWent() {
    lay(1, 3);
    assertThat(found("knife")).containsExactly(1, 2, 3);
    assertThat(found("before 1930")).isEmpty();
    there.remove("k2");
    catalogue.changed(new TrayChanged());
    lay("k4", 4, "{\"title\":\"Late jack\"}");
    lay("broken", 5, "{");
    catalogue.changed(new TrayChanged());
    assertThat(found("")).containsExactly(1, 3, 4, 5);
    assertThat(found("jack")).containsExactly(4);
    assertThat(found("5")).containsExactly(5);
    there.clear();
    catalogue.forget();
    assertThat(found("")).isEmpty();
  }

  @Test
  void aSearchAmongManyAnswersBeforeAllAreWorkedOut() throws Exception {
    lay(1, Catalogue.AT_ONCE + 20);
    found("knife");
    settled();
    assertThat(found("knife")).hasSize(Catalogue.AT_ONCE + 20);
    clearInvocations(knives);
    assertThat(found("knife")).hasSize(Catalogue.AT_ONCE + 20);
    verify(knives, never()).standing();
  }

  @Test
  void oneThatCannotBeReadIsToldAndKeepsNoOther() throws Exception {
    lay("broken", 1, "{");
    lay(2, 2);
    List<JsonNode> both = tray();
    assertThat(both.get(0).path("unreadable").isString()).isTrue();
    assertThat(both.get(1).path("title").asString("")).isEqualTo("Knife 2");
  }

  @Test
  void aSavedKnifeIsWorkedOutBeforeAnyoneAsks() throws Exception {
    lay(1, 1);
    KnifeEntity k = there.get("k1");
    catalogue.saved(new SavedKnife("k1", 1, 0, NOON, SpecimenFormat.readKept(k.specimen())));
    long until = System.currentTimeMillis() + PATIENCE_MS;
    while (catalogue.entry("k1") == null && System.currentTimeMillis() < until) {
      Thread.sleep(10);
    }
    assertThat(catalogue.entry("k1")).contains("Knife 1");
  }

  @Test
  void whatCouldNotBeKeptIsKeptLater() throws Exception {
    lay(1, 2);
    tray();
    doThrow(new IllegalStateException("full")).when(transactions).commit(any());
    catalogue.keep();
    disk.clear();
    org.mockito.Mockito.reset(transactions);
    catalogue.keep();
    assertThat(disk).hasSize(2);
  }

  @Test
  void aKnifeThatWentForGoodLeavesNoRow() throws Exception {
    lay(1, 2);
    tray();
    there.remove("k2");
    catalogue.keep();
    assertThat(disk).containsOnlyKeys("k1");
    assertThat(tray()).hasSize(1);
  }

  @Test
  void exchangedKnivesAreReadAnew() throws Exception {
    lay(1, 1);
    tray();
    catalogue.forget();
    there.clear();
    lay("k1", 1, "{\"title\":\"Another\"}");
    assertThat(tray().get(0).path("title").asString("")).isEqualTo("Another");
  }

  @Test
  void whatIsStillOpenWhenItStopsKeepsNobodyWaitingAndIsWorkedOutAfterTheNextStart()
      throws Exception {
    lay(1, 400);
    tray();
    catalogue.close();
    int before = disk.size();
    assertThat(before).isLessThan(400);
    catalogue = begun();
    tray();
    settled();
    assertThat(disk).hasSize(400);
  }
}
