package snikra.server.keeping;

import java.util.concurrent.atomic.AtomicLong;
import java.util.concurrent.locks.ReentrantLock;

/**
 * Lets writers that come at the same time share one force. A writer returns when a force that began
 * after it asked has ended: an earlier one may have missed what it wrote.
 */
final class GroupForce {
  private final ReentrantLock forcing = new ReentrantLock();
  private final AtomicLong asked = new AtomicLong();
  private final Runnable force;
  private volatile long done;

  GroupForce(Runnable force) {
    this.force = force;
  }

  /** Returns when all that was written before is on the disk. */
  void await() {
    long mine = asked.incrementAndGet();
    forcing.lock();
    try {
      if (done >= mine) {
        return;
      }
      long served = asked.get();
      force.run();
      done = served;
    } finally {
      forcing.unlock();
    }
  }
}
