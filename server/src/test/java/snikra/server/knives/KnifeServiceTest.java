package snikra.server.knives;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.transaction.PlatformTransactionManager;
import snikra.core.examination.Examiner;
import snikra.core.specimen.Specimen;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;

class KnifeServiceTest {
  private static final Instant NOON = Instant.parse("2026-11-24T12:00:00Z");
  private static final Specimen MINE = SpecimenFormat.readKept("{\"title\":\"Mine\"}");
  private final KnifeRepository knives = mock(KnifeRepository.class);
  private final PlatformTransactionManager transactions = mock(PlatformTransactionManager.class);
  private final Examiner examiner = new Examiner(ShippedShelf.load(), 2026);
  private final List<Object> told = new ArrayList<>();
  private final KnifeService service =
      new KnifeService(
          knives, () -> examiner, transactions, told::add, Clock.fixed(NOON, ZoneOffset.UTC));
  private final KnifeEntity kept =
      new KnifeEntity("k", 1, SpecimenFormat.write(Specimen.unseen()), NOON);

  @BeforeEach
  void oneKnifeIsKept() {
    when(knives.saveAndFlush(any())).thenAnswer(call -> call.getArgument(0));
    when(knives.findById("k")).thenReturn(Optional.of(kept));
    when(knives.findByDeletedAtIsNullOrderByNumber()).thenReturn(List.of(kept));
  }

  @Test
  void aLostRaceIsToldAsSuchWithWhatIsKept() {
    doThrow(new OptimisticLockingFailureException("raced")).when(transactions).commit(any());

    assertThatThrownBy(() -> service.change("k", 0, MINE))
        .isInstanceOfSatisfying(
            KnifeChangedMeanwhile.class, e -> assertThat(e.current().id()).isEqualTo("k"));
  }

  @Test
  void aChangeToAnotherVersionIsNotMade() {
    assertThatThrownBy(() -> service.change("k", 7, MINE))
        .isInstanceOf(KnifeChangedMeanwhile.class)
        .hasMessageContaining("version 7")
        .hasMessageContaining("version 0");
    assertThat(told).isEmpty();
    verify(transactions).rollback(any());
  }

  @Test
  void aDeletedKnifeIsOutOfReachUntilItIsPutBack() {
    service.delete("k");

    assertThatThrownBy(() -> service.get("k")).isInstanceOf(NoSuchKnife.class);
    assertThatThrownBy(() -> service.delete("k")).isInstanceOf(NoSuchKnife.class);
    assertThat(service.restore("k").id()).isEqualTo("k");
    assertThat(service.get("k").updatedAt()).isEqualTo(NOON);
  }

  @Test
  void anUnknownKnifeIsSaidToBeUnknown() {
    assertThatThrownBy(() -> service.get("x")).hasMessageContaining("no knife x");
  }

  @Test
  void aKnifeThatWasTakenOutIsDueAfterThirtyDaysAndNotAnHourBefore() {
    KnifeEntity out = new KnifeEntity("o", 2, SpecimenFormat.write(MINE), NOON);
    out.delete(NOON);
    when(knives.findByDeletedAtIsNotNullOrderByDeletedAtDesc()).thenReturn(List.of(out));

    assertThat(at(NOON.plus(Duration.ofDays(29).plusHours(23).plusMinutes(59))).due()).isEmpty();
    assertThat(at(NOON.plus(Duration.ofDays(30))).due()).isEmpty();
    assertThat(at(NOON.plus(Duration.ofDays(30).plusSeconds(1))).due()).containsExactly("o");
    assertThat(at(NOON).takenOut())
        .singleElement()
        .satisfies(
            k -> {
              assertThat(k.title()).isEqualTo("Mine");
              assertThat(k.until()).isEqualTo(NOON.plus(Duration.ofDays(30)));
            });
  }

  @Test
  void aSaveThatComesAgainIsAcknowledgedOnlyWhenTheDiskTakesIt() {
    doThrow(new org.springframework.dao.DataAccessResourceFailureException("full"))
        .when(transactions)
        .commit(any());
    assertThatThrownBy(() -> service.add("k", MINE)).hasMessageContaining("full");
    assertThatThrownBy(() -> service.change("k", 0, Specimen.unseen()))
        .hasMessageContaining("full");
    assertThat(told).isEmpty();
  }

  private KnifeService at(Instant now) {
    return new KnifeService(
        knives, () -> examiner, transactions, told::add, Clock.fixed(now, ZoneOffset.UTC));
  }

  @Test
  void aKnifeInTheTrayIsNotLetGoForGood() {
    assertThatThrownBy(() -> service.requireTakenOut("k")).isInstanceOf(NoSuchKnife.class);
    service.forget("k");
    verify(knives, org.mockito.Mockito.never()).delete(any());
  }

  @Test
  void whatCannotBeReadIsToldByNumberAndTheRestIsRead() {
    KnifeEntity broken = new KnifeEntity("b", 5, "{", NOON);
    when(knives.findByDeletedAtIsNullOrderByNumber()).thenReturn(List.of(broken, kept));
    assertThat(service.unreadable()).singleElement().asString().startsWith("Knife 5:");
    assertThat(service.all()).extracting(SavedKnife::id).containsExactly("k");
  }

  @Test
  void theVersionHandedOutIsTheOneThatWasMade() {
    SavedKnife saved = service.change("k", 0, MINE);
    assertThat(saved.specimen()).isEqualTo(MINE);
    verify(knives, times(2)).findById("k");
    assertThat(told).containsExactly(saved);
  }
}
