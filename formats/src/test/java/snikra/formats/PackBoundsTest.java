package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import snikra.core.examination.Problem;

/** Text that was made to take long is refused in no time, each with its place. */
class PackBoundsTest {
  private static final Duration NO_TIME = Duration.ofSeconds(5);

  static Stream<Arguments> madeToTakeLong() {
    String keys =
        IntStream.range(0, 400_000)
            .mapToObj(i -> "k" + i + ": v")
            .collect(Collectors.joining("\n"));
    return Stream.of(
        Arguments.of("one line of text", "title: \"" + "a".repeat(4_000_000) + "\""),
        Arguments.of("one line of a comment", "#".repeat(4_000_000)),
        Arguments.of("one line of spaces", " ".repeat(4_000_000) + "a"),
        Arguments.of("brackets", "[".repeat(4_000_000)),
        Arguments.of("dashes", "- ".repeat(2_000_000)),
        Arguments.of("groups in groups", "{a: ".repeat(100_000)),
        Arguments.of("hundreds of thousands of fields", keys),
        Arguments.of("hundreds of thousands of lines", "a: |\n" + "  x\n".repeat(1_000_000)),
        Arguments.of("aliases", "a: &x hello\nb: [" + "*x, ".repeat(20_000) + "*x]"),
        Arguments.of("the same key twice", "id: a\nid: b"));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("madeToTakeLong")
  void isRefusedInNoTime(String what, String text) {
    Instant begun = Instant.now();
    InvalidInput refused =
        catchThrowableOfType(InvalidInput.class, () -> PackFormat.read("brought.yaml", text));
    assertThat(refused).as(what).isNotNull();
    assertThat(refused.problems()).hasSizeBetween(1, 100);
    assertThat(refused.problems().get(0).field()).startsWith("brought.yaml");
    assertThat(Duration.between(begun, Instant.now())).isLessThan(NO_TIME);
  }

  @Test
  void theLineThatIsTooLongIsNamed() {
    String text = "id: a\ntitle: b\nnote: " + "x".repeat(PackFormat.LONGEST_LINE) + "\n";
    Problem problem =
        catchThrowableOfType(InvalidInput.class, () -> PackFormat.read("a.yaml", text))
            .problems()
            .get(0);
    assertThat(problem.field()).isEqualTo("a.yaml:3");
    assertThat(problem.given()).contains((PackFormat.LONGEST_LINE + 6) + " characters");
    assertThat(problem.accepted()).contains("" + PackFormat.LONGEST_LINE);
  }

  @Test
  void aLineOfJustTheLengthIsRead() throws Exception {
    String example = Files.readString(Path.of("..", "docs", "formats", "pack.example.yaml"));
    String comment = "#" + "x".repeat(PackFormat.LONGEST_LINE - 1);
    for (String end : List.of("\n", "\r\n", "\r")) {
      assertThat(PackFormat.read("a.yaml", comment + end + example.replace("\n", end)).makers())
          .isNotEmpty();
    }
  }

  @Test
  void jsonOfTooManyPartsIsRefusedToo() {
    String many =
        IntStream.range(0, 300_000)
            .mapToObj(i -> "\"k" + i + "\":1")
            .collect(Collectors.joining(","));
    InvalidInput refused =
        catchThrowableOfType(InvalidInput.class, () -> SpecimenFormat.parse("{" + many + "}"));
    assertThat(refused).isNotNull();
    assertThat(refused.problems()).hasSize(1);
  }

  @Test
  void fieldsThatAreGivenTwiceAreRefused() {
    InvalidInput refused =
        catchThrowableOfType(
            InvalidInput.class, () -> SpecimenFormat.parse("{\"title\":\"a\",\"title\":\"b\"}"));
    assertThat(refused).isNotNull();
  }
}
