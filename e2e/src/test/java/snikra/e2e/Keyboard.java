package snikra.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Keyboard.TypeOptions;
import com.microsoft.playwright.Page;

/** A person who has no mouse; counts the keys pressed. */
final class Keyboard {
  private static final int MOST_TABS = 80;

  /** A pause from key to key; what comes quicker is taken for a wedge instrument. */
  private static final int HAND_MS = 35;

  private final Page page;
  private int keys;

  Keyboard(Page page) {
    this.page = page;
  }

  Page page() {
    return page;
  }

  int keys() {
    return keys;
  }

  Keyboard press(String key) {
    page.keyboard().press(key);
    keys++;
    return this;
  }

  Keyboard type(String text) {
    page.keyboard().type(text, new TypeOptions().setDelay(HAND_MS));
    keys += text.length();
    return this;
  }

  /** Presses Tab until the control with this name has the focus. */
  Keyboard tabTo(String name) {
    return goTo(name, "Tab");
  }

  /** Goes on to the right, in a group of buttons, until the one with this name has the focus. */
  Keyboard arrowTo(String name) {
    return goTo(name, "ArrowRight");
  }

  private Keyboard goTo(String name, String key) {
    for (int i = 0; i < MOST_TABS; i++) {
      Object label =
          page.evaluate(
              "() => { const e = document.activeElement; return e?.getAttribute('aria-label')"
                  + " ?? e?.labels?.[0]?.textContent ?? e?.textContent ?? '' }");
      if (is(name, String.valueOf(label).strip())) {
        return this;
      }
      press(key);
      // Within a group the focus moves in a turn of its own after the key.
      page.evaluate("() => new Promise((done) => setTimeout(() => setTimeout(done)))");
    }
    throw new AssertionError(key + " never reaches " + name);
  }

  // A star at the end of a name stands for a count, or for whatever else goes on there.
  private static boolean is(String name, String label) {
    return name.endsWith("*")
        ? label.startsWith(name.substring(0, name.length() - 1))
        : label.equals(name);
  }

  /** Single keys wait while text is entered: steps out of the field first. */
  Keyboard leave() {
    assertThat(page.getByPlaceholder("type any name")).hasCount(0);
    return press("Escape");
  }
}
