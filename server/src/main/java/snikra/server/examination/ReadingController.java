package snikra.server.examination;

import java.util.List;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Problem;
import snikra.core.measure.Measurement;
import snikra.core.measure.Measurement.Mean;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.WrittenDate;
import snikra.core.value.Amount;
import snikra.core.wording.NotAccepted;
import snikra.formats.InvalidInput;

/** {@code /api/read}: what something typed means; nothing is kept. */
@RestController
class ReadingController {
  private static final int MOST = 100;

  /**
   * Several readings of one thing.
   *
   * @param mean null where they are not of one kind
   */
  record Readings(int count, @Nullable Mean mean, @Nullable String unit) {}

  @GetMapping("/api/read/money")
  Amount money(@RequestParam String written) {
    return read("written", written, () -> Amount.parse(written));
  }

  /** A date as people write it, in the form in which it is kept. */
  @GetMapping("/api/read/date")
  ReadDate date(@RequestParam String written) {
    EdtfDate date = read("written", written, () -> WrittenDate.read(written));
    return new ReadDate(date.written(), date.earliestYear(), date.latestYear());
  }

  /**
   * A date.
   *
   * @param edtf as it is kept
   * @param from first year it can mean
   * @param to last year it can mean; far ahead where its end is open
   */
  record ReadDate(String edtf, int from, int to) {}

  /** The mean and spread of readings, in the unit of the first where all are of it. */
  @GetMapping("/api/read/mean")
  Readings mean(@RequestParam List<String> reading) {
    if (reading.size() > MOST) {
      throw new InvalidInput(
          List.of(new Problem("reading", "" + reading.size(), "must be " + MOST + " or fewer")));
    }
    List<Measurement> read =
        IntStream.range(0, reading.size())
            .mapToObj(
                i ->
                    read(
                        "reading[" + i + "]",
                        reading.get(i),
                        () -> Measurement.parse(reading.get(i))))
            .toList();
    return Measurement.inOneUnit(read)
        .map(of -> new Readings(read.size(), of.mean(), of.unit()))
        .orElse(new Readings(read.size(), null, null));
  }

  private static <T> T read(String field, String given, Supplier<T> reading) {
    try {
      return reading.get();
    } catch (NotAccepted e) {
      throw new InvalidInput(List.of(new Problem(field, given, e.accepted())));
    }
  }
}
