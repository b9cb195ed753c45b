package snikra.server.photos;

import java.io.IOException;
import java.time.Duration;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;

/** Stops work that goes on for too long. */
final class Deadline {
  private static final ScheduledExecutorService CLOCK =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread thread = new Thread(task, "deadline");
            thread.setDaemon(true);
            return thread;
          });

  private Deadline() {}

  /** Work on a file. */
  interface Work<T> {
    T run() throws IOException;
  }

  /** Does the work, and calls for it to stop when it takes longer. */
  static <T> T within(Duration time, Runnable stop, Work<T> work) throws IOException {
    ScheduledFuture<?> late = CLOCK.schedule(stop, time.toMillis(), TimeUnit.MILLISECONDS);
    try {
      return work.run();
    } finally {
      late.cancel(false);
    }
  }
}
