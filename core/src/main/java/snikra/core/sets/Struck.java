package snikra.core.sets;

/**
 * A year that a code on a knife stands for in one way of dating of a maker.
 *
 * @param scheme id of that way
 * @param chance that the knife is of this maker and the code of this year
 */
public record Struck(String maker, String scheme, int year, double chance) {}
