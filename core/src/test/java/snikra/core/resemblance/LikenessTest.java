package snikra.core.resemblance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Patterns;
import snikra.core.fixture.Shelf;
import snikra.core.judgement.Judgement;
import snikra.core.mark.MarkEvidence;
import snikra.core.measure.Length;
import snikra.core.pattern.Pattern;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkShares;
import snikra.core.reference.ModelTell;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Trust;
import snikra.core.resemblance.Comparison.Cell;
import snikra.core.resemblance.Comparison.Row;
import snikra.core.resemblance.Comparison.Standing;
import snikra.core.specimen.End;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;

class LikenessTest {
  private static final Judgement RATES = Shelf.judgement();
  private static final ReferenceShelf SHELF = shelf();
  private static final double FITTED_TRUST = 0.6;
  private static final double WRONG = RATES.of("tell.wrong");

  private final Likeness likeness = new Likeness(SHELF);

  private static ReferenceShelf shelf() {
    ReferenceShelf bare = Shelf.invented(Patterns.invented());
    Maker tarn =
        new Maker(
            "tarn",
            "Tarn",
            "W",
            "Windover",
            2,
            List.of(),
            null,
            List.of(),
            List.of(
                Shelf.mark("tarn-old", 1890, 1905, "TARN"),
                Shelf.mark("tarn-new", 1906, 1930, "TARN", "WINDOVER")),
            new History(
                History.Kind.MAKER,
                List.of(),
                List.of(),
                List.of(),
                List.of(
                    fitting("spacer", "metal", 1890, 1910),
                    fitting("lifter", "cap", 1900, 1930),
                    fitting("lifter", "none", 1890, 1930)),
                List.of(
                    model(
                        "12",
                        "jack",
                        1900,
                        1910,
                        new ModelTell("material", Map.of("horn", 0.7), null, null, "", 0.5)),
                    model("40", "pen-knife", 1915, 1930)),
                List.of()),
            "");
    Maker vole =
        new Maker(
            "vole",
            "Vole",
            "E",
            "Osterby",
            1,
            List.of(),
            null,
            List.of(),
            List.of(Shelf.mark("vole", 1880, 1920, "VOLE")),
            new History(
                History.Kind.MAKER,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(
                    model(
                        "7",
                        "jack",
                        1940,
                        1950,
                        ModelTell.of("material", Map.of("bone", 0.9), ""))),
                List.of()),
            "");
    return bare.withMakers(List.of(tarn, vole));
  }

  private static History.Fitting fitting(String feature, String value, int from, int to) {
    return new History.Fitting(feature, value, from, to, 1, "", "", FITTED_TRUST);
  }

  private static History.Model model(
      String number, String pattern, int from, int to, ModelTell... tells) {
    return new History.Model(
        number,
        "Model " + number,
        pattern,
        from,
        to,
        Map.of(),
        List.of(tells),
        List.of(),
        "",
        "",
        1);
  }

  private static MarkEvidence marks(boolean isRead, double... logs) {
    return new MarkEvidence(isRead, isRead, logs, -4, 0, List.of(), null, 0.1, List.of(), null);
  }

  private static Specimen knife(@Nullable String length, Map<String, Seen<String>> looks) {
    return new Specimen(
        null,
        null,
        new Seen<>("round", Sureness.LIKELY),
        Seen.sure("front"),
        length == null ? null : Length.parse(length),
        Seen.sure(1),
        List.of(
            SeenBlade.sure("clip", End.A, null, null), SeenBlade.sure("saw", End.A, null, null)),
        List.of(),
        "12",
        looks,
        Map.of(),
        List.of(),
        List.of());
  }

  private static final Specimen KNIFE =
      knife(
          "88 mm",
          Map.of(
              "material", new Seen<>("horn", Sureness.UNSURE),
              "spacer", Seen.sure("metal"),
              "lifter", Seen.sure("cap")));
  private static final MarkEvidence READ = marks(true, -1, -3, -7);

  private Lookalike lookalike(String id) {
    return likeness.models().stream().filter(m -> m.id().equals(id)).findFirst().orElseThrow();
  }

  private Cell cell(Comparison of, String trait, int place) {
    return of.rows().stream()
        .filter(r -> r.trait().equals(trait))
        .map(Row::cells)
        .findFirst()
        .orElseThrow()
        .get(place);
  }

  private static double decibans(double ratio) {
    return 10 * Math.log10(ratio);
  }

