package snikra.core.number;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How a maker's pattern numbers are built: fields of fixed width in order, each with its codes.
 *
 * @param fields in the order struck
 * @param note where the scheme is known from
 */
public record NumberGrammar(List<Field> fields, String note) {

  /** A figure that cannot be read. */
  private static final char LOST = '_';

  /** Chance that a coded field says something else than the part as it left the works. */
  private static final double MISCODED = 0.02;

  /**
   * One field.
   *
   * @param meaning the feature of the clue book or trait it speaks of, {@code null} for a separator
   * @param codes what each code stands for; for a separator, itself
   */
  public record Field(
      String id, String label, int width, @Nullable String meaning, Map<String, Code> codes) {
    public Field {
      codes = java.util.Collections.unmodifiableMap(new LinkedHashMap<>(codes));
      for (String code : codes.keySet()) {
        if (code.length() != width) {
          throw new IllegalArgumentException(
              "codes of field " + id + " must be " + width + " long; found " + code);
        }
      }
    }

    List<String> fitting(String struck) {
      return codes.keySet().stream().filter(code -> fits(struck, code)).toList();
    }

    private static boolean fits(String struck, String code) {
      for (int i = 0; i < code.length(); i++) {
        if (struck.charAt(i) != LOST && struck.charAt(i) != code.charAt(i)) {
          return false;
        }
      }
      return true;
    }
  }

  /** What a code stands for: words for people and the values it allows. */
  public record Code(String label, List<String> values) {
    public Code {
      values = List.copyOf(values);
    }
  }

  public NumberGrammar {
    fields = List.copyOf(fields);
  }

  /** Reads a number; empty when it is not built like this. */
  public Optional<DecodedNumber> decode(String number, Map<String, String> found) {
    String struck = number.replace(" ", "");
    int length = fields.stream().mapToInt(Field::width).sum();
    if (struck.length() != length) {
      return Optional.empty();
    }
    List<DecodedNumber.Field> decoded = new ArrayList<>();
    int at = 0;
    for (Field field : fields) {
      String part = struck.substring(at, at + field.width());
      at += field.width();
      List<String> fitting = field.fitting(part);
      if (fitting.isEmpty()) {
        return Optional.empty();
      }
      if (field.meaning() != null) {
        decoded.add(hold(field, field.meaning(), part, fitting, found));
      }
    }
    return Optional.of(new DecodedNumber(struck, decoded));
  }

  private static DecodedNumber.Field hold(
      Field field, String meaning, String struck, List<String> fitting, Map<String, String> found) {
    List<Code> codes = fitting.stream().map(field.codes()::get).toList();
    List<String> values = codes.stream().flatMap(c -> c.values().stream()).distinct().toList();
    String seen = found.get(meaning);
    DecodedNumber.Holds holds =
        seen == null
            ? DecodedNumber.Holds.UNKNOWN
            : values.contains(seen) ? DecodedNumber.Holds.AGREES : DecodedNumber.Holds.CONTRADICTS;
    String label = String.join(" or ", codes.stream().map(Code::label).distinct().toList());
    return new DecodedNumber.Field(field.label(), meaning, struck, label, values, holds);
  }

  /**
   * Log probability that a number of this grammar is struck like this, against figures by chance.
   */
  public double logLikelihood(String number) {
    String struck = number.replace(" ", "");
    double builtLikeThis = decode(struck, Map.of()).isPresent() ? 1 : 0;
    int at = 0;
    for (Field field : builtLikeThis > 0 ? fields : List.<Field>of()) {
      String part = struck.substring(at, at + field.width());
      at += field.width();
      builtLikeThis *= (double) field.fitting(part).size() / field.codes().size();
    }
    return Math.log((1 - MISCODED) * builtLikeThis + MISCODED * byChance(struck));
  }

  /** Log probability of these figures when nothing is known of how they are built. */
  public static double logByChance(String number) {
    return Math.log(byChance(number.replace(" ", "")));
  }

  private static double byChance(String struck) {
    long legible = struck.chars().filter(c -> c != LOST).count();
    return Math.pow(1.0 / 11, (double) legible);
  }
}
