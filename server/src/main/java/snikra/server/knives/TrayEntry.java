package snikra.server.knives;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Examiner;
import snikra.core.examination.Sketch;

/**
 * A knife as it lies in the tray.
 *
 * @param title the collector's own name for it
 * @param summary null where it cannot be read
 * @param sketch null where it cannot be read
 * @param unreadable why it cannot be read; null where it can
 * @param pending whether nothing is worked out of it yet
 * @param stale whether a newer one is still being worked out
 * @param place where it lies
 * @param tags null where it has none
 */
public record TrayEntry(
    String id,
    int number,
    long version,
    @Nullable String title,
    Examiner.@Nullable Summary summary,
    @Nullable Sketch sketch,
    @Nullable String unreadable,
    @Nullable Boolean pending,
    @Nullable Boolean stale,
    @Nullable String place,
    @Nullable List<String> tags) {

  static TrayEntry of(SavedKnife knife, Examiner.Summary summary, Sketch sketch) {
    return new TrayEntry(
        knife.id(),
        knife.number(),
        knife.version(),
        knife.specimen().title(),
        summary,
        sketch,
        null,
        null,
        null,
        knife.specimen().place(),
        knife.specimen().tags().isEmpty() ? null : knife.specimen().tags());
  }

  static TrayEntry pending(String id, int number, long version) {
    return new TrayEntry(id, number, version, null, null, null, null, true, null, null, null);
  }

  static TrayEntry unreadable(String id, int number, long version, String why) {
    return new TrayEntry(id, number, version, null, null, null, why, null, null, null, null);
  }
}