  // How often patterns and books show an answer, by the definition of each.
  private static double atLarge(String trait, String value) {
    double rate = 0;
    double often = 0;
    for (Pattern p : SHELF.patterns().patterns()) {
      often += p.weight();
      rate += p.weight() * RATES.of("alike.as-its-pattern") * ofPattern(p, trait, value);
    }
    rate /= often;
    double base = 0;
    double all = 0;
    for (var f : SHELF.clues().features()) {
      if (f.id().equals(trait)) {
        for (var c : f.clues()) {
          base += c.id().equals(value) ? c.base() : 0;
          all += c.base();
        }
      }
    }
    return Math.max(RATES.of("large.rare"), rate + base / Math.max(1, all));
  }

  private static double ofPattern(Pattern p, String trait, String value) {
    return switch (trait) {
      case "frame" -> shared(p.frames(), value);
      case "bolsters" -> shared(halving(p.bolsters()), value);
      case "springs" -> shared(halving(p.springs().stream().map(String::valueOf).toList()), value);
      case "blades" -> {
        Map<String, Double> counts = new HashMap<>();
        int fewest = (int) p.slots().stream().filter(s -> !s.optional()).count();
        for (int n = fewest; n <= p.slots().size(); n++) {
          counts.put("" + n, 1.0);
        }
        yield shared(counts, value);
      }
      case "blade-1" -> shared(p.slots().get(0).types(), value);
      default -> 0;
    };
  }

  private static Map<String, Double> halving(List<String> values) {
    Map<String, Double> out = new HashMap<>();
    for (int i = 0; i < values.size(); i++) {
      out.put(values.get(i), Math.pow(0.5, i));
    }
    return out;
  }

  private static double shared(Map<String, Double> weights, String value) {
    double all = weights.values().stream().mapToDouble(w -> w).sum();
    return weights.getOrDefault(value, 0.0) / all;
  }

  private static double told(double own, double named, double any, Sureness how) {
    return told(own, named, any, how, Trust.MOST);
  }

  private static double told(double own, double named, double any, Sureness how, double trust) {
    double q = LookReliability.of(RATES).of(how) * (1 - WRONG) * trust;
    return decibans(q * (own + (1 - named) * any) / any + 1 - q);
  }

  @Test
  void eachTellSpeaksByHowMuchLikelierItIsThanOnKnivesAtLarge() {
    Comparison c =
        likeness.compare(KNIFE, READ, List.of(lookalike("tarn/12"), lookalike("vole/7")));

    double horn = atLarge("material", "horn");
    assertThat(cell(c, "material", 0).decibans())
        .isCloseTo(told(0.7, 0.7, horn, Sureness.UNSURE, 0.5), within(1e-9));
    assertThat(cell(c, "material", 1).decibans())
        .isCloseTo(told(0, 0.9, horn, Sureness.UNSURE), within(1e-9));
    double round = atLarge("frame", "round");
    double asked = RATES.of("alike.as-its-pattern");
    assertThat(cell(c, "frame", 0).decibans())
        .isCloseTo(told(asked / 1.3, asked, round, Sureness.LIKELY), within(1e-9));
    assertThat(cell(c, "bolsters", 0).decibans())
        .isCloseTo(
            told(asked / 3, asked, atLarge("bolsters", "front"), Sureness.SURE), within(1e-9));
    assertThat(cell(c, "blades", 0).decibans())
        .isCloseTo(told(asked / 2, asked, atLarge("blades", "2"), Sureness.SURE), within(1e-9));
    assertThat(cell(c, "springs", 0).decibans())
        .isCloseTo(
            told(2 * asked / 3, asked, atLarge("springs", "1"), Sureness.SURE), within(1e-9));
    assertThat(cell(c, "blade-1", 0).decibans())
        .isCloseTo(
            told(asked / 1.4, asked, atLarge("blade-1", "clip"), Sureness.SURE), within(1e-9));
    double fitted = RATES.of("fitting.on-its-knives");
    assertThat(cell(c, "spacer", 0).decibans())
        .isCloseTo(
            told(fitted, fitted, atLarge("spacer", "metal"), Sureness.SURE, FITTED_TRUST),
            within(1e-9));
    assertThat(cell(c, "lifter", 0).decibans())
        .isCloseTo(
            told(fitted / 2, fitted, atLarge("lifter", "cap"), Sureness.SURE, FITTED_TRUST),
            within(1e-9));
    double numbered = RATES.of("alike.number-on-it");
    assertThat(cell(c, "number", 0).decibans())
        .isCloseTo(told(numbered, numbered, RATES.of("large.number"), Sureness.SURE), within(1e-9));
    assertThat(cell(c, "number", 1).decibans())
        .isCloseTo(told(0, numbered, RATES.of("large.number"), Sureness.SURE), within(1e-9));
    assertThat(cell(c, "number", 0).standing()).isEqualTo(Standing.FOR);
    assertThat(cell(c, "number", 1).standing()).isEqualTo(Standing.AGAINST);
    // Tools speak through the clue book.
    assertThat(cell(c, "blade-2", 0).standing()).isEqualTo(Standing.NOT_SEEN);
  }

