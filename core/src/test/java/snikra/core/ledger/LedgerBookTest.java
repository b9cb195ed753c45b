package snikra.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.examination.Problem;
import snikra.core.ledger.LedgerBook.Holding;
import snikra.core.ledger.LedgerBook.Lot;
import snikra.core.ledger.LedgerBook.Year;
import snikra.core.ledger.LedgerEntry.Gone;
import snikra.core.ledger.LedgerEntry.Kind;
import snikra.core.ledger.LedgerEntry.Piece;
import snikra.core.ledger.LedgerEntry.Sharing;
import snikra.core.provenance.EdtfDate;

class LedgerBookTest {
  private final List<KeptEntry> entries = new ArrayList<>();

  private static @Nullable BigDecimal money(@Nullable String amount) {
    return amount == null ? null : new BigDecimal(amount);
  }

  private static List<Piece> pieces(String... ids) {
    return Arrays.stream(ids).map(id -> new Piece(id, null, id, null)).toList();
  }

  private static List<Gone> gone(String... ids) {
    return Arrays.stream(ids).map(id -> new Gone(id, null)).toList();
  }

  private LedgerBookTest add(
      Kind kind,
      String date,
      @Nullable String price,
      @Nullable String postage,
      @Nullable String fees,
      Sharing sharing,
      List<Piece> in,
      List<Gone> out) {
    entries.add(
        new KeptEntry(
            "e" + entries.size(),
            new LedgerEntry(
                kind,
                EdtfDate.parse(date),
                null,
                money(price),
                money(postage),
                money(fees),
                "GBP",
                null,
                sharing,
                in,
                out,
                null)));
    return this;
  }

  private LedgerBookTest bought(String date, String price, String... ids) {
    return add(Kind.BOUGHT, date, price, null, null, Sharing.EQUALLY, pieces(ids), List.of());
  }

  private LedgerBookTest sold(String date, String price, String... ids) {
    return add(Kind.SOLD, date, price, null, null, Sharing.EQUALLY, List.of(), gone(ids));
  }

  private LedgerBook book() {
    return LedgerBook.of(entries, "GBP");
  }

  private Holding holding(String piece) {
    return book().holdings().stream()
        .filter(h -> h.piece().equals(piece))
        .findFirst()
        .orElseThrow();
  }

  @Test
  void ofTenBoughtForOnePriceNineAreSoldAndTheTenthCostLessThanNothing() {
    String[] ten = IntStream.range(0, 10).mapToObj(i -> "k" + i).toArray(String[]::new);
    add(Kind.BOUGHT, "2024-03-02", "200", "12.50", null, Sharing.EQUALLY, pieces(ten), List.of());
    for (int i = 0; i < 9; i++) {
      add(
          Kind.SOLD,
          "2024-0" + (i / 3 + 4) + "-10",
          "30",
          "4.20",
          "1.85",
          Sharing.EQUALLY,
          List.of(),
          gone("k" + i));
    }
    assertThat(book().problems()).isEmpty();
    Lot lot = book().lots().get(0);
    assertThat(lot.cost()).isEqualByComparingTo("212.50");
    assertThat(lot.back()).isEqualByComparingTo("215.55");
    assertThat(lot.net()).isEqualByComparingTo("-3.05");
    assertThat(lot.kept()).isEqualTo(1);
    assertThat(holding("k0").cost()).isEqualByComparingTo("21.25");
    assertThat(holding("k0").back()).isEqualByComparingTo("23.95");
    assertThat(holding("k0").gain()).isEqualByComparingTo("2.70");
    assertThat(holding("k0").days()).isEqualTo(39);
    assertThat(holding("k9").out()).isNull();
    assertThat(holding("k9").gain()).isNull();
    Year year = book().years().get(0);
    assertThat(year.spent()).isEqualByComparingTo("212.50");
    assertThat(year.back()).isEqualByComparingTo("215.55");
    assertThat(year.gain()).isEqualByComparingTo("24.30");
  }

