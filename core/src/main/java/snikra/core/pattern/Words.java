package snikra.core.pattern;

/** Words that several sentences share. */
final class Words {
  private static final String[] NUMBERS = {
    "no", "one", "two", "three", "four", "five", "six", "seven", "eight", "nine"
  };

  private Words() {}

  /** A small number in words. */
  static String number(int n) {
    return n >= 0 && n < NUMBERS.length ? NUMBERS[n] : Integer.toString(n);
  }

  static String press(boolean both) {
    return both ? "main bears on both springs" : "main bears on one spring only";
  }
}
