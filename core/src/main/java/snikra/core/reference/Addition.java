package snikra.core.reference;

import java.util.List;
import org.jspecify.annotations.Nullable;
import snikra.core.code.CodeScheme;
import snikra.core.number.NumberGrammar;

/**
 * What is told of a maker that another pack tells of. Where that pack is not in use, neither is it.
 *
 * @param to id of the maker
 * @param codes each in place of the one with its id
 * @param numbers in place of those told elsewhere, if any
 * @param history beside what is told elsewhere; a model in place of the one with its number
 */
public record Addition(
    String to,
    List<MarkVariant> marks,
    List<CodeScheme> codes,
    @Nullable NumberGrammar numbers,
    History history) {
  public Addition {
    marks = marks == null ? List.of() : List.copyOf(marks);
    codes = codes == null ? List.of() : List.copyOf(codes);
    history = history == null ? History.NONE : history;
  }
}
