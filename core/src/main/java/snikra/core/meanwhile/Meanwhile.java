package snikra.core.meanwhile;

import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.FutureTask;

/**
 * Something worked out while the one who needs it does other work. Where no core was idle until it
 * is asked for, whoever asks works it out then: nobody waits for one who is busy with something
 * else.
 */
public final class Meanwhile<T> {
  private final FutureTask<T> task;

  private Meanwhile(FutureTask<T> task) {
    this.task = task;
  }

  /**
   * Begins.
   *
   * @param work reads only what nobody changes meanwhile
   */
  public static <T> Meanwhile<T> of(Callable<T> work) {
    FutureTask<T> task = new FutureTask<>(work);
    ForkJoinPool.commonPool().execute(task);
    return new Meanwhile<>(task);
  }

  /**
   * What came of it; what was thrown is thrown here.
   *
   * @throws IllegalStateException where one is told to stop while waiting
   */
  public T value() {
    // Does nothing where it is begun already.
    task.run();
    try {
      return task.get();
    } catch (ExecutionException e) {
      throw e.getCause() instanceof RuntimeException thrown
          ? thrown
          : new IllegalStateException(e.getCause());
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
