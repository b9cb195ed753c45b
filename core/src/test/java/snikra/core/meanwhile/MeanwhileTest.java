package snikra.core.meanwhile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ForkJoinPool;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class MeanwhileTest {
  @Test
  void whatCameOfItIsHandedOutHoweverOftenOneAsks() {
    Meanwhile<Integer> sum = Meanwhile.of(() -> IntStream.range(0, 1000).sum());
    assertThat(sum.value()).isEqualTo(499_500);
    assertThat(sum.value()).isEqualTo(499_500);
  }

  @Test
  void whatIsThrownIsThrownToWhoAsks() {
    Meanwhile<String> odd =
        Meanwhile.of(
            () -> {
              throw new IllegalStateException("no such year");
            });
    assertThatThrownBy(odd::value)
        .isInstanceOf(IllegalStateException.class)
        .hasMessageContaining("no such year");
  }

  @Test
  void whoAsksWorksItOutWhereEveryoneElseIsBusy() throws InterruptedException {
    int hands = ForkJoinPool.commonPool().getParallelism();
    CountDownLatch areBusy = new CountDownLatch(hands);
    CountDownLatch mayGo = new CountDownLatch(1);
    List<Meanwhile<Boolean>> busy =
        IntStream.range(0, hands)
            .mapToObj(
                i ->
                    Meanwhile.of(
                        () -> {
                          areBusy.countDown();
                          mayGo.await();
                          return true;
                        }))
            .toList();
    areBusy.await();
    assertThat(Meanwhile.of(() -> "own hand").value()).isEqualTo("own hand");
    mayGo.countDown();
    assertThat(busy).allMatch(Meanwhile::value);
  }
}
