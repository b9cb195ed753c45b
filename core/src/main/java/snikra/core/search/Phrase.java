package snikra.core.search;

/**
 * A stretch of a search that was understood as one.
 *
 * @param from first letter of it in the search
 * @param to letter after the last
 */
public record Phrase(int from, int to, Condition condition) {}
