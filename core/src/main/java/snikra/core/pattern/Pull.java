package snikra.core.pattern;

/** How a blade is got hold of. */
public record Pull(String id, String name, String recognise) {}
