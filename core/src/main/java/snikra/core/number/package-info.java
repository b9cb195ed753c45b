/**
 * Pattern numbers. A number is a sentence: {@link snikra.core.number.NumberGrammar} says how a
 * maker built it, decodes one (worn figures included) and holds it against the knife.
 */
@NullMarked
package snikra.core.number;

import org.jspecify.annotations.NullMarked;
