package snikra.server.parcel;

import java.util.List;
import java.util.Map;

/**
 * What a parcel would bring, before anything is taken in.
 *
 * @param made when it was written, as an instant
 * @param knives how many stand how to what is here
 * @param asked those that were changed in both places: which to keep is for the collector to say
 * @param books what each book would bring, where it brings or differs in anything
 * @param photographs how many are not here
 */
record ParcelTold(
    String made,
    Map<Standing, Integer> knives,
    List<Asked> asked,
    List<BookTold> books,
    int photographs) {

  /** A knife changed here and there, with when each was changed last. */
  record Asked(String id, int number, String ours, String theirs, String here, String there) {}

  /**
   * A book of a parcel.
   *
   * @param fresh entries that are not here
   * @param different entries that are otherwise here: what is here stays
   */
  record BookTold(String book, int fresh, int different) {}
}
