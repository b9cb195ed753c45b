package snikra.core.mark;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import snikra.core.fixture.Shelf;

class StruckLinesTest {
  private final Channel channel =
      new Channel(
          Shelf.lettering(Map.of('O', "QC", 'E', "F")),
          new LetterRates(0.97, 0.024, 0.75, 0.17, 0.004, 0.002));

  private static String line(Random random) {
    List<String> words = List.of("VELD", "VELDRAKE", "KNIFE", "KNIVES", "WORKS", "CO", "TARN");
    return IntStream.rangeClosed(0, random.nextInt(3))
        .mapToObj(i -> words.get(random.nextInt(words.size())))
        .reduce("", String::concat);
  }

  // All alignments of one line, nothing left out.
  private static double alone(Channel.Read read, int[] letters) {
    double[][] p = new double[read.length() + 1][letters.length + 1];
    for (int i = 0; i <= read.length(); i++) {
      for (int j = 0; j <= letters.length; j++) {
        boolean stretch = i > 0 && read.isStretch()[i - 1];
        double overlooked = j == 0 ? 0 : p[i][j - 1] * (stretch ? 1 : 0.004);
        if (i == 0) {
          p[i][j] = j == 0 ? 1 : overlooked;
        } else if (stretch) {
          p[i][j] = Math.max(p[i - 1][j], overlooked);
        } else {
          double right = j == 0 ? 0 : p[i - 1][j - 1] * read.emission()[i][letters[j - 1]];
          p[i][j] = right + p[i - 1][j] * read.imagined()[i] + overlooked;
        }
      }
    }
    return p[read.length()][letters.length];
  }

  // What is negligible beside chance is nothing; all else is exact.
  private static double least(double exact, Channel.Read read) {
    boolean isNegligible = exact < Channel.NEGLIGIBLE * read.chance() * (1 + 1e-12);
    return isNegligible ? 0 : exact * (1 - 1e-12);
  }

  @Test
  void manyLinesSideBySideAreWorthWhatEachIsWorthAlone() {
    Random random = new Random(5);
    StruckLines.Collector collector = new StruckLines.Collector(List.of());
    List<String> struck =
        Stream.generate(() -> line(random) + random.nextInt(10_000)).limit(4_000).toList();
    int[] number = struck.stream().mapToInt(collector::add).toArray();
    StruckLines lines = collector.all();
    assertThat(lines.size()).isGreaterThan(3_000);
    Channel.Read read = channel.read("VELDRA*");
    double[] given = lines.given(read);
    for (int i = 0; i < number.length; i++) {
      double exact = alone(read, Channel.indices(struck.get(i)));
      assertThat(given[number[i]]).isBetween(least(exact, read), exact * (1 + 1e-12));
    }
    assertThat(lines.given(read)).isEqualTo(given);
  }

  @Test
  void linesOfEveryLengthAreWorthWhatEachIsWorthAlone() {
    Random random = new Random(3);
    List<String> struck = Stream.generate(() -> line(random)).limit(300).toList();
    StruckLines.Collector collector = new StruckLines.Collector(List.of());
    int[] number = struck.stream().mapToInt(collector::add).toArray();
    StruckLines lines = collector.all();
    for (String text :
        List.of("VELDRAKE", "VEL*CO", "..LDR.KE WO?RKS", "*", "QQQQ", "KN?IFE*", "T", "WORKSCO")) {
      Channel.Read read = channel.read(text);
      double[] given = lines.given(read);
      for (int i = 0; i < number.length; i++) {
        double exact = alone(read, Channel.indices(struck.get(i)));
        assertThat(given[number[i]])
            .as("%s struck, %s read", struck.get(i), text)
            .isBetween(least(exact, read), exact * (1 + 1e-12));
      }
    }
  }

  @Test
  void whatCannotBeReadIntoALineIsNothing() {
    StruckLines.Collector collector = new StruckLines.Collector(List.of());
    int far = collector.add("TINPOTSMFGCOMPANY");
    int near = collector.add("VELDRAKE");
    double[] given = collector.all().given(channel.read("VELDRAKE"));
    assertThat(given[far]).isZero();
    assertThat(given[near]).isGreaterThan(0.7);
  }

  @Test
  void theSameLineHasOneNumber() {
    StruckLines.Collector collector = new StruckLines.Collector(List.of());
    assertThat(collector.add("VELD-RAKE")).isEqualTo(collector.add("VELD RAKE"));
    assertThat(new StruckLines.Collector(List.of()).all().given(channel.read("X"))).isEmpty();
  }

  @Test
  void aLineInAnotherSpellingIsTheSameLine() {
    StruckLines.Collector collector =
        new StruckLines.Collector(List.of(List.of("&", "AND", "UND"), List.of("CO", "COMPANY")));
    int line = collector.add("ORBEL & SON CO.");
    int umlaut = collector.add("M\u00dcHLE");
    StruckLines lines = collector.all();
    assertThat(lines.given(channel.read("ORBEL AND SON CO"))[line]).isGreaterThan(0.6);
    assertThat(lines.given(channel.read("ORBEL & SON COMPANY"))[line]).isGreaterThan(0.5);
    assertThat(lines.given(channel.read("ORBEL AND SON COMPANY"))[line]).isGreaterThan(0.5);
    assertThat(lines.given(channel.read("ORBEL UN_ SON CO"))[line]).isGreaterThan(0.6);
    assertThat(lines.given(channel.read("ORBEL ANT SON CO"))[line]).isLessThan(0.01);
    assertThat(lines.given(channel.read("MUEHLE"))[umlaut]).isGreaterThan(0.8);
    assertThat(lines.given(channel.read("MUHLE"))[umlaut]).isGreaterThan(0.8);
  }

  @Test
  void aForkIsWorthItsBestWayInEveryLineThatTakesIt() {
    StruckLines.Collector collector =
        new StruckLines.Collector(
            List.of(List.of("&", "AND", "UND"), List.of("CO", "COY", "COMPANY")));
    List<String> struck = List.of("& VELD", "AND TARN", "& TARN CO", "TARN CO", "VELD & CO", "CO");
    int[] number = struck.stream().mapToInt(collector::add).toArray();
    StruckLines lines = collector.all();
    for (String text :
        List.of("& VE_D", "AND V*", "TARN C?OY", "VELD UND CO", "*", "Q", "COM_ANY")) {
      Channel.Read read = channel.read(text);
      double[] given = lines.given(read);
      for (int i = 0; i < number.length; i++) {
        double[] ways = ways(struck.get(i)).mapToDouble(way -> alone(read, way)).toArray();
        double best = Arrays.stream(ways).max().orElseThrow();
        assertThat(given[number[i]])
            .as("%s struck, %s read", struck.get(i), text)
            .isBetween(least(best, read), Arrays.stream(ways).sum() * (1 + 1e-12));
      }
    }
  }

  private static Stream<int[]> ways(String line) {
    return Stream.of("&", "AND", "UND")
        .flatMap(
            and ->
                Stream.of("CO", "COY", "COMPANY")
                    .map(co -> line.replaceAll("&|AND", and).replaceAll("\\bCO\\b", co)))
        .distinct()
        .map(Channel::indices);
  }
}
