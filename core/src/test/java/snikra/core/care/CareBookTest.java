package snikra.core.care;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.care.CareBook.Advice;
import snikra.core.care.CareBook.Told;
import snikra.core.care.CareBook.Work;
import snikra.core.provenance.CareDone;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;

class CareBookTest {
  private static final CareBook BOOK =
      new CareBook(
          List.of(new Work("looked", "Looked over"), new Work("oiled", "Oiled")),
          List.of(
              advice("apart", Map.of("smell", List.of("sharp")), null, "looked"),
              advice("yearly", Map.of("cover", List.of("celluloid")), 12, "looked"),
              advice("oil", Map.of("steel", List.of("rust", "pits")), 6, "oiled", "looked")));

  private static Advice advice(
      String id, Map<String, List<String>> any, @Nullable Integer months, String... settledBy) {
    return new Advice(id, "Do " + id, "Why.", "Mind.", any, months, List.of(settledBy));
  }

  private static CareDone done(String date, String work) {
    return new CareDone(EdtfDate.parse(date), work);
  }

  private static Specimen knife(
      Map<String, Seen<String>> seen,
      Map<String, Seen<String>> condition,
      List<SeenBlade> blades,
      CareDone... log) {
    Specimen s = Specimen.unseen();
    return new Specimen(
        null,
        null,
        null,
        null,
        null,
        null,
        blades,
        List.of(),
        null,
        List.of(),
        List.of(),
        List.of(),
        seen,
        condition,
        List.of(),
        List.of(),
        s.measured(),
        s.notFound(),
        List.of(log),
        null,
        List.of());
  }

  private static Specimen celluloid(CareDone... log) {
    return knife(Map.of("cover", Seen.sure("celluloid")), Map.of(), List.of(), log);
  }

  @Test
  void adviceIsForKnivesThatShowOneOfItsAnswers() {
    assertThat(ids(knife(Map.of("cover", Seen.sure("bone")), Map.of(), List.of()))).isEmpty();
    assertThat(ids(celluloid())).containsExactly("yearly");
    assertThat(ids(knife(Map.of(), Map.of("steel", Seen.sure("pits")), List.of())))
        .containsExactly("oil");
    assertThat(
            ids(
                knife(
                    Map.of(),
                    Map.of("steel", new Seen<>(null, snikra.core.specimen.Sureness.CANNOT_TELL)),
                    List.of())))
        .isEmpty();
  }

  @Test
  void whatAnyBladeShowsCounts() {
    SeenBlade second =
        new SeenBlade(
            null,
            null,
            null,
            null,
            null,
            null,
            List.of(),
            null,
            Map.of(),
            Map.of("steel", Seen.sure("rust")));
    assertThat(ids(knife(Map.of(), Map.of(), List.of(second)))).containsExactly("oil");
  }

  @Test
  void theMostPressingStandsFirst() {
    Map<String, Seen<String>> seen =
        Map.of("cover", Seen.sure("celluloid"), "smell", Seen.sure("sharp"));
    assertThat(ids(knife(seen, Map.of("steel", Seen.sure("rust")), List.of())))
        .containsExactly("apart", "yearly", "oil");
  }

  @Test
  void itIsDueSoManyMonthsAfterTheLastWorkThatSeesToIt() {
    Told never = only(celluloid());
    assertThat(never.again()).isTrue();
    assertThat(never.last()).isNull();
    assertThat(never.due()).isNull();

    Told seenTo =
        only(
            celluloid(
                done("2024-03-05", "looked"),
                done("2023-01-01", "looked"),
                done("2026-01-01", "oiled")));
    assertThat(seenTo.last()).isEqualTo(LocalDate.of(2024, 3, 5));
    assertThat(seenTo.due()).isEqualTo(LocalDate.of(2025, 3, 5));
    assertThat(only(celluloid(done("2024", "looked"))).due()).isEqualTo(LocalDate.of(2025, 1, 1));
    assertThat(only(celluloid(done("2024-05-06~", "looked"))).last())
        .isEqualTo(LocalDate.of(2019, 1, 1));
  }

  @Test
  void whatIsDoneOnceAndForAllIsAdvisedNoMore() {
    Map<String, Seen<String>> seen = Map.of("smell", Seen.sure("sharp"));
    assertThat(ids(knife(seen, Map.of(), List.of()))).containsExactly("apart");
    assertThat(ids(knife(seen, Map.of(), List.of(), done("2024", "oiled"))))
        .containsExactly("apart");
    assertThat(ids(knife(seen, Map.of(), List.of(), done("2024", "looked")))).isEmpty();
  }

  @Test
  void remindersAreOfWhatComesAgainAndWhatNeverWasComesFirst() {
    Map<String, Seen<String>> seen =
        Map.of("cover", Seen.sure("celluloid"), "smell", Seen.sure("sharp"));
    Map<String, Seen<String>> rusty = Map.of("steel", Seen.sure("rust"));
    assertThat(BOOK.reminders(knife(seen, rusty, List.of())).stream().map(Told::id))
        .containsExactly("yearly", "oil");
    assertThat(
            BOOK.reminders(knife(seen, rusty, List.of(), done("2024-01-01", "looked"))).stream()
                .map(Told::id))
        .containsExactly("oil", "yearly");
    assertThat(
            BOOK
                .reminders(
                    knife(
                        seen,
                        rusty,
                        List.of(),
                        done("2024-01-01", "looked"),
                        done("2026-01-01", "oiled")))
                .stream()
                .map(Told::id))
        .containsExactly("yearly", "oil");
  }

  @Test
  void whatSeesToAdviceMustBeAWork() {
    List<Advice> unheardOf = List.of(advice("a", Map.of("x", List.of("y")), 1, "sung-to"));
    assertThatThrownBy(() -> new CareBook(List.of(), unheardOf))
        .hasMessage("settledBy of a must be a work of the book; found sung-to");
  }

  private static Told only(Specimen knife) {
    List<Told> all = BOOK.advise(knife);
    assertThat(all).hasSize(1);
    return all.get(0);
  }

  private static List<String> ids(Specimen knife) {
    return BOOK.advise(knife).stream().map(Told::id).toList();
  }
}
