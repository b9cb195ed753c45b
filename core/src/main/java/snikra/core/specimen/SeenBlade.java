package snikra.core.specimen;

import org.jspecify.annotations.Nullable;
import snikra.core.measure.Length;

/** One blade or tool as found; null is not looked at. The first of a knife is its main blade. */
public record SeenBlade(
    @Nullable String type, @Nullable End end, @Nullable Presses presses, @Nullable Length length) {}
