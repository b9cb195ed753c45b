/** The numbers of judgement: priors and rates nobody can look up, each with its reason. */
@NullMarked
package snikra.core.judgement;

import org.jspecify.annotations.NullMarked;
