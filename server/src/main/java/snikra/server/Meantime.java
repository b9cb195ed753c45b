package snikra.server;

import java.io.IOException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What Snikra does once it answers, so that it answers sooner later on. It goes on beside whatever
 * is asked of it: a knife may be taken out or the disk fill up meanwhile, and that ends nothing.
 */
final class Meantime {
  private static final Logger LOG = LoggerFactory.getLogger(Meantime.class);

  private Meantime() {}

  /** One thing to be done. */
  interface Task {
    /** Does it. */
    void run() throws IOException;
  }

  /** Does one after the other, each though one before it failed. */
  static void each(Task... tasks) {
    for (Task task : tasks) {
      try {
        task.run();
      } catch (IOException | RuntimeException e) {
        LOG.warn("Something was not got ready ahead of time; it is done when it is asked for.", e);
      }
    }
  }
}
