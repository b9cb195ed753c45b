package snikra.formats;

/** What a column of a table may be taken for. */
public record TableField(String id, String label) {}
