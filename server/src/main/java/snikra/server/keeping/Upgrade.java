package snikra.server.keeping;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import org.flywaydb.core.Flyway;
import snikra.formats.SpecimenFormat;

/**
 * Brings a data folder to what this Snikra writes; of one that holds knives a copy is made first.
 */
public final class Upgrade {
  private final Backups backups;
  private final Disk disk;
  private final Path data;

  public Upgrade(Backups backups, Disk disk, Path data) {
    this.backups = backups;
    this.disk = disk;
    this.data = data;
  }

  /** Upgrades tables that are older, and notes which format of knives is written from now on. */
  public void run(Flyway flyway) {
    boolean isNew = flyway.info().applied().length == 0;
    boolean isOlder =
        flyway.info().pending().length > 0 || Settings.in(data).format() < SpecimenFormat.current();
    if (!isNew && isOlder) {
      backups.make(Backup.Reason.BEFORE_UPGRADE);
    }
    flyway.migrate();
    disk.force();
    try {
      Settings.beginIn(data, SpecimenFormat.current());
    } catch (IOException e) {
      throw Disk.isFull(e) ? disk.full(e) : new UncheckedIOException(e);
    }
  }
}
