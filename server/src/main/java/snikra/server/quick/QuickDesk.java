package snikra.server.quick;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.quick.PocketTable;
import snikra.core.quick.QuickBook;
import snikra.core.quick.QuickLook;
import snikra.core.quick.QuickVerdict;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;
import snikra.server.quick.PocketFile.PocketMaker;
import snikra.server.quick.PocketFile.PocketWant;
import snikra.server.reference.ReferenceDesk;
import snikra.server.sales.SalesBook;
import snikra.server.wanted.WantedList;

/** A quick look, with what the sales book and the wanted list say of the maker. */
public class QuickDesk {
  private static final int MOST_PRICED = 100;

  private final QuickBook book = ShippedShelf.quickBook();
  private final QuickLook look = new QuickLook(book);
  private final ReferenceDesk desk;
  private final WantedList wanted;
  private final SalesBook sales;
  private final Clock clock;

  public QuickDesk(ReferenceDesk desk, WantedList wanted, SalesBook sales, Clock clock) {
    this.desk = desk;
    this.wanted = wanted;
    this.sales = sales;
    this.clock = clock;
  }

  /**
   * The quick look as one page for a phone without a network. Makers of whom a sale is known have a
   * price of their own, at most {@value #MOST_PRICED} of them.
   */
  String pocket() {
    Examiner examiner = desk.examiner();
    Set<String> sold = new HashSet<>();
    sales.all().forEach(kept -> sold.add(kept.sale().knife().maker()));
    List<Maker> makers =
        examiner.shelf().makers().stream().sorted(Comparator.comparing(Maker::name)).toList();
    Set<String> priced =
        makers.stream()
            .map(Maker::id)
            .filter(sold::contains)
            .limit(MOST_PRICED)
            .collect(Collectors.toSet());
    Examiner.Summary usual = examiner.summarise(usual(examiner, null));
    return PocketFile.of(
        new PocketFile.Held(
            LocalDate.now(clock),
            book,
            PocketTable.of(book),
            middle(usual),
            usual.currency(),
            makers.stream()
                .map(
                    m ->
                        PocketMaker.of(
                            m,
                            priced.contains(m.id())
                                ? middle(examiner.summarise(usual(examiner, m)))
                                : null))
                .toList(),
            wanted.everything().stream().map(PocketWant::of).toList()));
  }

  /** The marks of makers one looks for, or of all on file, and what one looks for, on a card. */
  byte[] card(Locale locale) {
    return PocketCard.of(
        LocalDate.now(clock),
        desk.examiner().shelf().makers(),
        wanted.everything(),
        book.cautions(),
        locale);
  }

  private static @Nullable Double middle(Examiner.Summary of) {
    return of.middle() == null ? null : of.middle().doubleValue();
  }

  /**
   * What a quick look comes to.
   *
   * @param ordinary what an ordinary knife brings by the sales book, of the maker where it is
   *     named; null where nothing is known
   * @param currency of all amounts; null where no price is known
   * @param wanted what one looks for of this maker
   */
  record QuickTold(
      QuickVerdict verdict,
      @Nullable Double ordinary,
      @Nullable String currency,
      List<WantedList.KeptWant> wanted) {}

  /** What is looked at. */
  QuickBook book() {
    return book;
  }

  /**
   * Looks.
   *
   * @param maker id of one on file; null where it is not known
   * @param asked what the seller asks
   * @param money in which it is asked; null for that of the sales book
   */
  QuickTold look(
      @Nullable String maker,
      @Nullable Double asked,
      @Nullable String money,
      Map<String, String> answers) {
    List<Problem> problems = look.problems(answers);
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    if (asked != null && !(asked >= 0)) {
      throw new InvalidInput(List.of(new Problem("asked", "" + asked, "must be 0 or more")));
    }
    Examiner examiner = desk.examiner();
    Maker named =
        maker == null
            ? null
            : examiner
                .shelf()
                .maker(maker)
                .orElseThrow(
                    () ->
                        new InvalidInput(
                            List.of(new Problem("maker", maker, "must be a maker on file"))));
    Examiner.Summary usual = examiner.summarise(usual(examiner, named));
    if (asked != null && money != null && usual.currency() != null) {
      requireSame(asked, money, usual.currency());
    }
    Double ordinary = middle(usual);
    return new QuickTold(
        look.look(answers, ordinary, named != null, asked),
        ordinary,
        usual.currency(),
        maker == null ? List.of() : wanted.of(maker));
  }

  // What money is worth changes daily: a price in another is not guessed at.
  private static void requireSame(double asked, String money, String currency) {
    if (!money.equals(currency)) {
      String given = BigDecimal.valueOf(asked).stripTrailingZeros().toPlainString();
      throw new InvalidInput(
          List.of(
              new Problem(
                  "asked", given + " " + money, "must be in " + currency + ", as the sales book")));
    }
  }

  // A knife of which nothing is known but the mark its maker used longest.
  private static Specimen usual(Examiner examiner, @Nullable Maker maker) {
    List<String> lines =
        maker == null
            ? List.of()
            : maker.marks().stream()
                .max(Comparator.comparingInt(m -> m.to() - m.from()))
                .map(MarkVariant::lines)
                .orElse(List.of());
    List<Map<String, Object>> marks =
        lines.isEmpty()
            ? List.of()
            : List.of(Map.of("blade", 1, "face", "mark", "state", "read", "lines", lines));
    return SpecimenFormat.read(
        Json.mapper().writeValueAsString(Map.of("marks", marks)), examiner.shelf());
  }
}
