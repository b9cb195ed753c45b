package snikra.server.parcel;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class StandingTest {
  @Test
  void whoStillHasWhatCameHasChangedNothingSince() {
    assertThat(Standing.of("a", "a", Set.of())).isEqualTo(Standing.SAME);
    assertThat(Standing.of("a", "b", Set.of("a"))).isEqualTo(Standing.THEIRS_NEWER);
    assertThat(Standing.of("a", "b", Set.of("b"))).isEqualTo(Standing.OURS_NEWER);
    assertThat(Standing.of("a", "b", Set.of())).isEqualTo(Standing.BOTH_CHANGED);
    assertThat(Standing.of("a", "b", Set.of("a", "b"))).isEqualTo(Standing.BOTH_CHANGED);
  }

  /** One of two places where a knife is kept, with all it was there and all that came. */
  private static final class Place {
    final List<String> was = new ArrayList<>(List.of("0"));
    final Set<String> came = new HashSet<>();

    String is() {
      return was.get(was.size() - 1);
    }
  }

  // Whatever two do and send one another: nothing that was changed since both were the same is
  // ever written over without being asked about.
  @Test
  void nothingChangedIsWrittenOverUnasked() {
    Random random = new Random(20_261_130);
    for (int run = 0; run < 5_000; run++) {
      Place[] places = {new Place(), new Place()};
      int next = 1;
      boolean[] changed = new boolean[2];
      for (int step = 0; step < 30; step++) {
        int at = random.nextInt(2);
        if (random.nextBoolean()) {
          places[at].was.add("" + next++);
          changed[at] = true;
        } else {
          receive(places[at], places[1 - at], changed, at);
        }
      }
    }
  }

  private static void receive(Place here, Place there, boolean[] changed, int at) {
    Set<String> came = new HashSet<>(here.came);
    came.addAll(there.came);
    Standing standing = Standing.of(here.is(), there.is(), came);
    if (standing == Standing.THEIRS_NEWER) {
      assertThat(changed[at]).as("changed here since both were the same").isFalse();
      here.was.add(there.is());
    }
    if (standing == Standing.OURS_NEWER) {
      assertThat(changed[1 - at]).as("changed there since both were the same").isFalse();
    }
    if (standing == Standing.THEIRS_NEWER || standing == Standing.SAME) {
      here.came.add(there.is());
      changed[0] = false;
      changed[1] = false;
    }
    here.came.addAll(there.came);
  }
}
