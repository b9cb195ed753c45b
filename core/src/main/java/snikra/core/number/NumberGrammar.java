package snikra.core.number;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * How a maker's pattern numbers are built: fields of fixed width in order, each with its codes;
 * some may be left out.
 *
 * @param fields in the order struck
 * @param note where the scheme is known from
 */
public record NumberGrammar(List<Field> fields, String note) {

  private static final int COMPLETIONS = 12;
  private static final int MOST_PARSES = 64;

  /** So many completions are weighed at most: the likeliest fields first. */
  private static final int WEIGHED = 4000;

  /**
   * One field.
   *
   * @param meaning the feature of the clue book or trait it speaks of, {@code null} for a separator
   * @param optional whether it may be left out, as prefixes and suffixes are
   * @param codes what each code stands for; for a separator, itself
   */
  public record Field(
      String id,
      String label,
      int width,
      @Nullable String meaning,
      boolean optional,
      Map<String, Code> codes) {
    public Field {
      codes = Collections.unmodifiableMap(new LinkedHashMap<>(codes));
      for (String code : codes.keySet()) {
        if (code.length() != width) {
          throw new IllegalArgumentException(
              "codes of field " + id + " must be " + width + " long; found " + code);
        }
      }
    }

    /** A field that is always there. */
    public Field(
        String id, String label, int width, @Nullable String meaning, Map<String, Code> codes) {
      this(id, label, width, meaning, false, codes);
    }

    private List<String> fitting(StruckNumber struck, int at) {
      return codes.keySet().stream().filter(code -> struck.fits(at, code)).toList();
    }
  }

  /**
   * What a code stands for: words for people and the values it allows.
   *
   * @param from first year of the code, where it was not always used
   * @param to last year
   */
  public record Code(
      String label, List<String> values, @Nullable Integer from, @Nullable Integer to) {
    public Code {
      values = List.copyOf(values);
    }

    private boolean isOfAllYears() {
      return from == null && to == null;
    }

    private boolean isInUse(int year) {
      return (from == null || year >= from) && (to == null || year <= to);
    }

    /** A code of all years. */
    public Code(String label, List<String> values) {
      this(label, values, null, null);
    }
  }

  public NumberGrammar {
    fields = List.copyOf(fields);
  }

  /** A way to share out the places of a number among the fields that are there. */
  private record Parse(List<Part> parts, double likelihood) {
    record Part(Field field, int at, List<String> fitting) {}
  }

  /** Reads a number; empty when it is not built like this. Of several ways the likeliest. */
  public Optional<DecodedNumber> decode(
      String number, Map<String, String> found, GrammarRates rates) {
    StruckNumber struck = StruckNumber.read(number);
    return likeliest(struck, rates).map(parse -> decoded(struck, parse, found));
  }

  private Optional<Parse> likeliest(StruckNumber struck, GrammarRates rates) {
    return parses(struck, rates).stream().max(Comparator.comparingDouble(Parse::likelihood));
  }

  private List<Parse> parses(StruckNumber struck, GrammarRates rates) {
    List<Parse> all = new ArrayList<>();
    parse(struck, 0, 0, new ArrayList<>(), 1, rates.optionalIsThere(), all);
    return all;
  }

  private void parse(
      StruckNumber struck,
      int f,
      int at,
      List<Parse.Part> so,
      double likelihood,
      double optional,
      List<Parse> all) {
    if (f == fields.size()) {
      if (at == struck.length() && all.size() < MOST_PARSES) {
        all.add(new Parse(List.copyOf(so), likelihood));
      }
      return;
    }
    Field field = fields.get(f);
    List<String> fitting = field.fitting(struck, at);
    if (!fitting.isEmpty()) {
      double there = field.optional() ? optional : 1;
      double share = (double) fitting.size() / field.codes().size();
      so.add(new Parse.Part(field, at, fitting));
      parse(struck, f + 1, at + field.width(), so, likelihood * there * share, optional, all);
      so.remove(so.size() - 1);
    }
    if (field.optional()) {
      parse(struck, f + 1, at, so, likelihood * (1 - optional), optional, all);
    }
  }

  private static DecodedNumber decoded(
      StruckNumber struck, Parse parse, Map<String, String> found) {
    List<DecodedNumber.Field> fields = new ArrayList<>();
    for (Parse.Part part : parse.parts) {
      if (part.field.meaning() != null) {
        String shown = struck.shown(part.at, part.at + part.field.width());
        fields.add(hold(part.field, part.field.meaning(), shown, part.fitting, found));
      }
    }
    return new DecodedNumber(struck.shown(0, struck.length()), fields);
  }

