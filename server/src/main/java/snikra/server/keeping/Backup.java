package snikra.server.keeping;

import java.time.Instant;

/**
 * A copy of all that is kept.
 *
 * @param name of its folder
 * @param bytes of the database in it; photographs are shared among copies
 */
public record Backup(
    String name, Instant made, Reason reason, int knives, int photographs, long bytes) {

  /** Why it was made. */
  public enum Reason {
    BY_HAND,
    DAILY,
    BEFORE_UPGRADE,
    BEFORE_RESTORE,
    BEFORE_PARCEL;

    @Override
    public String toString() {
      return name().toLowerCase(java.util.Locale.ROOT).replace('_', '-');
    }
  }
}
