package snikra.server.knives;

import org.jspecify.annotations.Nullable;
import snikra.core.examination.Examiner;
import snikra.core.examination.Sketch;

/**
 * A knife in the tray.
 *
 * @param title the collector's own name for it
 */
public record TrayEntry(
    String id,
    int number,
    long version,
    @Nullable String title,
    Examiner.Summary summary,
    Sketch sketch) {}
