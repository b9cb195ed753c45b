package snikra.core.pattern;

/**
 * Where a handle has bolsters.
 *
 * @param label the words for it after "it asks for"
 */
public record BolsterLayout(String id, String label, String recognise) {}
