package snikra.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class GroupForceTest {
  @Test
  void writersThatComeWhileOneForcesShareTheNextForce() throws Exception {
    AtomicInteger forced = new AtomicInteger();
    CountDownLatch underWay = new CountDownLatch(1);
    CountDownLatch goOn = new CountDownLatch(1);
    GroupForce group =
        new GroupForce(
            () -> {
              if (forced.incrementAndGet() == 1) {
                underWay.countDown();
                awaitQuietly(goOn);
              }
            });
    Thread first = new Thread(group::await);
    first.start();
    assertThat(underWay.await(5, TimeUnit.SECONDS)).isTrue();
    List<Thread> others = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      Thread other = new Thread(group::await);
      others.add(other);
      other.start();
    }
    for (Thread other : others) {
      while (other.getState() != Thread.State.WAITING) {
        Thread.onSpinWait();
      }
    }
    goOn.countDown();
    first.join();
    for (Thread other : others) {
      other.join();
    }
    // Not by the first force: it began before they asked.
    assertThat(forced).hasValue(2);
  }

  @Test
  void oneAfterTheOtherEachHasAForceOfItsOwn() {
    AtomicInteger forced = new AtomicInteger();
    GroupForce group = new GroupForce(forced::incrementAndGet);
    group.await();
    group.await();
    assertThat(forced).hasValue(2);
  }

  @Test
  void aForceThatFailedIsNotTakenForDone() {
    AtomicInteger tried = new AtomicInteger();
    GroupForce group =
        new GroupForce(
            () -> {
              if (tried.incrementAndGet() == 1) {
                throw new IllegalStateException("no");
              }
            });
    assertThatThrownBy(group::await).hasMessage("no");
    group.await();
    assertThat(tried).hasValue(2);
  }

  private static void awaitQuietly(CountDownLatch latch) {
    try {
      latch.await(5, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