  @Test
  void moneyIsSharedByValueOrByHand() {
    add(
        Kind.BOUGHT,
        "2024",
        "90",
        "10",
        null,
        Sharing.BY_VALUE,
        List.of(
            new Piece("a", null, null, money("150")),
            new Piece("b", null, null, money("50")),
            new Piece("c", null, null, null)),
        List.of());
    assertThat(holding("a").cost()).isEqualByComparingTo("75");
    assertThat(holding("b").cost()).isEqualByComparingTo("25");
    assertThat(holding("c").cost()).isEqualByComparingTo("0");
    add(
        Kind.SOLD,
        "2025",
        "100",
        null,
        "10",
        Sharing.BY_HAND,
        List.of(),
        List.of(new Gone("a", money("80")), new Gone("b", money("20"))));
    assertThat(holding("a").back()).isEqualByComparingTo("72");
    assertThat(holding("b").gain()).isEqualByComparingTo("-7");
  }

  @Test
  void anotherCurrencyIsTurnedAtTheRateOfItsDayOnceForTheWhole() {
    entries.add(
        new KeptEntry(
            "e",
            new LedgerEntry(
                Kind.BOUGHT,
                EdtfDate.parse("2024-05-01"),
                null,
                money("99.99"),
                money("20.01"),
                null,
                "USD",
                money("0.8012"),
                null,
                pieces("a", "b", "c"),
                List.of(),
                null)));
    // 120.00 USD at 0.8012 are 96.144 GBP.
    assertThat(book().lots().get(0).cost()).isEqualByComparingTo("96.14");
    assertThat(book().holdings().stream().map(h -> h.cost().toPlainString()))
        .containsExactly("32.05", "32.05", "32.04");
  }

  @Test
  void theBookIsInTheCurrencyOfTheFirstEntryWithoutARateAndTheOthersNeedOne() {
    assertThat(LedgerBook.currencyOf(entries, "EUR")).isEqualTo("EUR");
    bought("2020", "30", "a");
    assertThat(LedgerBook.currencyOf(entries, "EUR")).isEqualTo("GBP");
    assertThat(LedgerBook.of(entries, "USD").problems())
        .extracting(Problem::field, Problem::accepted)
        .containsExactly(tuple("rate", "must be what one GBP was in USD that day"));
  }

  @Test
  void aSwapCarriesWhatWentForItAndIsNoGain() {
    bought("2020", "60", "a", "b");
    add(Kind.SWAPPED, "2021", "15", "2.50", null, Sharing.EQUALLY, pieces("c"), gone("a"));
    add(Kind.SWAPPED, "2022", "-70", null, null, Sharing.EQUALLY, pieces("d"), gone("c"));
    assertThat(holding("a").back()).isEqualByComparingTo("30");
    assertThat(holding("a").gain()).isNull();
    assertThat(holding("c").cost()).isEqualByComparingTo("47.50");
    assertThat(holding("d").cost()).isEqualByComparingTo("-22.50");
    assertThat(book().lots().get(0).net()).isEqualByComparingTo("30");
    assertThat(book().years())
        .extracting(Year::spent)
        .extracting(BigDecimal::toPlainString)
        .containsExactly("60.00", "17.50", "0.00");
    assertThat(book().years().get(2).back()).isEqualByComparingTo("70");
  }

  @Test
  void whatIsGivenAwayIsNoLossAndWhatIsLostIs() {
    bought("2020-01-01", "30", "a", "b", "c");
    add(Kind.GAVE, "2021-01-01", null, "3", null, Sharing.EQUALLY, List.of(), gone("a"));
    add(Kind.LOST, "2021-06-01", null, null, null, Sharing.EQUALLY, List.of(), gone("b"));
    add(Kind.RETURNED, "2021-07-01", "10", "4", null, Sharing.EQUALLY, List.of(), gone("c"));
    assertThat(holding("a").back()).isEqualByComparingTo("-3");
    assertThat(holding("a").gain()).isNull();
    assertThat(holding("b").gain()).isEqualByComparingTo("-10");
    assertThat(holding("c").gain()).isEqualByComparingTo("-4");
    Year year = book().years().get(1);
    assertThat(year.spent()).isEqualByComparingTo("3");
    assertThat(year.back()).isEqualByComparingTo("6");
    assertThat(year.gain()).isEqualByComparingTo("-14");
  }

  private List<String> faults() {
    return book().problems().stream().map(Problem::accepted).toList();
  }

