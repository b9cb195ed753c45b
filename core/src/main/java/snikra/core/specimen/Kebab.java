package snikra.core.specimen;

import java.util.Locale;

/** Constants are written in files as lower case with hyphens. */
final class Kebab {
  private Kebab() {}

  static String of(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
