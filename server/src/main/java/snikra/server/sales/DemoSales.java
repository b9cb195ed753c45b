package snikra.server.sales;

import java.io.IOException;
import java.util.List;
import org.springframework.core.io.ClassPathResource;
import snikra.core.reference.ReferenceShelf;
import snikra.core.value.Sale;
import snikra.formats.SalesTable;

/**
 * Made-up sales of made-up makers' knives, in the form of a table as a collector would bring it.
 */
public final class DemoSales {
  private static final String TABLE = "overwater-sales.csv";

  private DemoSales() {}

  /** Puts the sample sales in an empty book; none where there are sales already. */
  public static void fill(SalesBook book, ReferenceShelf shelf) throws IOException {
    if (book.all().isEmpty()) {
      book.addAll(sales(shelf));
    }
  }

  /** The sample sales. */
  static List<Sale> sales(ReferenceShelf shelf) throws IOException {
    try (var in = new ClassPathResource("snikra/" + TABLE).getInputStream()) {
      return new SalesTable(shelf, "GBP")
          .read(TABLE, in.readAllBytes(), List.of()).rows().stream()
              .map(SalesTable.RowRead::sale)
              .toList();
    }
  }
}
