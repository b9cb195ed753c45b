/** Work done beside other work, where a second core is idle. */
@NullMarked
package snikra.core.meanwhile;

import org.jspecify.annotations.NullMarked;
