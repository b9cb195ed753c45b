/**
 * Where a knife has been: holders and events with uncertain dates. {@link
 * snikra.core.provenance.EdtfDate} reads dates as people are able to give them; a story that says
 * the knife existed by a year is evidence for the dating, as good as its source.
 */
@NullMarked
package snikra.core.provenance;

import org.jspecify.annotations.NullMarked;
