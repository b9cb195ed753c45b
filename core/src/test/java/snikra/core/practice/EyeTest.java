package snikra.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.dating.Reliability;
import snikra.core.practice.Unveiled.Question;
import snikra.core.practice.Unveiled.Scored;

class EyeTest {
  private static Scored maker(double sure, double right, double own, double models) {
    return new Scored(Question.MAKER, "said", sure, right, "was", "model", own, models);
  }

  private static Scored years(String said, double right, String model, double own, double models) {
    return new Scored(Question.YEARS, said, 0.9, right, "1910", model, own, models);
  }

  private static Unveiled round(String maker, int year, Scored... answers) {
    return new Unveiled(List.of(answers), maker, year, "", List.of());
  }

  private static Eye eye(List<Unveiled> rounds) {
    return Eye.of(rounds, Books.BOOK);
  }

  @Test
  void whoNeverGuessedHasAnEyeOfWhichNothingIsKnown() {
    Eye eye = eye(List.of());
    assertThat(eye.rounds()).isZero();
    assertThat(eye.choices()).isEmpty();
    assertThat(eye.spans()).isNull();
    assertThat(eye.lately()).isEmpty();
  }

  @Test
  void howOftenOneIsRightIsHeldAgainstHowSureOneWas() {
    List<Unveiled> rounds = new ArrayList<>();
    for (int i = 0; i < 10; i++) {
      rounds.add(round("m", 1910, maker(0.75, i < 6 ? 1 : 0, 2, 1.5)));
    }
    Eye.Chosen maker = eye(rounds).choices().get(0);
    assertThat(maker.count()).isEqualTo(10);
    assertThat(maker.own()).isEqualTo(2);
    assertThat(maker.models()).isEqualTo(1.5);
    assertThat(maker.reliability().tenths())
        .containsExactly(new Reliability.Tenth(7, 10, 0.75, 0.6));
    assertThat(maker.reliability().expectedError()).isCloseTo(0.15, within(1e-12));
  }

  @Test
  void yearsAreHeldOrNotAndTheirMiddleLengthStandsBesideTheModels() {
    Eye.NamedYears spans =
        eye(List.of(
                round("m", 1910, years("1900/1909", 0, "1900/1919", 30, 20)),
                round("m", 1910, years("1900/1929", 1, "1900/1904", 30, 5)),
                round("m", 1910, years("1905/1914", 1, "1900/1959", 10, 60))))
            .spans();
    assertThat(spans.count()).isEqualTo(3);
    assertThat(spans.held()).isCloseTo(2.0 / 3, within(1e-12));
    assertThat(spans.length()).isEqualTo(10);
    assertThat(spans.models()).isEqualTo(20);
    assertThat(spans.own()).isCloseTo(70.0 / 3, within(1e-12));
    assertThat(spans.modelsOwn()).isCloseTo(85.0 / 3, within(1e-12));
  }

  private static final List<Unveiled> UNEVEN =
      List.of(
          round("bad", 1912, maker(0.5, 0, 5, 1), years("1/2", 0, "1/2", 90, 20)),
          round("bad", 1915, maker(0.5, 0, 4, 1), years("1/2", 0, "1/2", 80, 20)),
          round("fair", 1921, maker(0.5, 0, 2, 1), years("1/2", 0, "1/2", 30, 20)),
          round("fair", 1929, maker(0.5, 0, 2, 1), years("1/2", 0, "1/2", 30, 20)),
          round("once", 1951, maker(0.5, 0, 9, 1), years("1/2", 0, "1/2", 200, 20)),
          round("good", 1933, maker(0.5, 1, 1, 3), years("1/2", 1, "1/2", 10, 20)),
          round("good", 1934, maker(0.5, 1, 1, 3), years("1/2", 1, "1/2", 10, 20)));

  @Test
  void weakIsWhereOneLosesToTheModelMoreThanOnceTheWorstFirst() {
    Eye one = eye(UNEVEN);
    assertThat(one.weakMakers()).containsExactly(new Eye.Weak("bad", 2, 3.5));
    assertThat(one.weakDecades()).containsExactly(new Eye.Weak("1910", 2, 65));
    Eye more = Eye.of(UNEVEN, Books.with(6, 2, 5, 2, 0.3));
    assertThat(more.weakMakers()).extracting(Eye.Weak::of).containsExactly("bad", "fair");
    Eye sooner = Eye.of(UNEVEN, Books.with(6, 2, 1, 1, 0.3));
    assertThat(sooner.weakMakers()).extracting(Eye.Weak::of).containsExactly("once");
  }

  @Test
  void aDrillIsOfAWeakMakerOrAWeakDecade() {
    Eye eye = eye(UNEVEN);
    assertThat(eye.isWeakIn(knife("bad", 1880))).isTrue();
    assertThat(eye.isWeakIn(knife("good", 1919))).isTrue();
    assertThat(eye.isWeakIn(knife("good", 1920))).isFalse();
  }

  private static Truth knife(String maker, int year) {
    return new Truth(Map.of(maker, 1.0), Map.of(), List.of(), Map.of(), year, new double[] {1});
  }

  @Test
  void oneSeesHowOneDoesOverTime() {
    List<Unveiled> rounds = new ArrayList<>();
    for (int i = 0; i < 12; i++) {
      rounds.add(round("m", 1910, maker(0.5, 1, i < 10 ? 3 : 1, 1)));
    }
    assertThat(eye(rounds).lately())
        .containsExactly(new Eye.Lately(10, 2.0, null), new Eye.Lately(2, 0.0, null));
  }
}
