package snikra.core.pattern;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.End;
import snikra.core.specimen.Presses;
import snikra.core.specimen.Side;

/**
 * A named pattern.
 *
 * @param formOf the name it shares with patterns that differ in size, outline or blades alone
 * @param surely how far its arrangement is agreed on
 * @param era when it was made, null where nobody knows
 * @param regions by country how usual it is there
 * @param often how often it is met, against an ordinary pattern; 1 where not given
 * @param frames weight by frame, 1 expected to 0.1 tolerated
 * @param mechanism what makes it what it is beside its shape, null for most
 * @param mainShare what a full main takes of the closed length; null where that is the usual share
 * @param springs counts, the usual one first
 * @param dividers what stands between its springs, by id of the book
 * @param bolsters layouts, the usual one first
 * @param asks what the definition asks beside shape
 * @param tellApart by rival pattern, the sentence that tells the two apart
 * @param strictly what the historical definition asks
 * @param inTrade how sellers use the name today
 */
public record Pattern(
    String id,
    String name,
    String family,
    Role role,
    @Nullable String formOf,
    Agreement surely,
    @Nullable Era era,
    Map<String, Double> regions,
    @Nullable Double often,
    List<Alias> alsoCalled,
    Map<String, Double> frames,
    Range closedLengthMm,
    @Nullable Double mainShare,
    List<Integer> springs,
    String dividers,
    List<String> bolsters,
    List<String> pulls,
    @Nullable Mechanism mechanism,
    List<Asked> asks,
    List<Slot> slots,
    List<String> tells,
    Map<String, String> tellApart,
    List<String> strictly,
    List<String> inTrade) {

  /**
   * How usual it is among the knives of a country.
   *
   * @param elsewhere where it is not told of that country
   */
  public double atHome(String region, double elsewhere) {
    return regions.isEmpty() ? 1 : regions.getOrDefault(region, elsewhere);
  }

  /** What kind of name it is. */
  public enum Role {
    PATTERN,
    /** A settled departure from another pattern. */
    VARIANT,
    /** A name of sellers, unknown to the strict school. */
    TRADE_LABEL,
    /** Used when nothing closer fits. */
    FALLBACK;

    @Override
    public String toString() {
      return spelled(this);
    }
  }

  /** How far accounts agree. */
  public enum Agreement {
    HIGH,
    MEDIUM,
    LOW;

    @Override
    public String toString() {
      return spelled(this);
    }
  }

  /** Which way of naming: the historical definition, or what sellers call it today. */
  public enum School {
    STRICT,
    TRADE;

    @Override
    public String toString() {
      return spelled(this);
    }
  }

  private static String spelled(Enum<?> constant) {
    return constant.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Another name, by the strict school or by today's trade. */
  public record Alias(String name, School school) {}

  /** Usual closed length in millimetres, both ends closed. */
  public record Range(double min, double max, double typical) {}

  /**
   * What one must see to give the name, and what few other knives show. Any of the answers will do.
   *
   * @param shows answers by feature of the clue book, or of {@code bolsters}
   * @param atLarge share of all knives that show any of them
   * @param askWhen answers by feature that make it worth asking
   */
  public record Mechanism(
      Map<String, List<String>> shows, double atLarge, Map<String, List<String>> askWhen) {
    public Mechanism {
      askWhen = askWhen == null ? Map.of() : Map.copyOf(askWhen);
    }
  }

  /**
   * What a name asks beside shape, where it was looked at.
   *
   * @param feature of the clue book
   * @param answers weight by answer, 1 expected to 0.1 tolerated
   * @param words what it asks; null where it is worth no word
   * @param found how an answer that does not fit is told
   * @param station where one looks
   * @param look what to look for where two names differ in it
   */
  public record Asked(
      String feature,
      Map<String, Double> answers,
      @Nullable String words,
      Map<String, String> found,
      String station,
      String look) {
    public Asked {
      found = found == null ? Map.of() : Map.copyOf(found);
    }

    /** Any other answer, as it is told. */
    static final String OTHER = "other";

    String told(String answer) {
      return found.getOrDefault(answer, found.getOrDefault(OTHER, answer));
    }
  }

  /**
   * When it was made.
   *
   * @param from first year, give or take
   * @param common year from which it was common
   * @param to last common year; null where it still is made
   */
  public record Era(int from, int common, @Nullable Integer to) {}

  /**
   * A place a blade takes.
   *
   * @param endAlso an end accepted as well
   * @param fromBack whether it opens along the back
   * @param side where it lies among its neighbours; a hint only
   * @param bearsOn the back springs it works against, counted from either side
   * @param types weight by blade form, 1 expected to 0.05 tolerated
   */
  public record Slot(
      String role,
      End end,
      @Nullable End endAlso,
      boolean fromBack,
      Presses presses,
      Side side,
      List<Integer> bearsOn,
      boolean optional,
      Map<String, Double> types) {
    public Slot {
      bearsOn = bearsOn == null ? List.of() : List.copyOf(bearsOn);
    }

    /** The form one expects in it. */
    public String usualType() {
      return SlotAssignment.usualType(this);
    }

    boolean takes(End at) {
      return at == end || at == endAlso;
    }
  }

  public Pattern {
    regions = regions == null ? Map.of() : Map.copyOf(regions);
    asks = asks == null ? List.of() : List.copyOf(asks);
    alsoCalled = alsoCalled == null ? List.of() : List.copyOf(alsoCalled);
    tellApart = tellApart == null ? Map.of() : Map.copyOf(tellApart);
    strictly = strictly == null ? List.of() : List.copyOf(strictly);
    inTrade = inTrade == null ? List.of() : List.copyOf(inTrade);
  }

  /** The number of the last of its springs that a blade bears on; 0 where that is not on file. */
  int lastSpring() {
    int last = 0;
    for (Slot slot : slots) {
      for (int spring : slot.bearsOn()) {
        last = Math.max(last, spring);
      }
    }
    return last;
  }

  int fewestBlades() {
    int fewest = 0;
    for (Slot slot : slots) {
      fewest += slot.optional() ? 0 : 1;
    }
    return fewest;
  }

  /** Whether the springs part the pattern from its rivals: one blade of three or more. */
  boolean isDecidedByPress() {
    return slots.size() >= 3;
  }

  /** How often it is met, against an ordinary pattern. */
  public double weight() {
    return often == null ? 1 : often;
  }

  /** The frame one expects. */
  public String usualFrame() {
    return frames.entrySet().stream()
        .max(
            Map.Entry.<String, Double>comparingByValue()
                .thenComparing(Map.Entry.comparingByKey(java.util.Comparator.reverseOrder())))
        .map(Map.Entry::getKey)
        .orElseThrow();
  }
}
