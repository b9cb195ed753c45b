package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Examiner;
import snikra.core.examination.Verdict;
import tools.jackson.databind.JsonNode;

/**
 * Whole opinions, word for word, as they stand in opinions.txt; written anew with {@code
 * -Dsnikra.publish=true}, and then to be read.
 */
class OpinionsTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);
  private static final Path KEPT = Path.of("src/test/resources/snikra/opinions.txt");
  private static final Pattern TWICE = Pattern.compile("\\b(\\p{L}+) \\1\\b");
  private static final Pattern MOST_LIKELY = Pattern.compile("[Mm]ost likely[^.]*?\\((\\d+)%\\)");

  static List<Arguments> stories() throws IOException {
    List<Arguments> all = StoriesTest.stories();
    List<Arguments> some = new ArrayList<>();
    for (int i = 0; i < all.size(); i += 2) {
      some.add(all.get(i));
    }
    return some;
  }

  private static Verdict verdict(JsonNode story) {
    String knife = story.path("knife").toString();
    return EXAMINER.examine(SpecimenFormat.read(knife, EXAMINER.shelf()));
  }

  private static String told(String story, Verdict verdict) {
    DatingVerdict dated = verdict.dating();
    StringBuilder out = new StringBuilder("# " + story + "\n");
    Double held = dated.opinion().held();
    out.append(dated.opinion().strength().words());
    out.append(held == null ? "" : " " + Math.round(100 * held) + "%");
    out.append(": ").append(dated.opinion().headline());
    out.append(", ").append(years(dated.opinion().years())).append(".\n");
    dated.opinion().sentences().forEach(s -> out.append(s).append('\n'));
    out.append(dated.opinion().rivals()).append('\n');
    dated
        .conflicts()
        .forEach(c -> out.append(c.label()).append(" / ").append(c.rivalLabel()).append('\n'));
    verdict.pattern().names().stream()
        .limit(1)
        .forEach(n -> out.append(n.strictly()).append(": ").append(n.because()).append('\n'));
    if (verdict.number() != null) {
      verdict
          .number()
          .reasons()
          .forEach(r -> out.append("Number: ").append(r.says()).append(percent(r.probability())));
    }
    return out.append('\n').toString();
  }

  private static String percent(double p) {
    return String.format(Locale.ROOT, " (%.0f%%)%n", 100 * p);
  }

  private static String years(snikra.core.dating.Span span) {
    return span.from() + "-" + span.to();
  }

  @Test
  void sixtyOpinionsAreSaidAsTheyWereRead() throws IOException {
    StringBuilder all = new StringBuilder();
    for (Arguments story : stories()) {
      all.append(told((String) story.get()[0], verdict((JsonNode) story.get()[1])));
    }
    if (Boolean.getBoolean("snikra.publish")) {
      Files.writeString(KEPT, all, StandardCharsets.UTF_8);
    }
    assertThat(stories()).hasSizeGreaterThanOrEqualTo(60);
    assertThat(all.toString()).isEqualTo(Files.readString(KEPT, StandardCharsets.UTF_8));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("stories")
  void isSaidWell(String story, JsonNode knife) {
    Verdict verdict = verdict(knife);
    DatingVerdict.Opinion opinion = verdict.dating().opinion();
    String text = told(story, verdict);
    assertThat(text).doesNotContainPattern(TWICE).doesNotContain("null").doesNotContain("  ");
    var likely = MOST_LIKELY.matcher(text);
    while (likely.find()) {
      assertThat(Integer.parseInt(likely.group(1))).as(text).isGreaterThanOrEqualTo(50);
    }
    opinion
        .sentences()
        .forEach(s -> assertThat(s).matches("(?s)\\p{Lu}.*[.!?]").doesNotContain(".."));
    // A number stands on what is held, however little; never on a maker that is not known.
    assertThat(opinion.held())
        .isEqualTo(
            "Maker not yet known".equals(opinion.headline())
                ? null
                : verdict.dating().explanations().get(0).probability());
    // The headline's years are not ruled out by the span the verdict gives.
    assertThat(verdict.dating().between(opinion.years().from(), opinion.years().to()))
        .isGreaterThan(0.05);
  }
}
