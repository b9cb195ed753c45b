package snikra.formats;

/**
 * A column of a table and what it is taken for.
 *
 * @param title as it is headed, or its place
 * @param field what it is taken for
 * @param sample the first cell with something in it
 */
public record ColumnRead(String title, String field, String sample) {}
