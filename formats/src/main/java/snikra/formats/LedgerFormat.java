package snikra.formats;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.joda.money.CurrencyUnit;
import snikra.core.examination.Problem;
import snikra.core.ledger.KeptEntry;
import snikra.core.ledger.LedgerBook;
import snikra.core.ledger.LedgerBook.Holding;
import snikra.core.ledger.LedgerEntry;
import snikra.core.provenance.EdtfDate;
import snikra.core.wording.NotAccepted;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** Entries of the ledger as JSON, by the schema {@code ledger-entry.schema.json}; years as CSV. */
public final class LedgerFormat {
  private LedgerFormat() {}

  /**
   * Reads an entry.
   *
   * @param today no entry is of a day after it
   * @throws InvalidInput with every problem found
   */
  public static LedgerEntry read(JsonNode tree, LocalDate today) {
    List<Problem> problems = new ArrayList<>(Schemas.check("ledger-entry", tree));
    if (problems.isEmpty()) {
      try {
        EdtfDate.parse(tree.path("date").asString(""));
      } catch (NotAccepted e) {
        problems.add(new Problem("date", tree.path("date").asString(""), e.accepted()));
      }
      String currency = tree.path("currency").asString("");
      if (CurrencyUnit.registeredCurrencies().stream()
          .noneMatch(c -> c.getCode().equals(currency))) {
        problems.add(new Problem("currency", currency, "must be three letters by ISO 4217"));
      }
    }
    if (problems.isEmpty()) {
      LedgerEntry entry = Json.mapper().treeToValue(tree, LedgerEntry.class);
      problems.addAll(entry.problems(today));
      if (problems.isEmpty()) {
        return entry;
      }
    }
    throw new InvalidInput(problems);
  }

  /**
   * Reads an entry as it is kept.
   *
   * @throws UnreadableKnife when it is damaged
   */
  public static LedgerEntry readKept(String json) {
    try {
      return Json.mapper().readValue(json, LedgerEntry.class);
    } catch (JacksonException e) {
      throw UnreadableKnife.because(e);
    }
  }

  /** Writes an entry. */
  public static String write(LedgerEntry entry) {
    return Json.mapper().writeValueAsString(entry);
  }

  /** What went in a year, a row for each knife, as a table. */
  public static String year(List<KeptEntry> entries, LedgerBook book, int year) {
    List<List<String>> rows = new ArrayList<>();
    String in = " (" + book.currency() + ")";
    rows.add(List.of("Went", "How", "To", "Knife", "Came", "Cost" + in, "Back" + in, "Gain" + in));
    for (Holding h : book.holdings()) {
      LedgerEntry out = h.out() == null ? null : entry(entries, h.out());
      if (out != null && out.year() == year) {
        rows.add(
            List.of(
                out.date().written(),
                out.kind().toString(),
                out.who() == null ? "" : out.who(),
                h.name() == null ? "" : h.name(),
                entry(entries, h.lot()).date().written(),
                h.cost().toPlainString(),
                h.back() == null ? "" : h.back().toPlainString(),
                h.gain() == null ? "" : h.gain().toPlainString()));
      }
    }
    return Table.write(rows);
  }

  private static LedgerEntry entry(List<KeptEntry> entries, String id) {
    return entries.stream()
        .filter(e -> e.id().equals(id))
        .findFirst()
        .map(KeptEntry::entry)
        .orElseThrow();
  }
}
