/**
 * What a knife is worth, from sales of others. {@link snikra.core.value.Appraiser} brings each sale
 * to the knife and weighs it by its likeness, as a process over all of them; what is not known of
 * the knife goes in with its probability. Numbers are of the book of judgement.
 */
@NullMarked
package snikra.core.value;

import org.jspecify.annotations.NullMarked;
