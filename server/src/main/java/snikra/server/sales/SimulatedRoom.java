package snikra.server.sales;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.temporal.TemporalAdjusters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.function.Supplier;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.pattern.Pattern;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.value.SaleRoom;

/**
 * A stand-in for a sale room: it sells made-up lots every Thursday, and tells of a day the same
 * each time it is asked. As rooms do it describes in its own words, and one lot in eight is passed.
 */
final class SimulatedRoom implements SaleRoom {
  private static final List<String> FIELDS =
      List.of(
          "Description",
          "Sold for",
          "Premium",
          "Date",
          "Maker",
          "Pattern",
          "Grade",
          "Handle",
          "Kind of sale",
          "Source");
  private static final List<String> HANDLES = List.of("bone", "stag", "ebony", "celluloid", "");
  private static final int LOTS = 6;
  private static final int PATTERNS = 8;
  private static final int PREMIUM = 20;
  private static final double USUAL_PRICE = 60;
  private static final double SPREAD = 0.35;
  private static final int ONE_IN_PASSED = 8;
  private static final int ROUNDED_TO = 5;

  private final Supplier<ReferenceShelf> shelf;

  /** A room that sells knives of the makers on file. */
  SimulatedRoom(Supplier<ReferenceShelf> shelf) {
    this.shelf = shelf;
  }

  @Override
  public String id() {
    return "overwater";
  }

  @Override
  public String label() {
    return "Overwater sale room";
  }

  @Override
  public boolean isStandIn() {
    return true;
  }

  @Override
  public String report(LocalDate from, LocalDate to) {
    List<String> lines = new ArrayList<>(List.of(String.join("\t", FIELDS)));
    LocalDate day = from.with(TemporalAdjusters.nextOrSame(DayOfWeek.THURSDAY));
    for (; !day.isAfter(to); day = day.plusWeeks(1)) {
      lines.addAll(soldOn(day));
    }
    return String.join("\n", lines) + "\n";
  }

  private List<String> soldOn(LocalDate day) {
    Random chance = new Random(day.toEpochDay());
    List<Maker> makers = shelf.get().makers();
    List<Pattern> patterns =
        shelf.get().patterns().patterns().stream()
            .filter(p -> p.often() != null)
            .sorted(Comparator.comparing(Pattern::often).reversed().thenComparing(Pattern::id))
            .limit(PATTERNS)
            .toList();
    List<Grade> grades = shelf.get().condition().grades();
    List<String> lots = new ArrayList<>();
    for (int lot = 1; lot <= LOTS && !makers.isEmpty() && !patterns.isEmpty(); lot++) {
      Maker maker = makers.get(chance.nextInt(makers.size()));
      String pattern = patterns.get(chance.nextInt(patterns.size())).name();
      Grade grade = grades.get(chance.nextInt(grades.size()));
      String handle = HANDLES.get(chance.nextInt(HANDLES.size()));
      boolean isPassed = chance.nextInt(ONE_IN_PASSED) == 0;
      double price = USUAL_PRICE * grade.worth() * Math.exp(SPREAD * chance.nextGaussian());
      long told = Math.max(ROUNDED_TO, Math.round(price / ROUNDED_TO) * ROUNDED_TO);
      String described = maker.name() + ", " + pattern.toLowerCase(Locale.ROOT);
      lots.add(
          String.join(
              "\t",
              handle.isEmpty() ? described : described + ", " + handle,
              isPassed ? "passed" : "GBP " + told,
              PREMIUM + " %",
              DateTimeFormatter.ISO_LOCAL_DATE.format(day),
              maker.name(),
              pattern,
              grade.label(),
              handle,
              "Sale room",
              label() + ", lot " + lot));
    }
    return lots;
  }
}
