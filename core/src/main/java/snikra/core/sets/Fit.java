package snikra.core.sets;

import org.jspecify.annotations.Nullable;

/**
 * What a knife is taken for among all that is on file of a maker.
 *
 * @param model its number, as on file; null where no number was read that is on file
 * @param mark id of it; null where none of the maker's was read
 * @param chance that it is so, above 0
 */
public record Fit(String maker, @Nullable String model, @Nullable String mark, double chance) {}
