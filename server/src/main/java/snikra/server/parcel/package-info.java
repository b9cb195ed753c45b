/** The whole collection as one file in open formats, out and back without loss. */
@NullMarked
package snikra.server.parcel;

import org.jspecify.annotations.NullMarked;
