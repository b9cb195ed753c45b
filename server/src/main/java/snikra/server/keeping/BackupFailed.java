package snikra.server.keeping;

import java.nio.file.Path;

/** A copy that could not be made or brought back; what is kept is as it was. */
public class BackupFailed extends RuntimeException {
  private static final long serialVersionUID = 1L;

  BackupFailed(Path folder, Throwable cause) {
    super(
        "The copy in "
            + folder
            + " could not be made or read: "
            + cause.getMessage()
            + " What is kept is as it was.",
        cause);
  }
}
