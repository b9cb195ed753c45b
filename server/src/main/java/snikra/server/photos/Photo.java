package snikra.server.photos;

import org.jspecify.annotations.Nullable;

/**
 * A photograph as told.
 *
 * @param width of the copy that is shown, upright, in pixels
 * @param takenAt by the camera's clock, where it says so
 */
public record Photo(
    String id,
    PhotoRole role,
    String fileName,
    int width,
    int height,
    long sizeBytes,
    @Nullable String takenAt) {}
