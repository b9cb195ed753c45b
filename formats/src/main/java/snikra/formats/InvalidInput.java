package snikra.formats;

import java.util.List;
import java.util.stream.Collectors;
import snikra.core.examination.Problem;

/** Input that cannot be used, with every problem found in it. */
public class InvalidInput extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  private final transient List<Problem> problems;

  /** Input with these problems, at least one. */
  public InvalidInput(List<Problem> problems) {
    super(problems.stream().map(InvalidInput::sentence).collect(Collectors.joining("\n")));
    this.problems = List.copyOf(problems);
  }

  /** Every problem, in the order of the input. */
  public List<Problem> problems() {
    return problems;
  }

  private static String sentence(Problem p) {
    return p.field() + ": " + p.accepted() + "; found " + p.given();
  }
}
