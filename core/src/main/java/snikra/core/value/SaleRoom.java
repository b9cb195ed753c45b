package snikra.core.value;

import java.time.LocalDate;

/** A sale room that tells what it sold, whatever it is connected by. */
public interface SaleRoom {

  /** Its short name in an address. */
  String id();

  /** What people call it. */
  String label();

  /** Whether what it tells is made up, for trying things out. */
  boolean isStandIn();

  /**
   * What it sold on these days and those between: one line for each lot, its fields parted by tabs;
   * the first line names the fields. Read as any table of sales is.
   *
   * @throws Silent when it does not answer
   */
  String report(LocalDate from, LocalDate to);

  /** A room that does not answer. */
  class Silent extends RuntimeException {
    private static final long serialVersionUID = 1L;

    /** Silent for this reason, told in a sentence. */
    public Silent(String sentence) {
      super(sentence);
    }
  }
}
