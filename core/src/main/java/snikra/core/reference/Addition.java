package snikra.core.reference;

import java.util.List;

/**
 * Marks for a maker that another pack tells of. Where that pack is not in use, neither are they.
 *
 * @param to id of the maker
 */
public record Addition(String to, List<MarkVariant> marks) {
  public Addition {
    marks = List.copyOf(marks);
  }
}