  @Test
  void whatDoesNotHoldTogetherIsTold() {
    bought("2020-05-01", "30", "a", "b");
    sold("2020-04-30", "20", "a");
    assertThat(faults()).containsExactly("must not be before a came, 2020-05-01");
    entries.remove(1);
    sold("2021", "20", "a").sold("2022", "20", "a").sold("2021", "5", "x");
    assertThat(faults())
        .containsExactlyInAnyOrder(
            "must be a knife that is still here", "must be a knife of the ledger");
    entries.subList(1, 4).clear();
    bought("2021", "1", "b");
    assertThat(faults()).containsExactly("must be a knife that did not come before");
  }

  @Test
  void aSwapThatLeadsBackToItselfIsTold() {
    add(Kind.SWAPPED, "2021", null, null, null, Sharing.EQUALLY, pieces("a"), gone("b"));
    add(Kind.SWAPPED, "2021", null, null, null, Sharing.EQUALLY, pieces("b"), gone("a"));
    assertThat(faults()).containsExactly("must be knives that came before");
  }

  @Test
  void theYearItWasSoldInIsEnoughWhereItCameInTheSame() {
    bought("2020", "30", "a").sold("2020", "20", "a");
    assertThat(book().problems()).isEmpty();
    assertThat(holding("a").days()).isNull();
  }

  private static final Kind[] OUT = {Kind.SOLD, Kind.RETURNED, Kind.GAVE, Kind.LOST, Kind.SWAPPED};

  // Any ledger: no coin is made or lost, in whatever order it was written down.
  @Property(tries = 10_000)
  void whatWasPaidLessWhatCameBackIsWhatIsHereGivenAwayAndLostOn(@ForAll long seed) {
    Random random = new Random(seed);
    entries.clear();
    List<String> here = new ArrayList<>();
    int named = 0;
    for (int year = 2000; year < 2012; year++) {
      boolean goes = !here.isEmpty() && random.nextInt(3) > 0;
      Kind kind = goes ? OUT[random.nextInt(OUT.length)] : Kind.BOUGHT;
      List<String> out = new ArrayList<>();
      for (int i = random.nextInt(3); goes && (i >= 0 || out.isEmpty()) && !here.isEmpty(); i--) {
        out.add(here.remove(random.nextInt(here.size())));
      }
      List<String> in = new ArrayList<>();
      for (int i = kind.comes() ? random.nextInt(4) : -1; i >= 0; i--) {
        in.add("k" + named++);
      }
      here.addAll(in);
      boolean isFree = kind == Kind.GAVE || kind == Kind.LOST;
      add(
          kind,
          "" + year,
          isFree ? null : amount(random),
          amount(random),
          random.nextBoolean() ? null : amount(random),
          random.nextBoolean() ? Sharing.EQUALLY : Sharing.BY_VALUE,
          in.stream().map(id -> new Piece(id, null, id, money(amount(random)))).toList(),
          out.stream().map(id -> new Gone(id, money(amount(random)))).toList());
    }
    LedgerBook book = book();
    assertThat(book.problems()).isEmpty();
    BigDecimal paid = BigDecimal.ZERO;
    for (Year y : book.years()) {
      paid = paid.add(y.spent()).subtract(y.back());
    }
    BigDecimal left = BigDecimal.ZERO;
    for (Holding h : book.holdings()) {
      boolean isSwapped = h.out() != null && kindOf(h.out()) == Kind.SWAPPED;
      if (h.gain() != null) {
        left = left.subtract(h.gain());
      } else if (!isSwapped) {
        left = left.add(h.cost()).subtract(h.back() == null ? BigDecimal.ZERO : h.back());
      }
    }
    assertThat(left).isEqualByComparingTo(paid);
    BigDecimal lots = book.lots().stream().map(Lot::net).reduce(BigDecimal.ZERO, BigDecimal::add);
    assertThat(lots).isEqualByComparingTo(paid);
    Collections.shuffle(entries, random);
    assertThat(book().years()).isEqualTo(book.years());
    assertThat(book().holdings()).containsExactlyInAnyOrderElementsOf(book.holdings());
  }

  private Kind kindOf(String entry) {
    return entries.stream()
        .filter(e -> e.id().equals(entry))
        .findFirst()
        .orElseThrow()
        .entry()
        .kind();
  }

  private static String amount(Random random) {
    return BigDecimal.valueOf(random.nextInt(100_000), 2).toPlainString();
  }
}
