package snikra.core.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import snikra.core.examination.Problem;
import snikra.core.ledger.LedgerEntry.Gone;
import snikra.core.ledger.LedgerEntry.Kind;
import snikra.core.ledger.LedgerEntry.Piece;
import snikra.core.ledger.LedgerEntry.Sharing;
import snikra.core.provenance.EdtfDate;

class LedgerEntryTest {
  private static final LocalDate TODAY = LocalDate.parse("2026-06-15");

  private static @Nullable BigDecimal money(@Nullable String amount) {
    return amount == null ? null : new BigDecimal(amount);
  }

  // Knives that come or go, each with its share or "-".
  private static LedgerEntry entry(
      Kind kind,
      String date,
      @Nullable String price,
      @Nullable Sharing how,
      String in,
      String out) {
    List<Piece> came =
        shares(in)
            .map(s -> new Piece("p", null, "a knife", "-".equals(s) ? null : money(s)))
            .toList();
    List<Gone> went = shares(out).map(s -> new Gone("p", "-".equals(s) ? null : money(s))).toList();
    return new LedgerEntry(
        kind,
        EdtfDate.parse(date),
        null,
        money(price),
        money("2"),
        money("1"),
        "GBP",
        null,
        how,
        came,
        went,
        null);
  }

  private static java.util.stream.Stream<String> shares(String all) {
    return Arrays.stream(all.split(" ", -1)).filter(s -> !s.isEmpty());
  }

  private static List<String> fields(LedgerEntry entry) {
    return entry.problems(TODAY).stream().map(Problem::field).toList();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "BOUGHT   | 2026-06-15 | 5  | - -  |     | ''",
        "BOUGHT   | 2026-06-16 | 5  | -    |     | date",
        "BOUGHT   | 2027       | 5  | -    |     | date",
        "BOUGHT   | 2026-12    | 5  | -    |     | ''",
        "BOUGHT   | 2024/2025  | 5  | -    |     | date",
        "BOUGHT   | 2025       | 0  | -    |     | ''",
        "BOUGHT   | 2025       | -1 | -    |     | price",
        "BOUGHT   | 2025       | 5  |      |     | in",
        "BOUGHT   | 2025       | 5  | -    | -   | out",
        "INHERITED| 2025       |    | -    |     | ''",
        "SWAPPED  | 2025       | -9 | -    | -   | ''",
        "SWAPPED  | 2025       |    | -    |     | out",
        "SOLD     | 2025       | 9  |      | - - | ''",
        "SOLD     | 2025       | 9  | -    | -   | in",
        "RETURNED | 2025       | 9  |      |     | out",
        "GAVE     | 2025       |    |      | -   | ''",
        "GAVE     | 2025       | 1  |      | -   | price",
        "LOST     | 2025       | 1  |      | -   | price",
        "LOST     | 2025       | -1 |      | -   | price,price"
      })
  void whatDoesNotHoldTogetherIsToldAtItsField(
      Kind kind,
      String date,
      @Nullable String price,
      @Nullable String in,
      @Nullable String out,
      String fields) {
    LedgerEntry entry =
        entry(kind, date, price, null, in == null ? "" : in, out == null ? "" : out);
    assertThat(String.join(",", fields(entry))).isEqualTo(fields);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        // What came bears postage and fees (2 and 1); what went is shared before them.
        "BOUGHT  | 10 | 8 5   |      | ''",
        "BOUGHT  | 10 | 8 -   |      | must add up to 13, postage and fees included",
        "BOUGHT  |    | 3 -   |      | ''",
        "SOLD    | 10 |       | 8 2  | ''",
        "SOLD    | 10 |       | 8 -  | must add up to 10, before postage and fees",
        "SWAPPED | 10 | 1     | 1    | ''"
      })
  void whatIsSharedByHandAddsUp(
      Kind kind, @Nullable String price, @Nullable String in, @Nullable String out, String told) {
    LedgerEntry entry =
        entry(kind, "2025", price, Sharing.BY_HAND, in == null ? "" : in, out == null ? "" : out);
    assertThat(entry.problems(TODAY).stream().map(Problem::accepted).toList())
        .isEqualTo(told.isEmpty() ? List.of() : List.of(told));
    // Shared otherwise nothing has to add up.
    assertThat(
            entry(
                    kind,
                    "2025",
                    price,
                    Sharing.BY_VALUE,
                    in == null ? "" : in,
                    out == null ? "" : out)
                .problems(TODAY))
        .isEmpty();
  }

  @Test
  void whereNobodySaidItIsSharedEqually() {
    assertThat(entry(Kind.BOUGHT, "2025", "1", null, "-", "").shared()).isEqualTo(Sharing.EQUALLY);
    assertThat(entry(Kind.BOUGHT, "2025", "1", Sharing.BY_VALUE, "-", "").shared())
        .isEqualTo(Sharing.BY_VALUE);
    assertThat(Sharing.BY_VALUE).hasToString("by-value");
    assertThat(Kind.GAVE).hasToString("gave");
    assertThat(Kind.BOUGHT.goes()).isFalse();
    assertThat(entry(Kind.BOUGHT, "2025-05", "1", null, "-", "").year()).isEqualTo(2025);
  }
}
