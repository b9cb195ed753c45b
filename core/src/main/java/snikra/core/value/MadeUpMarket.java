package snikra.core.value;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.measure.Length;
import snikra.core.provenance.EdtfDate;
import snikra.core.specimen.ComparableSale;
import snikra.core.specimen.Venue;

/**
 * Sales of made-up knives, to see how often a range holds what one brings. They are drawn from a
 * trade of its own and not from the model that reads them: makers and patterns have levels and
 * moods, a grade matters more to some makers than to others, fashions wander, and now and then a
 * price is far off.
 */
public final class MadeUpMarket {
  /** The code that ISO 4217 keeps for no currency: no index of prices is of it. */
  private static final String NO_CURRENCY = "XXX";

  private static final int YEARS = 20;
  private static final int FIRST_MADE = 1880;
  private static final int MADE_OVER = 80;
  private static final double ASKED = 0.25;
  private static final double UNTOLD = 0.15;
  private static final double USUAL_MM = 90;

  /** What this trade pays where, beside a sale room: not what the model that reads it holds. */
  private static final Map<Venue, Double> PAID_AT =
      new EnumMap<>(
          Map.of(
              Venue.SALE_ROOM, 1.0,
              Venue.DEALER, 1.4,
              Venue.FAIR, 0.9,
              Venue.ONLINE, 0.95,
              Venue.PRIVATE, 0.8));

  private static final List<Venue> VENUES = List.copyOf(PAID_AT.keySet());

  private final Random random;
  private final List<Grade> grades;
  private final int thisYear;
  private final double[] makers;
  private final double[] grading;
  private final double[] patterns;
  private final double[][] moods;
  private final double[] handles;
  private final double[] sizes;
  private final double[] fashion;

  /** A trade with so many makers, patterns and handles. */
  public MadeUpMarket(
      long seed, List<Grade> grades, int makers, int patterns, int handles, int thisYear) {
    this.random = new Random(seed);
    this.grades = List.copyOf(grades);
    this.thisYear = thisYear;
    this.makers = drawn(makers, 0.6);
    this.grading = drawn(makers, 0.2);
    this.patterns = drawn(patterns, 0.4);
    this.handles = drawn(handles, 0.2);
    this.sizes = drawn(patterns, 0.12);
    this.moods = new double[makers][];
    for (int m = 0; m < makers; m++) {
      moods[m] = drawn(patterns, 0.2);
    }
    this.fashion = new double[YEARS];
    for (int y = 1; y < YEARS; y++) {
      fashion[y] = 0.9 * fashion[y - 1] + 0.07 * random.nextGaussian();
    }
  }

  private double[] drawn(int n, double spread) {
    double[] all = new double[n];
    for (int i = 0; i < n; i++) {
      all[i] = spread * random.nextGaussian();
    }
    return all;
  }

  /**
   * A sale, with what was paid for it in the money of today.
   *
   * @param told as a seller tells it: some of it is left out
   * @param whole with all that is so
   */
  public record Drawn(ComparableSale told, ComparableSale whole, double paid) {}

  /** So many sales. */
  public List<Drawn> sales(int n) {
    List<Drawn> all = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      all.add(sale());
    }
    return all;
  }

  private Drawn sale() {
    int maker = random.nextInt(makers.length);
    int pattern = random.nextInt(patterns.length);
    int handle = random.nextInt(handles.length);
    int year = random.nextInt(YEARS);
    int made = FIRST_MADE + random.nextInt(MADE_OVER);
    double size = sizes[pattern] + 0.06 * random.nextGaussian();
    Venue venue = VENUES.get(random.nextInt(VENUES.size()));
    Grade grade = grades.get(Math.min(grades.size() - 2, 1 + random.nextInt(grades.size())));
    double paid =
        Math.exp(
            4
                + makers[maker]
                + patterns[pattern]
                + moods[maker][pattern]
                + handles[handle]
                + 0.8 * size
                + (FIRST_MADE + MADE_OVER / 2.0 - made) / 150
                + Math.log(grade.worth()) * (1 + grading[maker])
                + 0.3 * tailed());
    boolean asked = random.nextDouble() < ASKED;
    double price =
        paid
            * Math.exp(fashion[year])
            * PAID_AT.getOrDefault(venue, 1.0)
            * (asked ? 1.25 * Math.exp(0.25 * random.nextGaussian()) : 1);
    String when = "" + (thisYear - YEARS + 1 + year);
    ComparableSale whole =
        new ComparableSale(
            "a made-up knife",
            BigDecimal.valueOf(price).setScale(2, RoundingMode.HALF_UP).max(BigDecimal.ONE),
            NO_CURRENCY,
            EdtfDate.parse(when),
            "maker-" + maker,
            "pattern-" + pattern,
            grade.id(),
            "handle-" + handle,
            EdtfDate.parse((made - 5) + "/" + (made + 5)),
            null,
            asked ? Boolean.TRUE : null,
            new Length("as measured", USUAL_MM * Math.exp(size)),
            null,
            venue,
            null);
    return new Drawn(untold(whole), whole, paid * Math.exp(fashion[YEARS - 1]));
  }

  // Student's t with four degrees of freedom: a bell over the root of a mean of squares.
  private double tailed() {
    double squares = 0;
    for (int i = 0; i < 4; i++) {
      double x = random.nextGaussian();
      squares += x * x;
    }
    return random.nextGaussian() / Math.sqrt(squares / 4);
  }

  private ComparableSale untold(ComparableSale s) {
    return new ComparableSale(
        s.described(),
        s.price(),
        s.currency(),
        left() ? null : s.sold(),
        left() ? null : s.maker(),
        left() ? null : s.pattern(),
        left() ? null : s.grade(),
        left() ? null : s.handle(),
        left() ? null : s.made(),
        s.box(),
        s.asked(),
        left() ? null : s.length(),
        s.done(),
        left() ? null : s.venue(),
        s.text());
  }

  private boolean left() {
    return random.nextDouble() < UNTOLD;
  }

  /** A knife of which all is known, as its sale tells it. */
  public static Appraiser.Subject subject(ComparableSale s) {
    EdtfDate made = s.made();
    return new Appraiser.Subject(
        s.maker() == null ? Map.of() : Map.of(s.maker(), 1.0),
        s.pattern() == null ? Map.of() : Map.of(s.pattern(), 1.0),
        s.grade() == null ? Map.of() : Map.of(s.grade(), 1.0),
        s.handle() == null ? Map.of() : Map.of(s.handle(), 1.0),
        made == null ? null : (made.earliestYear() + made.latestYear()) / 2.0,
        made == null ? 0 : 3,
        s.length() == null ? null : Math.log(s.length().mm()),
        s.box(),
        null,
        s.text(),
        null,
        List.of());
  }
}
