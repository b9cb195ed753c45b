package snikra.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class CaretakerTest {
  private static final Disk NONE = new Disk(null, "", () -> Long.MAX_VALUE);

  @Test
  void aDutyThatFailsKeepsNoOtherFromBeingDoneAndIsTold() {
    List<String> done = new ArrayList<>();
    Caretaker caretaker =
        new Caretaker(
            NONE,
            List.of(
                () -> done.add("first"),
                () -> {
                  throw new IllegalStateException("The copies' disk is away.");
                },
                () -> done.add("last")));
    caretaker.round();
    assertThat(done).containsExactly("first", "last");
    assertThat(caretaker.lastFailure()).isEqualTo("The copies' disk is away.");
  }

  @Test
  void whatWentWellTheNextTimeIsToldNoMore() {
    List<Integer> rounds = new ArrayList<>();
    Caretaker caretaker =
        new Caretaker(
            NONE,
            List.of(
                () -> {
                  rounds.add(1);
                  if (rounds.size() == 1) {
                    throw new IllegalStateException("no");
                  }
                }));
    caretaker.round();
    caretaker.round();
    assertThat(caretaker.lastFailure()).isNull();
  }

  @Test
  void itBeginsAtOnceAndEndsWhenItIsClosed() throws Exception {
    CountDownLatch once = new CountDownLatch(1);
    Caretaker caretaker = new Caretaker(NONE, List.of(once::countDown));
    caretaker.begin();
    assertThat(once.await(5, TimeUnit.SECONDS)).isTrue();
    caretaker.close();
  }
}
