/**
 * Respects in which knives are alike or not, how often each answer is met at large, and how knives
 * of a pattern look: what models, hands and knives are held against one another by.
 */
@NullMarked
package snikra.core.trait;

import org.jspecify.annotations.NullMarked;
