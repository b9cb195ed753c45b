package snikra.core.measure;

import java.util.List;
import java.util.Optional;
import snikra.core.wording.NotAccepted;

/** What is measured on a knife beside its lengths, and what is usual. */
public record MeasureBook(List<Quantity> quantities) {

  /**
   * Something to measure.
   *
   * @param kind which units it may be told in
   * @param low what is below is questioned, in the base unit of the kind
   * @param high what is above is questioned
   */
  public record Quantity(
      String id,
      String station,
      String label,
      String ask,
      Measurement.Kind kind,
      double low,
      double high) {

    /**
     * Reads a measurement of this.
     *
     * @throws IllegalArgumentException when it is none, of another kind, or on the other side where
     *     there is none
     */
    public Measurement read(String text) {
      Measurement read = Measurement.parse(text, kind);
      if (read.value() < 0 && low >= 0) {
        throw new NotAccepted("must be 0 or more", text);
      }
      return read;
    }

    /** Whether a value is outside what is usual. */
    public boolean isQuestionable(double value) {
      return !(value >= low && value <= high);
    }
  }

  public MeasureBook {
    quantities = List.copyOf(quantities);
  }

  /** A book with nothing to measure. */
  public static MeasureBook empty() {
    return new MeasureBook(List.of());
  }

  /** The quantity with this id. */
  public Optional<Quantity> quantity(String id) {
    return quantities.stream().filter(q -> q.id().equals(id)).findFirst();
  }
}
