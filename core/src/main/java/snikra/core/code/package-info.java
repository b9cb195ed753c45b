/**
 * Codes by which a year can be told: those makers struck ({@link snikra.core.code.CodeScheme}), and
 * numbers of patents and designs that run by year ({@link snikra.core.code.NumberTable}).
 */
@NullMarked
package snikra.core.code;

import org.jspecify.annotations.NullMarked;
