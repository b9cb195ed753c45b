/**
 * The geometry of blades and frames. {@link snikra.core.profile.Outline} smooths the rows of a
 * shape and answers for heights and areas; {@link snikra.core.profile.BladeWear} holds a measured
 * blade against its full outline and says how much is left. Lengths are in the units of the caller.
 */
@NullMarked
package snikra.core.profile;

import org.jspecify.annotations.NullMarked;
