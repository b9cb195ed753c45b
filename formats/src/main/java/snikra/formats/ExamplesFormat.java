package snikra.formats;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.code.SeenCode;
import snikra.core.code.Sign;
import snikra.core.examination.Problem;
import snikra.core.induction.CodeFinder;
import snikra.core.induction.DatedCode;
import snikra.core.induction.NumberedKnife;
import snikra.core.pattern.Frame;
import snikra.core.provenance.EdtfDate;
import snikra.core.reference.ReferenceShelf;
import snikra.core.wording.NotAccepted;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** Codes and numbers on knives that are known, as they are sent to find what they mean. */
public final class ExamplesFormat {
  /** So many are weighed at once. */
  public static final int MOST = 200;

  private static final int LONGEST = 24;
  private static final int FIRST_YEAR = 1700;
  private static final int LAST_YEAR = 2100;
  private static final String SOURCE = "source";
  private static final String SOURCE_KIND = "sourceKind";
  private static final String BLADES = "blades";
  private static final String FRAME = "frame";

  private ExamplesFormat() {}

  /**
   * Reads which sign the codes are made of.
   *
   * @throws InvalidInput where it is none
   */
  public static Sign sign(JsonNode tree) {
    String given = tree.path("sign").asString("");
    for (Sign sign : Sign.values()) {
      if (sign.toString().equals(given)) {
        return sign;
      }
    }
    throw new InvalidInput(
        List.of(
            new Problem(
                "sign",
                given.isEmpty() ? "nothing" : given,
                "must be one of " + List.of(Sign.values()))));
  }

  /**
   * Reads dated codes, each whole as it was struck.
   *
   * @throws InvalidInput with every problem
   */
  public static List<DatedCode> codes(JsonNode examples, Sign sign, int thisYear) {
    List<Problem> problems = new ArrayList<>(counted(examples));
    List<DatedCode> read = new ArrayList<>();
    for (int i = 0; i < Math.min(MOST, examples.size()); i++) {
      String at = "examples[" + i + "].";
      String written = text(examples.path(i), "written");
      String years = text(examples.path(i), "years");
      try {
        SeenCode.parse(sign, written);
        if (written.matches(".*[_?+].*|0")) {
          throw new NotAccepted("must be whole: what is lost or doubted teaches nothing", written);
        }
      } catch (NotAccepted e) {
        problems.add(new Problem(at + "written", given(written), e.accepted()));
      }
      try {
        EdtfDate date = YearsOfUse.years(years);
        read.add(new DatedCode(written, date.earliestYear(), date.latestBy(thisYear)));
      } catch (NotAccepted e) {
        problems.add(new Problem(at + "years", given(years), e.accepted()));
      }
    }
    return whole(read, problems);
  }

  /**
   * Reads when they were in use, as far as that is known.
   *
   * @throws InvalidInput with every problem
   */
  public static CodeFinder.Use use(JsonNode tree) {
    List<Problem> problems = new ArrayList<>();
    for (String end : List.of("from", "to")) {
      int year = tree.path(end).asInt(0);
      if (tree.hasNonNull(end) && (year < FIRST_YEAR || year > LAST_YEAR)) {
        problems.add(
            new Problem(
                end,
                given(text(tree, end)),
                "must be a year from " + FIRST_YEAR + " to " + LAST_YEAR));
      }
    }
    boolean both = tree.hasNonNull("from") && tree.hasNonNull("to");
    if (problems.isEmpty() && both && tree.path("to").asInt() < tree.path("from").asInt()) {
      problems.add(new Problem("to", text(tree, "to"), "must not be before from"));
    }
    whole(List.of(), problems);
    return new CodeFinder.Use(
        tree.hasNonNull("from") ? tree.path("from").asInt() : null,
        tree.hasNonNull("to") ? tree.path("to").asInt() : null);
  }

  /**
   * Reads numbers of known knives.
   *
   * @throws InvalidInput with every problem
   */
  public static List<NumberedKnife> numbers(JsonNode examples, ReferenceShelf shelf) {
    List<Problem> problems = new ArrayList<>(counted(examples));
    List<NumberedKnife> read = new ArrayList<>();
    for (int i = 0; i < Math.min(MOST, examples.size()); i++) {
      String at = "examples[" + i + "].";
      String number = text(examples.path(i), "number");
      if (!number.matches("(?=.*[0-9])[\\p{L}0-9/ .-]{1," + LONGEST + "}")) {
        problems.add(
            new Problem(
                at + "number",
                given(number),
                "must be a whole number as struck, of at most " + LONGEST + " signs"));
      }
      Map<String, String> shows = new HashMap<>();
      for (Map.Entry<String, JsonNode> look : examples.path(i).path("shows").properties()) {
        String value = look.getValue().asString("");
        if (label(look.getKey(), value, shelf) == null) {
          problems.add(
              new Problem(
                  at + "shows." + look.getKey(), given(value), "must be an answer on file"));
        }
        shows.put(look.getKey(), value);
      }
      read.add(new NumberedKnife(number, shows));
    }
    return whole(read, problems);
  }

  /**
   * Reads how a way of dating is known.
   *
   * @throws InvalidInput with every problem
   */
  public static OwnSchemes.Known known(JsonNode tree) {
    ObjectNode asOfAMark = Json.mapper().createObjectNode();
    asOfAMark.put(SOURCE, text(tree, SOURCE)).put(SOURCE_KIND, text(tree, SOURCE_KIND));
    List<Problem> problems =
        Schemas.check("mark-slip", asOfAMark).stream()
            .filter(p -> p.field().equals(SOURCE) || p.field().equals(SOURCE_KIND))
            .toList();
    whole(List.of(), problems);
    return new OwnSchemes.Known(text(tree, SOURCE), text(tree, SOURCE_KIND), text(tree, "note"));
  }

  /** What a value of a trait or a feature is called; null where there is none such. */
  public static @Nullable String label(String look, String value, ReferenceShelf shelf) {
    if (look.equals(BLADES)) {
      return value.matches("[1-9]") ? value + (value.equals("1") ? " blade" : " blades") : null;
    }
    if (look.equals(FRAME)) {
      return shelf.patterns().frames().stream()
          .filter(f -> f.id().equals(value))
          .map(Frame::name)
          .findFirst()
          .orElse(null);
    }
    return shelf.clues().feature(look).stream()
        .flatMap(f -> f.clues().stream())
        .filter(c -> c.id().equals(value))
        .map(Clue::label)
        .findFirst()
        .orElse(null);
  }

  /** What a trait or a feature is called. */
  public static String label(String look, ReferenceShelf shelf) {
    return switch (look) {
      case BLADES -> "Blades";
      case FRAME -> "Frame";
      default -> shelf.clues().feature(look).map(Feature::label).orElse(look);
    };
  }

  private static List<Problem> counted(JsonNode examples) {
    int n = examples.size();
    return n >= 1 && n <= MOST
        ? List.of()
        : List.of(new Problem("examples", n + " rows", "must be from 1 to " + MOST + " rows"));
  }

  private static String text(JsonNode of, String field) {
    return of.path(field).asString("").strip();
  }

  private static String given(String text) {
    return text.isEmpty() ? "nothing" : text.substring(0, Math.min(80, text.length()));
  }

  private static <T> List<T> whole(List<T> read, List<Problem> problems) {
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    return read;
  }
}
