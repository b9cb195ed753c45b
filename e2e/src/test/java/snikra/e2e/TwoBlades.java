package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Page;

/** An ordinary jack of two blades, entered whole by the keyboard. */
final class TwoBlades {
  // Station, control, what is typed; a picture or a list is chosen by the start of its name.
  private static final String[][] STEPS = {
    {"1", "Any outline", "swell-end", "Enter"},
    {"", "Closed length", "3 1/2", "Enter"},
    {"", "Bolsters", "bolsters at both", "Enter"},
    {"2", "", "", "+"},
    {"", "Main blade: kind", "spear", "Enter"},
    {"", "", "", "Escape"},
    {"", "", "", "+"},
    {"", "Blade 2: kind", "pen b", "Enter"},
    {"", "Blade 2: end", "A", "Escape"},
    {"3", "Line 1 of the mark", "VELDRAKE", "Enter"},
    {"", "Line 2 of the mark", "TARNM..R FALLS", "Escape"},
    {"4", "Number as struck", "14/41", "Enter"},
    {"5", "How the shield is held", "shield held by p", "Enter"},
    {"6", "Handle material", "bone, j", "Enter"},
    {"", "Jigging of the bone", "deep", "Enter"},
    {"7", "Liners", "Liners of b", "Escape"},
    {"8", "None of the other*", "", "Enter"},
    {"c", "Blade wear", "honed", "Enter"},
    {"", "Steel", "E", ""},
    {"", "Handle", "No c", "Escape"},
    {"s", "", "", "+"}
  };

  /** A step out of a blade to the next is none. */
  static final int ANSWERS = STEPS.length - 1;

  // What one looks at on a blade: kind, spring, length, half stop, etch, swedge, edge, pull.
  private static final String[][] FIRST = {
    {"", "Main blade: kind", "spear", "Enter"},
    {"", "Main blade: presses", "o", ""},
    {"", "Main blade: length", "2 3/4", ""},
    {"", "Pull, half stop*", "", "Enter"},
    {"", "Half stop", "S", ""},
    {"", "Etch on the blade", "N", ""},
    {"", "Swedge on the back", "N", ""},
    {"", "Edge", "P", ""},
    {"", "Pull on the main blade", "N", "Escape"}
  };

  private static final String[][] SECOND = {
    {"", "Blade 2: kind", "pen b", "Enter"},
    {"", "", "", "="},
    {"", "Blade 2: end", "A", ""},
    {"", "Blade 2: presses", "o", ""},
    {"", "Blade 2: length", "2", "Escape"}
  };

  private TwoBlades() {}

  /** Enters all one looks at on a main blade and on a second; how many keys each took. */
  static int[] enterBlades(Page page) {
    return new int[] {
      steps(new Keyboard(page).press("+"), FIRST).keys(),
      steps(new Keyboard(page).press("+"), SECOND).keys()
    };
  }

  /** Lays out a new knife and enters it; the answer is how many keys that took. */
  static int enter(Page page) {
    Keyboard hands = new Keyboard(page).press("n");
    assertThat(page.locator("#station-name")).hasText("Pattern");
    steps(hands, STEPS);
    BenchPage bench = new BenchPage(page);
    assertThat(bench.title()).hasText("Swell-end jack");
    assertThat(bench.opinion()).containsText("Veldrake");
    return hands.keys();
  }

  private static Keyboard steps(Keyboard hands, String[][] steps) {
    for (String[] step : steps) {
      if (!step[0].isEmpty()) {
        hands.press(step[0]);
        assertThat(hands.page().locator("#station")).isFocused();
      }
      if (!step[1].isEmpty()) {
        hands.tabTo(step[1]).type(step[2]);
      }
      if (!step[3].isEmpty()) {
        hands.press(step[3]);
      }
    }
    return hands;
  }
}
