package snikra.core.sets;

import static org.assertj.core.api.Assertions.assertThat;
import static snikra.core.fixture.Shelf.mark;
import static snikra.core.fixture.Shelf.model;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;
import snikra.core.reference.History.Model;
import snikra.core.reference.History.Years;
import snikra.core.reference.Maker;
import snikra.core.sets.SetBoard.Cell;
import snikra.core.sets.SetBoard.From;
import snikra.core.sets.SetBoard.Held;
import snikra.core.sets.SetBoard.Owned;
import snikra.core.sets.SetBoard.Row;
import snikra.core.sets.SetBoard.Stand;

class SetBoardTest {
  private static final From FROM = new From(0.5, 0.1);

  // Marks of 1880 to 1900 and of 1901 to 1930, each within a year.
  private static Maker maker(Model... models) {
    return Shelf.maker(
        "thrale",
        List.of(models),
        List.of(mark("late", 1901, 1930, "THRALE"), mark("early", 1880, 1900, "THRALE")));
  }

  private static final Maker THRALE =
      maker(model("12", 1890, 1910, Map.of()), model("7", 1902, 1920, Map.of()));

  private static Owned knife(
      int number,
      @Nullable String model,
      @Nullable String mark,
      double chance,
      @Nullable Integer grade) {
    return new Owned(number, new Fit("thrale", model, mark, chance), grade);
  }

  private static Cell cell(SetBoard board, @Nullable String model, String mark) {
    Row row =
        board.rows().stream()
            .filter(r -> model == null ? r.model() == null : model.equals(r.model()))
            .findFirst()
            .orElseThrow();
    return row.cells().stream().filter(c -> c.mark().equals(mark)).findFirst().orElseThrow();
  }

  private static SetBoard board(Owned... knives) {
    return SetBoard.of(THRALE, List.of(knives), FROM, null);
  }

  @Test
  void aPlaceIsWhereMarkAndModelWereInUseTogether() {
    SetBoard empty = board();
    assertThat(empty.marks()).extracting(SetBoard.Column::mark).containsExactly("early", "late");
    assertThat(empty.rows()).extracting(Row::model).containsExactly(null, "12", "7");
    assertThat(cell(empty, "12", "early"))
        .isEqualTo(new Cell("early", Stand.MISSING, true, 1890, 1900, List.of()));
    assertThat(cell(empty, "12", "late"))
        .isEqualTo(new Cell("late", Stand.MISSING, true, 1901, 1910, List.of()));
    assertThat(cell(empty, "7", "early").stand()).isEqualTo(Stand.NEVER);
    assertThat(empty.possible()).isEqualTo(3);
    assertThat(empty.owned()).isZero();
  }

  @Test
  void whereTheMarkMayBeOutByAsMuchItIsNotSaidThatThereNeverWasOne() {
    SetBoard near = SetBoard.of(maker(model("7", 1901, 1920, Map.of())), List.of(), FROM, null);
    assertThat(cell(near, "7", "early").stand()).isEqualTo(Stand.MISSING);
  }

  @Test
  void marksOnFileForAModelStandInPlaceOfThoseOfTheMaker() {
    SetBoard told =
        SetBoard.of(
            maker(model("12", 1890, 1910, Map.of("late", new Years(1905, 1910)))),
            List.of(),
            FROM,
            null);
    assertThat(cell(told, "12", "early").stand()).isEqualTo(Stand.NEVER);
    assertThat(cell(told, "12", "late").from()).isEqualTo(1905);
  }

