package snikra.core.sets;

import static org.assertj.core.api.Assertions.assertThat;
import static snikra.core.fixture.Shelf.mark;
import static snikra.core.fixture.Shelf.model;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.code.CodeScheme;
import snikra.core.code.Sign;
import snikra.core.fixture.Shelf;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.sets.OfYear.Bearing;
import snikra.core.sets.OfYear.CodeThen;
import snikra.core.sets.OfYear.MarkThen;
import snikra.core.sets.OfYear.ModelThen;

class OfYearTest {
  private static final Maker THRALE =
      Shelf.maker(
          "thrale",
          List.of(model("7", 1905, 1910, Map.of()), model("12", 1890, 1905, Map.of())),
          List.of(mark("long", 1880, 1930, "THRALE"), mark("short", 1901, 1905, "THRALE")));

  private static List<Bearing> of(int year) {
    return OfYear.of(Shelf.invented().withMakers(List.of(THRALE)), year).makers();
  }

  @Test
  void theMarkThatTellsTheYearBestStandsFirst() {
    assertThat(of(1905).get(0).marks()).extracting(MarkThen::mark).containsExactly("short", "long");
    assertThat(of(1907).get(0).marks()).extracting(MarkThen::mark).containsExactly("long");
  }

  @Test
  void aMarkWhoseUseMayBeOutIsToldAsThat() {
    assertThat(of(1906).get(0).marks().get(0)).extracting(MarkThen::within).isEqualTo(false);
    assertThat(of(1905).get(0).marks().get(0)).extracting(MarkThen::within).isEqualTo(true);
    assertThat(of(1931)).hasSize(1);
    assertThat(of(1932)).isEmpty();
    assertThat(of(1878)).isEmpty();
  }

  @Test
  void modelsAreThoseInTheirRun() {
    assertThat(of(1905).get(0).models()).extracting(ModelThen::number).containsExactly("12", "7");
    assertThat(of(1906).get(0).models()).extracting(ModelThen::number).containsExactly("7");
  }

  @Test
  void codesAreThoseOfTheYear() {
    CodeScheme letters =
        new CodeScheme(
            "l",
            "Letters",
            Sign.LETTER,
            CodeScheme.Kind.CYCLE,
            1901,
            1903,
            null,
            List.of("B", "D", "F"),
            null,
            Map.of(),
            "",
            "");
    Maker coded =
        Shelf.maker("thrale", List.of(), null, List.of(letters), mark("m", 1890, 1910, "THRALE"));
    ReferenceShelf shelf = Shelf.invented().withMakers(List.of(coded));
    assertThat(OfYear.of(shelf, 1902).makers().get(0).codes())
        .containsExactly(new CodeThen("Letters", List.of("D")));
    assertThat(OfYear.of(shelf, 1900).makers().get(0).codes()).isEmpty();
    assertThat(OfYear.of(shelf, 1904).makers().get(0).codes()).isEmpty();
  }
}
