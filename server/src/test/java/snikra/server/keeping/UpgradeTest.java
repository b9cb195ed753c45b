package snikra.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import snikra.server.TestApp;
import snikra.server.knives.KnifeService;
import snikra.server.reference.ReferenceDesk;

/** A folder of an older Snikra: copied first, brought up to date, and nothing in it is lost. */
class UpgradeTest {
  private static final String OLD = "{\"title\":\"from before\",\"frame\":\"canoe\"}";

  @TempDir Path data;
  private final TestApp app = new TestApp();

  private void older(String table, String yaml) throws Exception {
    String url = "jdbc:h2:file:" + data.resolve("snikra");
    Flyway.configure().dataSource(url, "snikra", "").target(table).load().migrate();
    try (Connection c = DriverManager.getConnection(url, "snikra", "");
        PreparedStatement knife =
            c.prepareStatement(
                "insert into knife values ('k', 7, 3, ?, current_timestamp, current_timestamp, null)");
        Statement s = c.createStatement()) {
      knife.setString(1, OLD);
      knife.executeUpdate();
      s.execute("alter sequence knife_number restart with 8");
      if (yaml != null) {
        s.execute("insert into pack values ('old-notes', '" + yaml + "', true, current_timestamp)");
      }
    }
  }

  @AfterEach
  void itStops() {
    app.stop();
  }

  @Test
  void isCopiedBeforeItIsUpgradedAndItsKnivesAreRead() throws Exception {
    older("5", null);
    app.start(data);

    KnifeService knives = app.bean(KnifeService.class);
    assertThat(knives.get("k").specimen().title()).isEqualTo("from before");
    assertThat(knives.get("k").version()).isEqualTo(3);
    assertThat(Backups.in(data.resolve("backups")))
        .singleElement()
        .satisfies(
            copy -> {
              assertThat(copy.reason()).isEqualTo(Backup.Reason.BEFORE_UPGRADE);
              assertThat(copy.knives()).isEqualTo(1);
            });
    app.stop();
    app.start(data);
    assertThat(Backups.in(data.resolve("backups"))).as("the next start").hasSize(1);
  }

  @Test
  void aPackOfAnOlderSchemaKeepsNothingFromStarting() throws Exception {
    older("5", "schema: 0\nid: old-notes\n");
    app.start(data);
    assertThat(app.bean(ReferenceDesk.class).pack("old-notes").pack()).isNull();
    assertThat(app.bean(ReferenceDesk.class).pack("old-notes").on()).isFalse();
    assertThat(app.bean(KnifeService.class).count()).isEqualTo(1);
  }

  @Test
  void aCopyOfAnOlderSnikraIsBroughtBackIntoTodaysTables() throws Exception {
    older("5", null);
    app.start(data);
    KnifeService knives = app.bean(KnifeService.class);
    knives.delete("k");
    String copy = Backups.in(data.resolve("backups")).get(0).name();
    app.bean(Keeping.class).restore(copy);
    assertThat(knives.get("k").specimen().title()).isEqualTo("from before");
    assertThat(app.bean(Keeping.class).check().sound()).isTrue();
  }
}
