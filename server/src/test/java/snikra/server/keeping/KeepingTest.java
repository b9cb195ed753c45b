package snikra.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import snikra.server.keeping.Keeping.Checked;

class KeepingTest {
  private static final List<String> NONE = List.of();
  private static final List<String> ONE = List.of("front.jpg");

  @Test
  void allIsSoundOnlyWhereNothingIsUnreadableLostOrChanged() {
    assertThat(new Checked(3, NONE, 2, NONE, NONE).sound()).isTrue();
    assertThat(new Checked(3, ONE, 2, NONE, NONE).sound()).isFalse();
    assertThat(new Checked(3, NONE, 2, ONE, NONE).sound()).isFalse();
    assertThat(new Checked(3, NONE, 2, NONE, ONE).sound()).isFalse();
  }
}
