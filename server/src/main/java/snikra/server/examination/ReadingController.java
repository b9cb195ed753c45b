package snikra.server.examination;

import java.math.BigDecimal;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.ledger.ExchangeRates;
import snikra.core.measure.Measurement;
import snikra.core.measure.Measurement.Mean;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.WrittenDate;
import snikra.core.value.Amount;
import snikra.core.value.PriceThen;
import snikra.core.wording.NotAccepted;
import snikra.formats.InvalidInput;
import snikra.formats.ShippedShelf;

/** {@code /api/read}: what something typed means; nothing is kept. */
@RestController
class ReadingController {
  private static final int MOST = 100;
  private static final PriceThen PRICES = ShippedShelf.priceThen();
  private static final ExchangeRates RATES = ShippedShelf.exchangeRates();

  private final Supplier<Examiner> desk;

  ReadingController(Supplier<Examiner> desk) {
    this.desk = desk;
  }

  /**
   * Several readings of one thing.
   *
   * @param mean null where they are not of one kind
   */
  record Readings(int count, @Nullable Mean mean, @Nullable String unit) {}

  /** Reads an amount as people write it. */
  @GetMapping("/api/read/money")
  Amount money(@RequestParam String written) {
    return read("written", written, () -> Amount.parse(written));
  }

  /** What a price may be restated from: countries, their years and their money. */
  @GetMapping("/api/price-then/countries")
  List<PriceCountry> priceCountries() {
    return PRICES.countries().stream()
        .map(
            c ->
                new PriceCountry(
                    c.id(),
                    c.label(),
                    c.rows().keySet().stream().mapToInt(y -> y).min().orElse(0),
                    c.units()))
        .toList();
  }

  /** A country prices may be restated in. */
  record PriceCountry(String id, String label, int from, List<PriceThen.Unit> units) {}

  /**
   * A price of another year in money of today.
   *
   * @param growth by how much a year a worth of today is above it; null where none was given
   */
  record PriceThenTold(PriceThen.Today today, @Nullable Double growth) {}

  /**
   * What a price of another year is today.
   *
   * @param unit what money it was; left out for the one of that year
   * @param worth what the thing is worth today, in the same currency
   */
  @GetMapping("/api/price-then")
  PriceThenTold priceThen(
      @RequestParam String country,
      @RequestParam String amount,
      @RequestParam int year,
      @RequestParam(required = false) @Nullable String unit,
      @RequestParam(required = false) @Nullable BigDecimal worth) {
    BigDecimal price = read("amount", amount, () -> Amount.parse(amount)).amount();
    PriceThen.Today today = read("year", "" + year, () -> PRICES.today(country, price, year, unit));
    boolean isPriced = worth != null && worth.signum() > 0 && today.amount().signum() > 0;
    return new PriceThenTold(
        today, isPriced ? today.growth(worth.doubleValue(), desk.get().thisYear()) : null);
  }

  /**
   * What one of a currency was in another, from tables that ship: no service is asked.
   *
   * @param date a day or a year, in the form in which dates are kept
   */
  @GetMapping("/api/rate")
  ExchangeRates.DatedRate rate(
      @RequestParam String from, @RequestParam String to, @RequestParam String date) {
    EdtfDate when = read("date", date, () -> EdtfDate.parse(date));
    return read("rate", from + " in " + to + ", " + date, () -> RATES.of(from, to, when));
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
