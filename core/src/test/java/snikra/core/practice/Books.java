package snikra.core.practice;

import java.util.Arrays;
import java.util.List;
import snikra.core.dating.State;
import snikra.core.practice.PracticeBook.HowMade;
import snikra.core.practice.PracticeBook.Setting;

/** Invented ways to practise. */
final class Books {
  static final PracticeBook BOOK = with(6, 2, 1, 2, 0.3);

  private Books() {}

  static PracticeBook with(
      double glances, double leastLooks, double weakest, double leastRounds, double worthTelling) {
    return new PracticeBook(
        set(glances),
        set(10),
        set(leastLooks),
        set(20),
        set(weakest),
        set(leastRounds),
        set(worthTelling),
        set(0.5),
        List.of(set(0.1), set(0.2)),
        Arrays.stream(State.Kind.values())
            .map(k -> new HowMade(k.toString(), "Label", "Look"))
            .toList());
  }

  private static Setting set(double value) {
    return new Setting(value, "for a test");
  }
}
