package snikra.core.specimen;

import java.util.Locale;

/**
 * What may be looked for and not be found: on most knives nobody ever struck it, or it wore away.
 */
public enum Sought {
  NUMBER,
  CODE;

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT);
  }
}
