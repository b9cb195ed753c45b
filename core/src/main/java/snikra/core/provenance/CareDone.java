package snikra.core.provenance;

import org.jspecify.annotations.Nullable;

/**
 * Something that was done to keep a knife, or to mend it.
 *
 * @param work what was done, by the care book
 * @param by who did it
 * @param gradeBefore the grade by the condition book, as it was before
 * @param photoBefore a photograph of the knife taken before, by its id
 */
public record CareDone(
    EdtfDate date,
    String work,
    @Nullable String by,
    @Nullable String note,
    @Nullable String gradeBefore,
    @Nullable String gradeAfter,
    @Nullable String photoBefore,
    @Nullable String photoAfter) {

  /** Something that was done, and no more is known of it. */
  public CareDone(EdtfDate date, String work) {
    this(date, work, null, null, null, null, null, null);
  }
}
