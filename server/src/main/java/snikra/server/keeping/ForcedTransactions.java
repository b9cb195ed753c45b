package snikra.server.keeping;

import org.jspecify.annotations.Nullable;
import org.springframework.orm.jpa.JpaTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionStatus;

/**
 * Transactions that are on the disk once they are committed. The database hands a commit to the
 * operating system, which may keep it in memory for half a minute: a power cut would take it.
 */
public class ForcedTransactions extends JpaTransactionManager {
  private static final long serialVersionUID = 1L;

  private final transient Disk disk;

  /** Set on the thread of a transaction that writes, from its begin to its end. */
  private static final ThreadLocal<Begun> WRITES = new ThreadLocal<>();

  private record Begun(Database.@Nullable Opening in) {}

  public ForcedTransactions(Disk disk) {
    this.disk = disk;
  }

  @Override
  protected void doBegin(Object transaction, TransactionDefinition definition) {
    if (definition.isReadOnly()) {
      super.doBegin(transaction, definition);
      return;
    }
    disk.requireRoom();
    WRITES.set(new Begun(disk.beginWriting()));
    try {
      super.doBegin(transaction, definition);
    } catch (RuntimeException | Error e) {
      done();
      throw e;
    }
  }

  @Override
  protected void doCommit(DefaultTransactionStatus status) {
    super.doCommit(status);
    Begun begun = WRITES.get();
    if (begun != null) {
      disk.force(begun.in());
    }
  }

  @Override
  protected void doCleanupAfterCompletion(Object transaction) {
    super.doCleanupAfterCompletion(transaction);
    done();
  }

  private void done() {
    if (WRITES.get() != null) {
      WRITES.remove();
      disk.endWriting();
    }
  }
}
