package snikra.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A start that cannot be is one plain sentence and exit 1, never a stack trace. */
class StartIT {
  @TempDir Path data;

  @Test
  void portTaken() throws Exception {
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      refused(App.launch(data, "--port", "" + taken.getLocalPort()), "is taken");
    }
  }

  @Test
  void folderNotWritable() throws Exception {
    Path file = Files.createFile(data.resolve("a-file"));
    refused(App.launch(file.resolve("inside")), "Cannot write in the data folder");
  }

  @Test
  void folderInUse() throws Exception {
    try (App first = App.start(data)) {
      refused(App.launch(data), "in use by another Snikra");
      assertThat(first.port()).isPositive();
    }
  }

  @Test
  void databaseFromANewerVersion() throws Exception {
    App.start(data).close();
    String url = "jdbc:h2:file:" + data.resolve("snikra");
    try (Connection c = DriverManager.getConnection(url, "snikra", "");
        Statement s = c.createStatement()) {
      s.execute(
          "insert into \"flyway_schema_history\" values (99, '99', 'from the future', 'SQL',"
              + " 'V99__future.sql', 1, 'someone', current_timestamp, 1, true)");
    }
    refused(App.launch(data), "written by a newer Snikra");
  }

  private static void refused(App app, String sentence) throws InterruptedException {
    assertThat(app.exit()).isEqualTo(1);
    assertThat(app.said()).contains(sentence).doesNotContain("Exception").doesNotContain("\tat ");
    assertThat(app.said().lines()).hasSize(1);
  }
}
