/**
 * Is it one of these: a knife held against two to four lookalikes, models on file or other knives,
 * tell by tell. {@link snikra.core.resemblance.Likeness} weighs each tell by how much likelier what
 * was seen is on the lookalike than on knives at large, in decibans.
 */
@NullMarked
package snikra.core.resemblance;

import org.jspecify.annotations.NullMarked;
