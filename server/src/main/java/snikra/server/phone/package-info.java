/** A phone in the same network as camera: only while asked for, for one knife, over HTTPS. */
@NullMarked
package snikra.server.phone;

import org.jspecify.annotations.NullMarked;
