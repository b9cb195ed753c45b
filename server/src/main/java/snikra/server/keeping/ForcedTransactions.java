package snikra.server.keeping;

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

  /** How often the database had been opened when the transaction on this thread began to write. */
  private static final ThreadLocal<Long> BEGUN = new ThreadLocal<>();

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
    disk.beginWriting();
    BEGUN.set(0L);
    try {
      super.doBegin(transaction, definition);
      BEGUN.set(disk.timesOpened());
    } catch (RuntimeException | Error e) {
      done();
      throw e;
    }
  }

  @Override
  protected void doCommit(DefaultTransactionStatus status) {
    super.doCommit(status);
    Long begun = BEGUN.get();
    if (begun != null) {
      disk.force(begun);
    }
  }

  @Override
  protected void doCleanupAfterCompletion(Object transaction) {
    super.doCleanupAfterCompletion(transaction);
    done();
  }

  private void done() {
    if (BEGUN.get() != null) {
      BEGUN.remove();
      disk.endWriting();
    }
  }
}
