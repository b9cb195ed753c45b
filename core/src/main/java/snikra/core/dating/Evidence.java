package snikra.core.dating;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.code.SeenCode;
import snikra.core.mark.MarkEvidence;
import snikra.core.pattern.Pattern;
import snikra.core.specimen.Sureness;
import snikra.core.wording.Wording;

/**
 * All that speaks of one knife's origin.
 *
 * @param number the pattern number as struck
 * @param codes date codes as seen
 * @param found answers by feature or trait, for holding the number against
 * @param lookedInVain features that were looked at and could not be told, and {@link
 *     snikra.core.specimen.Sought} that was not found
 * @param shown the same with how surely it was seen, for holding against hands and models
 * @param facesLeft where a mark may stand and nobody has looked yet, in the order of looking
 */
public record Evidence(
    MarkEvidence marks,
    List<Observed> observed,
    List<Statement> statements,
    @Nullable String number,
    List<SeenCode> codes,
    Map<String, String> found,
    Shown shown,
    List<FaceLeft> facesLeft,
    Set<String> lookedInVain) {

  /** Of a knife of which all that was found was seen surely. */
  public Evidence(
      MarkEvidence marks,
      List<Observed> observed,
      List<Statement> statements,
      @Nullable String number,
      List<SeenCode> codes,
      Map<String, String> found,
      List<FaceLeft> facesLeft,
      Set<String> lookedInVain) {
    this(
        marks,
        observed,
        statements,
        number,
        codes,
        found,
        Shown.surely(found),
        facesLeft,
        lookedInVain);
  }

  public Evidence {
    observed = List.copyOf(observed);
    statements = List.copyOf(statements);
    codes = List.copyOf(codes);
    found = Map.copyOf(found);
    facesLeft = List.copyOf(facesLeft);
    lookedInVain = Set.copyOf(lookedInVain);
  }

  /** The same but for these features and statements. */
  public Evidence without(Set<String> ids) {
    return new Evidence(
        marks,
        observed.stream().filter(o -> !ids.contains(o.feature().id())).toList(),
        statements.stream().filter(s -> !ids.contains(s.id())).toList(),
        number,
        codes,
        found,
        shown.without(ids),
        facesLeft,
        lookedInVain);
  }

  /** The same with one statement taken for true. */
  Evidence believing(String id) {
    return new Evidence(
        marks,
        observed,
        statements.stream().map(s -> s.id().equals(id) ? s.believed(1) : s).toList(),
        number,
        codes,
        found,
        shown,
        facesLeft,
        lookedInVain);
  }

  /** The same but for the marks. */
  Evidence unmarked() {
    return new Evidence(
        marks.unseen(), observed, statements, number, codes, found, shown, facesLeft, lookedInVain);
  }

  /**
   * A face nobody has looked at yet.
   *
   * @param legible how often something can be read there
   */
  public record FaceLeft(String label, double legible) {}

  /**
   * A feature looked at.
   *
   * @param patterns where it is the pattern, what it may be with the share of each
   * @param either where it may be one of several answers, each with its share
   */
  public record Observed(
      Feature feature, Clue clue, Sureness sureness, List<Share> patterns, List<Answer> either) {
    /** An answer of the clue book. */
    public Observed(Feature feature, Clue clue, Sureness sureness) {
      this(feature, clue, sureness, List.of(), List.of());
    }
  }

  /** An answer it may be, with its share. */
  public record Answer(Clue clue, double share) {}

  /** A pattern it may be, with its share. */
  public record Share(Pattern pattern, double share) {}

  /**
   * Something that is said of the knife: that it existed by a year, that it did not before one,
   * that it is of certain years, of a country or by a maker.
   *
   * @param id stable within the knife
   * @param station where it was told
   * @param heading what it is called among the clues
   * @param notBefore first year it can be of
   * @param byYear last year it can have been made in
   * @param years the only years it can be of, where it tells them one by one
   * @param regions the only ones it can be from, where it tells that
   * @param maker who made it, where it tells that
   * @param usual where and until when such a thing is mostly met; null where it is not known
   * @param designs what was so of such a knife in a year, held against this one
   * @param reliability probability that it is true of this knife
   * @param why the reason for it
   */
  public record Statement(
      String id,
      String station,
      String heading,
      String label,
      @Nullable Integer notBefore,
      @Nullable Integer byYear,
      @Nullable Set<Integer> years,
      @Nullable Set<String> regions,
      @Nullable String maker,
      @Nullable Usual usual,
      List<Design> designs,
      double reliability,
      String why) {

    /**
     * How such a knife was made in a year.
     *
     * @param isSame whether this one shows the same, or something else in its place
     */
    public record Design(int year, boolean isSame) {}

    /**
     * Where and until when something is mostly met.
     *
     * @param region the country it belongs to
     * @param to the last year of its use by law; null where there is none
     */
    public record Usual(String region, @Nullable Integer to) {}

    /** A statement of years alone. */
    public Statement(
        String id,
        String station,
        String heading,
        String label,
        @Nullable Integer notBefore,
        @Nullable Integer byYear,
        @Nullable Set<Integer> years,
        double reliability,
        String why) {
      this(
          id,
          station,
          heading,
          label,
          notBefore,
          byYear,
          years,
          null,
          null,
          null,
          List.of(),
          reliability,
          why);
    }

    /** A statement of a first or a last year. */
    public Statement(
        String id,
        String station,
        String heading,
        String label,
        @Nullable Integer notBefore,
        @Nullable Integer byYear,
        double reliability,
        String why) {
      this(id, station, heading, label, notBefore, byYear, null, reliability, why);
    }

    /** The same, believed so far. */
    Statement believed(double trust) {
      return new Statement(
          id, station, heading, label, notBefore, byYear, years, regions, maker, usual, designs,
          trust, why);
    }

    /** Whether it says of which years or of which country the knife is. */
    boolean isOfOrigin() {
      return isDated() || regions != null;
    }

    /** Whether the knife can be of this year. */
    public boolean allows(int year) {
      return (notBefore == null || year >= notBefore)
          && (byYear == null || year <= byYear)
          && (years == null || years.contains(year));
    }

    /** Whether the knife can be from this country. */
    public boolean allows(String region) {
      return regions == null || regions.contains(region);
    }

    /** Whether it says anything about the year. */
    public boolean isDated() {
      return notBefore != null || byYear != null || years != null || !designs.isEmpty();
    }

    /** Both at once, as one witness tells them; empty where they cannot both be so. */
    Optional<Statement> and(Statement more) {
      Integer from = later(notBefore, more.notBefore);
      Integer to = earlier(byYear, more.byYear);
      Set<Integer> shared = years == null ? more.years : years;
      if (years != null && more.years != null) {
        shared = years.stream().filter(more.years::contains).collect(Collectors.toSet());
      }
      Set<Integer> left =
          shared == null
              ? null
              : shared.stream()
                  .filter(y -> (from == null || y >= from) && (to == null || y <= to))
                  .collect(Collectors.toSet());
      boolean apart =
          (left != null && left.isEmpty())
              || (from != null && to != null && from > to)
              || (regions != null && more.regions != null && !regions.equals(more.regions))
              || (maker != null && more.maker != null && !maker.equals(more.maker));
      return apart
          ? Optional.empty()
          : Optional.of(
              new Statement(
                  id,
                  station,
                  heading,
                  label.equals(more.label) ? label : label + "; " + Wording.lowerFirst(more.label),
                  from,
                  to,
                  left,
                  regions == null ? more.regions : regions,
                  maker == null ? more.maker : maker,
                  usual == null ? more.usual : usual,
                  Stream.concat(designs.stream(), more.designs.stream()).distinct().toList(),
                  Math.max(reliability, more.reliability),
                  why));
    }

    private static @Nullable Integer later(@Nullable Integer a, @Nullable Integer b) {
      return a == null ? b : b == null ? a : Integer.valueOf(Math.max(a, b));
    }

    private static @Nullable Integer earlier(@Nullable Integer a, @Nullable Integer b) {
      return a == null ? b : b == null ? a : Integer.valueOf(Math.min(a, b));
    }
  }
}