  private static DecodedNumber.Field hold(
      Field field, String meaning, String struck, List<String> fitting, Map<String, String> found) {
    List<Code> codes = fitting.stream().map(field.codes()::get).toList();
    List<String> values = codes.stream().flatMap(c -> c.values().stream()).distinct().toList();
    String seen = found.get(meaning);
    DecodedNumber.Holds holds =
        seen == null || values.isEmpty()
            ? DecodedNumber.Holds.UNKNOWN
            : values.contains(seen) ? DecodedNumber.Holds.AGREES : DecodedNumber.Holds.CONTRADICTS;
    String label = String.join(" or ", codes.stream().map(Code::label).distinct().toList());
    return new DecodedNumber.Field(field.label(), meaning, struck, label, values, holds);
  }

  /**
   * What a worn number may have been, likeliest first by what the knife shows; empty when it is
   * whole or not built like this.
   */
  public List<Completion> completions(
      String number, Map<String, String> found, GrammarRates rates) {
    StruckNumber struck = StruckNumber.read(number);
    List<Completion> all = new ArrayList<>();
    for (Parse parse : parses(struck, rates)) {
      if (all.size() < WEIGHED) {
        complete(parse, 0, "", List.of(), parse.likelihood, found, rates.miscoded(), all);
      }
    }
    double sum = all.stream().mapToDouble(Completion::probability).sum();
    return all.size() < 2
        ? List.of()
        : all.stream()
            .map(c -> new Completion(c.number(), c.says(), c.probability() / sum))
            .sorted(
                Comparator.comparingDouble((Completion c) -> -c.probability())
                    .thenComparing(Completion::number))
            .limit(COMPLETIONS)
            .toList();
  }

  private static void complete(
      Parse parse,
      int p,
      String so,
      List<String> says,
      double weight,
      Map<String, String> found,
      double miscoded,
      List<Completion> all) {
    if (p == parse.parts.size()) {
      all.add(new Completion(so, String.join(", ", says), weight));
      return;
    }
    Parse.Part part = parse.parts.get(p);
    for (String code : part.fitting) {
      Code c = part.field.codes().get(code);
      String meaning = part.field.meaning();
      String seen = meaning == null ? null : found.get(meaning);
      boolean against = seen != null && !c.values().isEmpty() && !c.values().contains(seen);
      List<String> more = new ArrayList<>(says);
      if (meaning != null) {
        more.add(c.label());
      }
      double here = weight / part.fitting.size() * (against ? miscoded : 1);
      if (all.size() < WEIGHED) {
        complete(parse, p + 1, so + code, more, here, found, miscoded, all);
      }
    }
  }

  /**
   * What the codes of a number say of a year.
   *
   * @param fields of each field that tells, the codes it may be
   * @param outOfUse P(a code in other years), against one in use
   */
  public record Eras(List<List<Code>> fields, double outOfUse) {
    /** P(codes | struck in this year), against codes of all years. */
    public double in(int year) {
      double p = 1;
      for (List<Code> codes : fields) {
        p *= codes.stream().anyMatch(c -> c.isInUse(year)) ? 1 : outOfUse;
      }
      return p;
    }
  }

  /** The codes of this number that were not always used; empty when there are none. */
  public Optional<Eras> eras(String number, GrammarRates rates) {
    List<List<Code>> telling =
        likeliest(StruckNumber.read(number), rates).map(Parse::parts).orElse(List.of()).stream()
            .map(p -> p.fitting.stream().map(p.field.codes()::get).toList())
            .filter(codes -> codes.stream().noneMatch(Code::isOfAllYears))
            .toList();
    return telling.isEmpty() ? Optional.empty() : Optional.of(new Eras(telling, rates.outOfUse()));
  }

  /** A whole number that a worn one may have been. */
  public record Completion(String number, String says, double probability) {}

  /**
   * The number a knife like this would have had; {@code _} where the knife does not say, and fields
   * that may be left out only where it calls for them. Empty where it shows something that has no
   * code.
   */
  public Optional<String> encode(Map<String, String> found) {
    StringBuilder number = new StringBuilder();
    for (Field field : fields) {
      String seen = field.meaning() == null ? null : found.get(field.meaning());
      Optional<String> code =
          field.codes().entrySet().stream()
              .filter(e -> seen != null && e.getValue().values().contains(seen))
              .map(Map.Entry::getKey)
              .findFirst();
      if (code.isPresent()) {
        number.append(code.get());
      } else if (!field.optional()) {
        if (seen != null) {
          return Optional.empty();
        }
        boolean one = field.codes().size() == 1;
        number.append(one ? field.codes().keySet().iterator().next() : "_".repeat(field.width()));
      }
    }
    return Optional.of(number.toString());
  }

  /**
   * Log probability that a number of this grammar is struck like this, against figures by chance.
   */
  public double logLikelihood(String number, GrammarRates rates) {
    StruckNumber struck = StruckNumber.read(number);
    double builtLikeThis = likeliest(struck, rates).map(Parse::likelihood).orElse(0.0);
    return Math.log((1 - rates.miscoded()) * builtLikeThis + rates.miscoded() * struck.byChance());
  }

  /** Log probability of these figures when nothing is known of how they are built. */
  public static double logByChance(String number) {
    return Math.log(StruckNumber.read(number).byChance());
  }
}
