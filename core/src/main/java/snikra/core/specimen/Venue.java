package snikra.core.specimen;

import java.util.Locale;

/** Where a knife is sold: prices of one trade are told by it from those of another. */
public enum Venue {
  SALE_ROOM,
  DEALER,
  FAIR,
  ONLINE,
  PRIVATE;

  @Override
  public String toString() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