  @Test
  void aLengthSpeaksByItsDensity() {
    Comparison c = likeness.compare(KNIFE, READ, List.of(lookalike("tarn/12")));
    double often = SHELF.patterns().patterns().stream().mapToDouble(Pattern::weight).sum();
    double any = 0;
    for (Pattern p : SHELF.patterns().patterns()) {
      any += p.weight() / often * density(88, p.closedLengthMm());
    }
    double none = RATES.of("large.length-of-no-pattern");
    any = (1 - none) * any + none / RATES.of("large.sizes-mm");
    double own = density(88, new Pattern.Range(76, 95, 86));
    double believed = (1 - WRONG) * Trust.MOST;
    assertThat(cell(c, "closed-length", 0).decibans())
        .isCloseTo(decibans(believed * own / any + 1 - believed), within(1e-9));
    assertThat(cell(c, "closed-length", 0).expected()).isEqualTo("86 mm");
    Comparison unmeasured =
        likeness.compare(knife(null, Map.of()), READ, List.of(lookalike("tarn/12")));
    assertThat(cell(unmeasured, "closed-length", 0).standing()).isEqualTo(Standing.NOT_SEEN);
    assertThat(cell(unmeasured, "closed-length", 0).decibans()).isZero();
  }

  private static double density(double mm, Pattern.Range r) {
    double spread =
        Math.max(
            RATES.of("alike.least-spread-mm"),
            (r.max() - r.min()) / RATES.of("alike.range-in-deviations"));
    double z = (mm - r.typical()) / spread;
    return Math.exp(-z * z / 2) / (spread * Math.sqrt(2 * Math.PI));
  }

  @Test
  void aMarkSpeaksForWhoStruckItInTheModelsYears() {
    Comparison c =
        likeness.compare(
            KNIFE, READ, List.of(lookalike("tarn/12"), lookalike("tarn/40"), lookalike("vole/7")));
    double[] likely = {1, Math.exp(-2), Math.exp(-6)};
    double any = SHELF.unlistedWeight() * Math.exp(-3);
    int place = 0;
    for (Maker m : SHELF.makers()) {
      for (double share : MarkShares.of(m, SHELF.region(m.region()), 0.01)) {
        any += m.weight() * share * likely[place++];
      }
    }
    any /= SHELF.unlistedWeight() + 3;
    double another = RATES.of("alike.mark-is-anothers");
    // Both marks fall into the years of No. 12, the later alone into those of No. 40.
    double both = (likely[0] + likely[1]) / 2;
    assertThat(cell(c, "mark", 0).decibans())
        .isCloseTo(decibans((1 - another) * both / any + another), within(1e-9));
    assertThat(cell(c, "mark", 1).decibans())
        .isCloseTo(decibans((1 - another) * likely[1] / any + another), within(1e-9));
    assertThat(cell(c, "mark", 2).decibans()).isCloseTo(decibans(another), within(1e-9));
    assertThat(cell(c, "mark", 0).expected()).isEqualTo("a mark of Tarn");
    assertThat(cell(c, "mark", 2).expected()).isEqualTo("no mark of its years on file");
    Comparison unread =
        likeness.compare(KNIFE, marks(false, 0, 0, 0), List.of(lookalike("tarn/12")));
    assertThat(cell(unread, "mark", 0).standing()).isEqualTo(Standing.NOT_SEEN);
  }

