package snikra.core.condition;

import java.util.List;

/**
 * How one collection judges: which school heads every page, and schools of its own.
 *
 * @param heads id of a school of the book or of its own
 */
public record OwnSchools(String heads, List<School> own) {
  public OwnSchools {
    own = own == null ? List.of() : List.copyOf(own);
  }

  /** The book as it ships. */
  public static OwnSchools none(ConditionBook book) {
    return new OwnSchools(book.schools().get(0).id(), List.of());
  }
}