  @Test
  void aKnifeFillsAPlaceFromHalfOnAndMayBeInItFromOneInTen() {
    SetBoard some =
        board(
            knife(1, "12", "early", 0.5, null),
            knife(2, "12", "late", 0.49, null),
            knife(3, "7", "late", 0.09, null));
    assertThat(cell(some, "12", "early").stand()).isEqualTo(Stand.OWNED);
    assertThat(cell(some, "12", "late").stand()).isEqualTo(Stand.PERHAPS);
    assertThat(cell(some, "7", "late").stand()).isEqualTo(Stand.MISSING);
    assertThat(some.owned()).isEqualTo(1);
    From other = new From(0.4, 0.05);
    SetBoard looser =
        SetBoard.of(
            THRALE,
            List.of(knife(2, "12", "late", 0.49, null), knife(3, "7", "late", 0.09, null)),
            other,
            null);
    assertThat(cell(looser, "12", "late").stand()).isEqualTo(Stand.OWNED);
    assertThat(cell(looser, "7", "late").stand()).isEqualTo(Stand.PERHAPS);
    assertThat(From.of(Shelf.invented().judgement())).isEqualTo(FROM);
  }

  @Test
  void theLikeliestKnifeOfAPlaceStandsFirst() {
    assertThat(
            cell(
                    board(knife(1, "12", "early", 0.6, null), knife(2, "12", "early", 0.9, null)),
                    "12",
                    "early")
                .held())
        .containsExactly(new Held(2, 0.9), new Held(1, 0.6));
  }

  @Test
  void aKnifeWithoutANumberCountsByItsMarkAndOneWithoutAMarkByItsNumber() {
    SetBoard some = board(knife(1, null, "late", 0.9, null), knife(2, "7", null, 0.8, null));
    assertThat(cell(some, null, "late").stand()).isEqualTo(Stand.OWNED);
    assertThat(cell(some, "7", "late").stand()).isEqualTo(Stand.MISSING);
    assertThat(some.rows().get(2).unread()).containsExactly(new Held(2, 0.8));
    assertThat(some.owned()).isZero();
  }

  @Test
  void aKnifeThatWasNeverMadeSoIsTold() {
    SetBoard odd = board(knife(1, "7", "early", 0.9, null));
    assertThat(cell(odd, "7", "early").stand()).isEqualTo(Stand.AGAINST);
    assertThat(odd.possible()).isEqualTo(3);
    assertThat(odd.owned()).isZero();
  }

  @Test
  void aBetterOneIsWantedWhereAllThatAreOwnedAreKnownToBeWorse() {
    List<Owned> knives =
        List.of(
            knife(1, "12", "early", 0.9, 5),
            knife(2, "12", "late", 0.9, 5),
            knife(3, "12", "late", 0.9, 3),
            knife(4, "7", "late", 0.9, null));
    SetBoard choosy = SetBoard.of(THRALE, knives, FROM, 3);
    assertThat(cell(choosy, "12", "early").stand()).isEqualTo(Stand.BETTER_WANTED);
    assertThat(cell(choosy, "12", "late").stand()).isEqualTo(Stand.OWNED);
    assertThat(cell(choosy, "7", "late").stand()).isEqualTo(Stand.OWNED);
    assertThat(choosy.better()).isEqualTo(1);
    assertThat(choosy.owned()).isEqualTo(3);
  }

  @Test
  void whereNoModelIsOnFileTheMarksAreTheSet() {
    SetBoard marks = SetBoard.of(maker(), List.of(knife(1, null, "early", 1, null)), FROM, null);
    assertThat(marks.possible()).isEqualTo(2);
    assertThat(marks.owned()).isEqualTo(1);
  }

  @Test
  void knivesOfOthersDoNotCount() {
    Owned other = new Owned(1, new Fit("lisk", "12", "early", 1), null);
    assertThat(board(other).owned()).isZero();
  }

  @Test
  void aPieceOfATimeOfChangeLiesBetweenTwoMarks() {
    SetBoard told =
        board(
            knife(1, "12", "early", 0.375, null),
            knife(1, "12", "late", 0.25, null),
            knife(2, "12", "early", 0.8, null),
            knife(2, "12", "late", 0.15, null),
            knife(3, "12", "early", 0.2, null),
            knife(3, "12", "late", 0.2, null),
            knife(4, "12", "late", 0.45, null));
    Row twelve = told.rows().get(1);
    assertThat(twelve.between())
        .containsExactly(new SetBoard.Between("early", "late", new Held(1, 0.625)));
    assertThat(told.rows().get(2).between()).isEmpty();
  }
}
