package snikra.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class MeantimeTest {
  @Test
  void oneThatFailsEndsNeitherTheNextNorSnikra() {
    List<String> done = new ArrayList<>();

    Meantime.each(
        () -> {
          throw new IllegalStateException("There is no knife 5 in the tray.");
        },
        () -> done.add("second"),
        () -> {
          throw new IOException("No space left");
        },
        () -> done.add("fourth"));

    assertThat(done).containsExactly("second", "fourth");
  }
}
