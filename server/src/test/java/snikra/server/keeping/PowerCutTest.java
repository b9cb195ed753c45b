package snikra.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.api.io.TempDir;
import snikra.core.specimen.Specimen;
import snikra.formats.SpecimenFormat;
import snikra.server.TestApp;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedKnife;

/** What was acknowledged is on the disk: whatever else a power cut takes, it does not take that. */
class PowerCutTest {
  /** A few by default; {@code -Dsnikra.cuts=1000} for as long as space is used again. */
  private static final int CUTS = Integer.getInteger("snikra.cuts", 40);

  private static final int WRITERS = 4;
  private static final int KNIVES = 6;

  @RegisterExtension
  static final TestApp APP = new TestApp(ForgetfulFiles::install, "--snikra.files=forgetful:");

  @TempDir Path left;
  private final KnifeService knives = APP.bean(KnifeService.class);

  @BeforeAll
  static void knivesAreThere() {
    assertThat(APP.data().resolve("snikra.mv.db")).exists();
  }

  @Test
  void ofWhatWasAcknowledgedNothingIsLostWheneverThePowerGoes() throws Exception {
    Map<String, Integer> acknowledged = new ConcurrentHashMap<>();
    AtomicBoolean goesOn = new AtomicBoolean(true);
    List<Thread> writers = new ArrayList<>();
    for (int w = 0; w < WRITERS; w++) {
      Thread writer = new Thread(() -> write(acknowledged, goesOn));
      writers.add(writer);
      writer.start();
    }
    Random chance = new Random(20261128);
    int held = 0;
    for (int cut = 0; cut < CUTS; cut++) {
      Thread.sleep(20 + chance.nextInt(60));
      Map<String, Integer> before = new HashMap<>(acknowledged);
      Path image = Files.createDirectory(left.resolve("cut-" + cut)).resolve("snikra.mv.db");
      cutPower(image, chance);
      Map<String, Integer> kept = kept(image);
      before.forEach(
          (id, times) ->
              assertThat(kept.getOrDefault(id, -1)).as(id).isGreaterThanOrEqualTo(times));
      held += before.size();
    }
    goesOn.set(false);
    for (Thread writer : writers) {
      writer.join();
    }
    assertThat(held).isPositive();
  }

  // Both files at once: of each any part of what was not forced may be missing.
  private static void cutPower(Path image, Random chance) throws IOException {
    Path file = APP.data().resolve("snikra.mv.db");
    ForgetfulFiles.cutPower(
        List.of(file, file.resolveSibling("snikra.mv.db.batch")), image.getParent(), chance);
  }

  private void write(Map<String, Integer> acknowledged, AtomicBoolean goesOn) {
    List<SavedKnife> mine = new ArrayList<>();
    for (int i = 0; goesOn.get(); i++) {
      SavedKnife knife =
          i < KNIVES
              ? knives.add(called(i))
              : knives.change(mine.get(i % KNIVES).id(), mine.get(i % KNIVES).version(), called(i));
      if (i < KNIVES) {
        mine.add(knife);
      } else {
        mine.set(i % KNIVES, knife);
      }
      acknowledged.put(knife.id(), i);
    }
  }

  private static Specimen called(int times) {
    return SpecimenFormat.readKept("{\"title\":\"" + times + "\"}");
  }

  private static Map<String, Integer> kept(Path image) throws SQLException {
    Map<String, Integer> kept = new HashMap<>();
    knives(image).forEach((id, title) -> kept.put(id, Integer.parseInt(title)));
    return kept;
  }

  /** The titles of the knives in what a power cut left. */
  static Collection<String> titles(Path image) throws SQLException {
    return knives(image).values();
  }

  private static Map<String, String> knives(Path image) throws SQLException {
    String name = image.toString().replace(".mv.db", "");
    Map<String, String> kept = new HashMap<>();
    try (Connection c = DriverManager.getConnection("jdbc:h2:steady:" + name, "snikra", "");
        Statement s = c.createStatement();
        ResultSet rows = s.executeQuery("select id, specimen from knife")) {
      while (rows.next()) {
        kept.put(rows.getString(1), "" + SpecimenFormat.readKept(rows.getString(2)).title());
      }
    }
    return kept;
  }

  @Test
  void theFileIsSmallAgainOnceItWasTidied() throws Exception {
    Path file = APP.data().resolve("snikra.mv.db");
    SavedKnife knife = knives.add(called(0));
    for (int i = 1; i <= 100; i++) {
      knife = knives.change(knife.id(), knife.version(), called(i));
    }
    long before = Files.size(file);
    APP.bean(Disk.class).tidy();
    assertThat(Files.size(file)).isLessThan(before / 2);
    assertThat(knives.get(knife.id()).specimen().title()).isEqualTo("100");
  }
}
