package snikra.server.photos;

import org.jspecify.annotations.Nullable;

/**
 * A photograph as told.
 *
 * @param type jpeg or png; pdf of a paper, which is kept as it is and shown as a drawn sheet
 * @param width of the copy that is shown, upright, in pixels
 * @param takenAt by the camera's clock, where it says so
 */
public record Photo(
    String id,
    PhotoRole role,
    String fileName,
    String type,
    int width,
    int height,
    long sizeBytes,
    @Nullable String takenAt) {}
