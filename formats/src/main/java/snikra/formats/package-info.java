/**
 * The open formats. {@link snikra.formats.SpecimenFormat} reads and writes knives, {@link
 * snikra.formats.PackFormat} reads reference packs, {@link snikra.formats.ShippedShelf} is the
 * shelf that comes with the application. What is read is first held against its published JSON
 * Schema; all errors are reported at once, each with its place, what stands there and what is
 * accepted.
 */
@NullMarked
package snikra.formats;

import org.jspecify.annotations.NullMarked;
