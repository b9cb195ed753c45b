package snikra.server.keeping;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Does by itself what a careful keeper does: now and then, and once when Snikra starts. What goes
 * wrong is told at Safe keeping, and tried again the next time.
 */
public class Caretaker implements AutoCloseable {
  private static final Logger LOG = LoggerFactory.getLogger(Caretaker.class);
  private static final long PATIENCE_SECONDS = 20;
  private static final long EVERY_MINUTES = 30;
  private static final long FORCE_EVERY_SECONDS = 2;

  private final ScheduledExecutorService rounds =
      Executors.newSingleThreadScheduledExecutor(
          task -> {
            Thread thread = new Thread(task, "caretaker");
            thread.setDaemon(true);
            return thread;
          });
  private final List<Future<?>> going = new ArrayList<>();
  private final Disk disk;
  private final List<Runnable> duties;
  private volatile @Nullable String lastFailure;

  /**
   * A caretaker.
   *
   * @param duties what is done on each round, in this order; each though one before it failed
   */
  public Caretaker(Disk disk, List<Runnable> duties) {
    this.disk = disk;
    this.duties = duties;
  }

  /** Goes on rounds from now on. */
  public void begin() {
    going.add(rounds.scheduleWithFixedDelay(this::round, 0, EVERY_MINUTES, TimeUnit.MINUTES));
    // The database tidies itself up in the background: what it moves is on the disk before the
    // place
    // where it was is written over.
    going.add(
        rounds.scheduleWithFixedDelay(
            this::forceAndTidy, FORCE_EVERY_SECONDS, FORCE_EVERY_SECONDS, TimeUnit.SECONDS));
  }

  /** One round. */
  void round() {
    String failure = null;
    for (Runnable duty : duties) {
      try {
        duty.run();
      } catch (RuntimeException e) {
        LOG.error("A round of safe keeping could not be done.", e);
        failure = e.getMessage();
      }
    }
    lastFailure = failure;
  }

  private void forceAndTidy() {
    try {
      disk.force();
      disk.tidyWhenIdle();
    } catch (RuntimeException e) {
      LOG.warn("The database could not be forced: {}", e.getMessage());
    }
  }

  /** What could not be done on the last round; null where all was. */
  public @Nullable String lastFailure() {
    return lastFailure;
  }

  @Override
  public void close() {
    // Never interrupted: what it writes would be cut off in the middle.
    rounds.shutdown();
    try {
      if (!rounds.awaitTermination(PATIENCE_SECONDS, TimeUnit.SECONDS)) {
        LOG.warn("A round of safe keeping goes on after {} seconds.", PATIENCE_SECONDS);
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
