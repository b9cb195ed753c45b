/**
 * Words of the trade and where they are found on a knife. Start with {@link
 * snikra.core.glossary.Glossary}.
 */
@NullMarked
package snikra.core.glossary;

import org.jspecify.annotations.NullMarked;
