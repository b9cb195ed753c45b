package snikra.core.dating;

import java.util.List;
import java.util.stream.Collectors;

/** Years that together hold a share of the probability, in one or more closed pieces. */
public record Span(double share, List<Piece> pieces) {

  /** Years from one to another, both included. */
  public record Piece(int from, int to) {}

  public Span {
    pieces = List.copyOf(pieces);
  }

  /** Whether a year lies in one of the pieces. */
  public boolean holds(int year) {
    return pieces.stream().anyMatch(p -> year >= p.from() && year <= p.to());
  }

  /** How many years lie in the pieces. */
  public int years() {
    return pieces.stream().mapToInt(p -> p.to() - p.from() + 1).sum();
  }

  /** Piece by piece, as years are written: 1915–1921, 1952–2026. */
  public String written() {
    return pieces.stream()
        .map(p -> p.from() == p.to() ? "" + p.from() : p.from() + "\u2013" + p.to())
        .collect(Collectors.joining(", "));
  }

  /** First year of all pieces. */
  public int from() {
    return pieces.get(0).from();
  }

  /** Last year of all pieces. */
  public int to() {
    return pieces.get(pieces.size() - 1).to();
  }
}
