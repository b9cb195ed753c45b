package snikra.core.code;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

class NumberTableTest {
  private static NumberTable table(Map<Integer, Long> rows) {
    return new NumberTable("t", "t", List.of("NO."), "W", "", "", "", null, new TreeMap<>(rows));
  }

  private final NumberTable table = table(Map.of(1900, 1L, 1901, 500L, 1903, 900L));

  @Test
  void aNumberIsNotBeforeTheYearInWhichItWasGiven() {
    assertThat(table.notBefore(1)).isEqualTo(1900);
    assertThat(table.notBefore(499)).isEqualTo(1900);
    assertThat(table.notBefore(500)).isEqualTo(1901);
    // A year without a row only makes the answer earlier.
    assertThat(table.notBefore(899)).isEqualTo(1901);
    assertThat(table.notBefore(1_000_000)).isEqualTo(1903);
    assertThat(table.isNumbered()).isTrue();
    assertThat(table(Map.of(1891, 1L)).isNumbered()).isFalse();
    assertThat(table(Map.of(1891, 1L)).begins()).isEqualTo(1891);
  }

  @Test
  void numbersThatDoNotRiseAreRefused() {
    assertThatThrownBy(() -> table(Map.of(1900, 10L, 1901, 10L)))
        .hasMessageContaining("found 10 in 1901");
  }

  @Test
  void figuresAreReadAsTheyAreStruck() {
    assertThat(NumberTable.parse("1,521,590")).contains(1521590L);
    assertThat(NumberTable.parse("No. 1521 590")).contains(1521590L);
    assertThat(NumberTable.parse("D 80254")).contains(80254L);
    assertThat(NumberTable.parse(" ")).isEmpty();
    assertThatThrownBy(() -> NumberTable.parse("pending")).hasMessageContaining("figures");
  }
}
