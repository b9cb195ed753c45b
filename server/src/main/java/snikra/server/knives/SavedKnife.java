package snikra.server.knives;

import java.time.Instant;
import snikra.core.specimen.Specimen;

/**
 * A knife as kept.
 *
 * @param version to send back with a change
 */
public record SavedKnife(
    String id, int number, long version, Instant updatedAt, Specimen specimen) {}
