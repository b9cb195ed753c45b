package snikra.core.pattern;

/** How springs and blades are laid out, and what of it shows from the back. */
public record SpringLayout(String id, String name, int springs, String explain, String looksLike) {}
