package snikra.core.quick;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.quick.PocketTable.Outcome;
import snikra.core.quick.PocketTable.Walk;
import snikra.core.quick.QuickBook.Answer;
import snikra.core.quick.QuickBook.Check;
import snikra.core.quick.QuickBook.Rate;
import snikra.core.quick.QuickBook.Step;
import snikra.core.quick.QuickVerdict.Call;

/** Who walks the table comes to the same as who works it out. */
class PocketTableTest {
  private static final int WALKS = 10_000;

  private static Check check(String id, boolean byMaker, double... worth) {
    Answer[] answers = new Answer[worth.length];
    for (int i = 0; i < worth.length; i++) {
      answers[i] = new Answer(id + i, "", "", 1.0 / worth.length, worth[i], id + i + " speaks");
    }
    return new Check(id, "", "", byMaker, 0.1, List.of(answers));
  }

  private static final QuickBook BOOK =
      new QuickBook(
          new Rate(0.3, ""),
          new Rate(0.1, ""),
          new Rate(0.8, ""),
          new Rate(0.6, ""),
          List.of(new Step(60.0, 1), new Step(200.0, 5), new Step(null, 50)),
          List.of(),
          List.of(
              check("maker", true, 2.5, 1, 0.4),
              check("build", false, 1.3, 0.5),
              check("blades", false, 1.5, 0.9, 0.3)));

  private static final QuickLook LOOK = new QuickLook(BOOK);
  private static final PocketTable TABLE = PocketTable.of(BOOK);

  @Test
  void everyAnswerHasItsPlace() {
    assertThat(TABLE.open().checks()).containsExactly("maker", "build", "blades");
    assertThat(TABLE.open().outcomes()).hasSize(4 * 3 * 4);
    assertThat(TABLE.named().checks()).containsExactly("build", "blades");
    assertThat(TABLE.named().outcomes()).hasSize(3 * 4);
  }

  @Test
  void aWalkComesToWhatTheLookComesTo() {
    Random random = new Random(1905);
    for (int walk = 0; walk < WALKS; walk++) {
      boolean isNamed = random.nextBoolean();
      Walk table = isNamed ? TABLE.named() : TABLE.open();
      Map<String, String> answers = new HashMap<>();
      int place = 0;
      for (int c = 0; c < table.checks().size(); c++) {
        List<String> of = table.answers().get(c);
        int answer = random.nextInt(of.size() + 1);
        place = place * (of.size() + 1) + answer;
        if (answer > 0) {
          answers.put(table.checks().get(c), of.get(answer - 1));
        }
      }
      Double ordinary = random.nextInt(5) == 0 ? null : 5 + 400 * random.nextDouble();
      Double asked = random.nextInt(4) == 0 ? null : (double) random.nextInt(600);
      assertThat(walked(table, place, ordinary, asked))
          .isEqualTo(told(LOOK.look(answers, ordinary, isNamed, asked)));
    }
  }

  private static List<String> told(QuickVerdict verdict) {
    return List.of(
        "" + verdict.call(), "" + verdict.pay(), "" + verdict.reason(), "" + verdict.next());
  }

  // As the pocket file walks it: comparing, and no more.
  private static List<String> walked(
      Walk table, int place, @Nullable Double ordinary, @Nullable Double asked) {
    Outcome outcome = table.outcomes().get(place);
    Double pay = ordinary == null ? null : rung(outcome.pay() * ordinary);
    Call call = outcome.call();
    if (ordinary != null && asked != null) {
      call =
          asked <= pay
              ? Call.BUY
              : asked > outcome.drop() * ordinary ? Call.PUT_DOWN : Call.LOOK_CLOSER;
    }
    Integer why = call == Call.PUT_DOWN ? outcome.against() : outcome.speaks();
    return List.of(
        "" + call,
        "" + pay,
        why == null ? "null" : TABLE.reasons().get(why),
        outcome.next() == null ? "null" : table.checks().get(outcome.next()));
  }

  private static double rung(double amount) {
    double told = 0;
    for (double rung : TABLE.rungs()) {
      told = rung <= amount ? rung : told;
    }
    return told;
  }

  @Test
  void amountsAreToldAsTheyAreAtTheBench() {
    Random random = new Random(3);
    for (int i = 0; i < 2000; i++) {
      double amount = Math.exp(11 * random.nextDouble());
      assertThat(rung(amount)).isEqualTo(LOOK.down(amount));
    }
  }
}
