/**
 * Reading worn marks. {@link snikra.core.mark.MarkReader} holds what can still be read of a tang
 * against every mark on the shelf by a noisy channel: how likely is it that this mark, worn, would
 * be read like that? A reading by chance (the letters of an unlisted maker) is the standing rival.
 */
@NullMarked
package snikra.core.mark;

import org.jspecify.annotations.NullMarked;
