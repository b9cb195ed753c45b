package snikra.core.value;

/** A sale and the id it is kept under. */
public record KeptSale(String id, Sale sale) {}