  @Test
  void sharesAreThoseOfTheLookalikesAndAllOthers() {
    List<Lookalike> all = likeness.models();
    Comparison c = likeness.compare(KNIFE, READ, all);
    double[] totals = new double[all.size()];
    for (Row row : c.rows()) {
      for (int i = 0; i < totals.length; i++) {
        totals[i] += row.cells().get(i).decibans();
      }
    }
    double sum = c.other();
    for (int i = 0; i < totals.length; i++) {
      assertThat(c.totals().get(i).decibans()).isCloseTo(totals[i], within(1e-9));
      sum += c.totals().get(i).probability();
    }
    assertThat(sum).isCloseTo(1, within(1e-12));
    double kinds = RATES.of("alike.other-kinds");
    double mates = RATES.of("alike.of-its-pattern");
    assertThat(c.priorDecibans()).isCloseTo(-decibans(kinds), within(1e-9));
    double jack = odds(c.totals().get(0).decibans()) / c.totals().get(0).probability();
    double one = odds(likeness.compare(KNIFE, READ, List.of(all.get(0))).ofItsPattern());
    double other = odds(likeness.compare(KNIFE, READ, List.of(all.get(1))).ofItsPattern());
    double lookalikes = 0;
    for (double t : totals) {
      lookalikes += odds(t);
    }
    assertThat(jack).isCloseTo(lookalikes + kinds - mates + mates * (one + other), within(1e-6));
    assertThat(c.ofItsPattern()).isCloseTo(decibans(Math.max(one, other)), within(1e-9));
  }

  private static double odds(double decibans) {
    return Math.pow(10, decibans / 10);
  }

  @Test
  void theRankingIsByWhatEachAloneAgainstTheKnifeGives() {
    List<Lookalike> all = new ArrayList<>(likeness.models());
    all.add(likeness.knife("twin", "A twin", KNIFE));
    List<Comparison.Total> ranked = likeness.ranked(KNIFE, READ, all);
    assertThat(ranked).extracting(Comparison.Total::id).startsWith("twin", "tarn/12");
    for (Comparison.Total total : ranked) {
      Lookalike of = all.stream().filter(l -> l.id().equals(total.id())).findFirst().orElseThrow();
      Comparison.Total alone = likeness.compare(KNIFE, READ, List.of(of)).totals().get(0);
      assertThat(total.decibans()).isCloseTo(alone.decibans(), within(1e-9));
      assertThat(total.probability()).isCloseTo(alone.probability(), within(1e-12));
    }
  }

  @Test
  void anotherKnifeIsLikeItselfAsFarAsBothWereSeen() {
    Lookalike twin = likeness.knife("twin", "A twin", KNIFE);
    Comparison c = likeness.compare(KNIFE, READ, List.of(twin));
    double again = RATES.of("alike.same-again");
    double unsure = again * LookReliability.of(RATES).of(Sureness.UNSURE);
    double sure = again * LookReliability.of(RATES).of(Sureness.SURE);
    assertThat(cell(c, "material", 0).decibans())
        .isCloseTo(
            told(unsure, unsure, atLarge("material", "horn"), Sureness.UNSURE), within(1e-9));
    assertThat(cell(c, "spacer", 0).decibans())
        .isCloseTo(told(sure, sure, atLarge("spacer", "metal"), Sureness.SURE), within(1e-9));
    assertThat(twin.usual("spacer")).hasValue("metal");
    assertThat(twin.usualLength()).hasValue(88.0);
    assertThat(twin.tells())
        .filteredOn(t -> t.mm() != null)
        .extracting(ModelTell::spread)
        .containsExactly(RATES.of("alike.same-length-mm"));
    assertThat(c.rows()).extracting(Row::trait).doesNotContain("mark");
    assertThat(c.ofItsPattern()).isNull();
  }

  @Test
  void whatPartsTheLookalikesStandsFirstAndWhatWasNotSeenLast() {
    Comparison c =
        likeness.compare(
            knife(null, Map.of("material", Seen.sure("horn"))),
            READ,
            List.of(lookalike("tarn/12"), lookalike("vole/7")));
    List<Row> seen = c.rows().stream().filter(r -> r.seen() != null).toList();
    assertThat(c.rows().subList(0, seen.size())).isEqualTo(seen);
    assertThat(seen)
        .extracting(LikenessTest::weight)
        .isSortedAccordingTo((a, b) -> -Double.compare(a, b));
    assertThat(seen.get(0).trait()).isIn("mark", "number");
    assertThat(c.rows())
        .filteredOn(r -> r.trait().equals("material"))
        .extracting(Row::label, Row::seen)
        .containsExactly(org.assertj.core.api.Assertions.tuple("material", "horn"));
  }

  private static double weight(Row row) {
    double a = row.cells().get(0).decibans();
    double b = row.cells().get(1).decibans();
    return 2 * Math.abs(a - b) + Math.max(Math.abs(Math.max(a, b)), Math.abs(Math.min(a, b)));
  }
}
