package snikra.server.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.formats.SpecimenFormat;
import snikra.server.TestApp;
import snikra.server.journal.Journal;
import snikra.server.knives.KnifeChangedMeanwhile;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedKnife;
import snikra.server.photos.PhotoService;
import snikra.server.photos.TestPictures;

class BackupsTest {
  @TempDir Path data;
  @TempDir Path elsewhere;
  private final TestApp app = new TestApp();
  private KnifeService knives;
  private PhotoService photos;
  private Keeping keeping;

  @BeforeEach
  void itRuns() {
    start();
  }

  private void start() {
    app.start(data);
    knives = app.bean(KnifeService.class);
    photos = app.bean(PhotoService.class);
    keeping = app.bean(Keeping.class);
  }

  @AfterEach
  void itStops() {
    app.stop();
  }

  private SavedKnife called(String title) {
    return knives.add(specimen(title));
  }

  private static Specimen specimen(String title) {
    return SpecimenFormat.readKept("{\"title\":\"" + title + "\"}");
  }

  private Backups at(Instant now) {
    return new Backups(
        app.bean(DataSource.class), app.bean(Disk.class), data, Clock.fixed(now, ZoneOffset.UTC));
  }

  @Test
  void whatWasChangedTakenOutAndAddedSinceIsToldBeforeACopyIsBroughtBackAndThenSo()
      throws Exception {
    SavedKnife changed = called("changed");
    SavedKnife away = called("taken out since");
    called("the same");
    String photo = TestPictures.add(photos, changed.id());
    byte[] original = Files.readAllBytes(data.resolve("photos").resolve(photo + ".original"));
    Backup backup = keeping.makeBackup();

    SavedKnife later = knives.change(changed.id(), changed.version(), specimen("other"));
    knives.delete(away.id());
    called("new since");
    Files.delete(data.resolve("photos").resolve(photo + ".original"));

    Backups.CopyLook look = keeping.look(backup.name());
    assertThat(look.back()).containsExactly("Knife 2, taken out since");
    assertThat(look.changed()).containsExactly("Knife 1, changed");
    assertThat(look.away()).containsExactly("Knife 4, new since");
    assertThat(look.same()).isEqualTo(1);

    Backup before = keeping.restore(backup.name());
    assertThat(knives.all())
        .extracting(k -> k.specimen().title())
        .containsExactly("changed", "taken out since", "the same");
    assertThat(photos.content(photo, PhotoService.Copy.ORIGINAL).bytes()).isEqualTo(original);
    assertThat(photos.content(photo, PhotoService.Copy.THUMBNAIL).bytes()).isNotEmpty();
    assertThat(before.reason()).isEqualTo(Backup.Reason.BEFORE_RESTORE);
    // A page that still shows the knife as it was finds out.
    assertThatThrownBy(() -> knives.change(changed.id(), later.version(), specimen("stale")))
        .isInstanceOf(KnifeChangedMeanwhile.class);
    assertThat(called("next").number()).isEqualTo(5);

    keeping.restore(before.name());
    assertThat(knives.all())
        .extracting(k -> k.specimen().title())
        .contains("other", "new since")
        .doesNotContain("taken out since");
  }

  @Test
  void aCopyHoldsEveryTableThereIs() throws Exception {
    List<String> tables = new ArrayList<>();
    try (Connection c = app.bean(DataSource.class).getConnection();
        Statement s = c.createStatement();
        ResultSet rows =
            s.executeQuery(
                "select lower(table_name) from information_schema.tables where table_schema ="
                    + " 'PUBLIC'")) {
      while (rows.next()) {
        tables.add(rows.getString(1));
      }
    }
    tables.remove("flyway_schema_history");
    assertThat(tables.removeAll(Backups.DERIVED)).isTrue();
    assertThat(tables).containsExactlyInAnyOrderElementsOf(Backups.TABLES);
  }

  /** Otherwise a copy with rows in both could not be brought back. */
  @Test
  void whatRefersToATableIsCopiedAfterIt() throws Exception {
    String links =
        "select lower(child.table_name), lower(parent.table_name)"
            + " from information_schema.referential_constraints link"
            + " join information_schema.table_constraints child"
            + " on child.constraint_name = link.constraint_name"
            + " join information_schema.table_constraints parent"
            + " on parent.constraint_name = link.unique_constraint_name";
    List<String> order = Backups.TABLES;
    int found = 0;
    try (Connection c = app.bean(DataSource.class).getConnection();
        Statement s = c.createStatement();
        ResultSet rows = s.executeQuery(links)) {
      while (rows.next()) {
        if (order.contains(rows.getString(1))) {
          assertThat(order.indexOf(rows.getString(2)))
              .as(rows.getString(1))
              .isBetween(0, order.indexOf(rows.getString(1)) - 1);
          found++;
        }
      }
    }
    assertThat(found).isGreaterThanOrEqualTo(2);
  }

  @Test
  void journalsComeBackWithTheirKnives() {
    SavedKnife knife = knives.add(SpecimenFormat.readKept("{\"frame\":\"canoe\"}"));
    app.bean(Journal.class).of(knife.id());
    Backup backup = keeping.makeBackup();
    int entries = app.bean(Journal.class).of(knife.id()).size();
    app.bean(Journal.class).forget(knife.id());
    keeping.restore(backup.name());
    assertThat(app.bean(Journal.class).of(knife.id())).hasSize(entries).isNotEmpty();
  }

  @Test
  void oneIsMadeEachDayAndFourteenAreKept() {
    called("kept");
    Instant day = Instant.parse("2026-11-01T12:00:00Z");
    for (int d = 0; d < 20; d++) {
      at(day.plus(Duration.ofDays(d))).daily();
      at(day.plus(Duration.ofDays(d)).plusSeconds(3600)).daily();
    }
    Backup byHand = at(day.plus(Duration.ofDays(20))).make(Backup.Reason.BY_HAND);
    List<Backup> all = at(day).all();
    assertThat(all).hasSize(15).contains(byHand);
    assertThat(all).filteredOn(b -> b.reason() == Backup.Reason.DAILY).hasSize(Backups.KEPT);
    assertThat(all.get(14).made()).isEqualTo(day.plus(Duration.ofDays(6)));
  }

  @Test
  void ofAnEmptyTrayNoneIsMade() {
    at(Instant.parse("2026-11-01T12:00:00Z")).daily();
    assertThat(at(Instant.EPOCH).all()).isEmpty();
  }

  @Test
  void photographsAreKeptOnceForAllCopiesAndGoWithTheLast() throws Exception {
    SavedKnife knife = called("kept");
    TestPictures.add(photos, knife.id());
    Instant first = Instant.parse("2026-11-01T12:00:00Z");
    at(first).make(Backup.Reason.DAILY);
    at(first.plusSeconds(1)).make(Backup.Reason.DAILY);
    Path originals = data.resolve("backups").resolve("photographs");
    assertThat(count(originals)).isEqualTo(1);

    knives.delete(knife.id());
    photos.forgetOf(knife.id());
    for (int i = 2; i < 2 + Backups.KEPT; i++) {
      at(first.plusSeconds(i)).make(Backup.Reason.DAILY);
    }
    assertThat(count(originals)).isZero();
  }

  private static long count(Path folder) throws Exception {
    try (Stream<Path> files = Files.list(folder)) {
      return files.count();
    }
  }

  @Test
  void aCopyThatIsNotWhatItWasIsNotBroughtBack() throws Exception {
    called("kept");
    Backup backup = keeping.makeBackup();
    Path zip = data.resolve("backups").resolve(backup.name()).resolve(Backups.DATABASE);
    byte[] bytes = Files.readAllBytes(zip);
    bytes[bytes.length / 2] ^= 1;
    Files.write(zip, bytes);

    assertThatThrownBy(() -> keeping.restore(backup.name()))
        .isInstanceOf(BackupFailed.class)
        .hasMessageContaining("not what it was");
    assertThat(knives.all()).hasSize(1);
  }

  @Test
  void theFolderIsChosenAndOneThatCannotBeIsRefused() throws Exception {
    called("kept");
    keeping.choose(elsewhere.resolve("copies").toString());
    Backup made = keeping.makeBackup();
    assertThat(elsewhere.resolve("copies").resolve(made.name())).exists();
    Path file = Files.createFile(elsewhere.resolve("a file"));
    for (String bad : new String[] {"", "copies", file.toString(), "/proc/none"}) {
      assertThatThrownBy(() -> keeping.choose(bad))
          .isInstanceOf(InvalidInput.class)
          .hasMessageContaining("folder");
    }
    assertThat(keeping.standing().backupsFolder())
        .isEqualTo(elsewhere.resolve("copies").toString());
  }

  @Test
  void aCopyThatDoesNotExistIsToldByName() {
    assertThatThrownBy(() -> keeping.look("../../etc"))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("../../etc");
  }

  @Test
  void withoutSnikraACopyTakesThePlaceOfADamagedFileWhichIsMovedAside() throws Exception {
    called("kept");
    Backup backup = keeping.makeBackup();
    app.stop();
    Path file = data.resolve("snikra.mv.db");
    Files.writeString(file, "damaged");
    DataFolder folder = new DataFolder(data);
    assertThat(folder.damage().orElseThrow())
        .contains("is damaged; nothing was touched")
        .contains("restore " + backup.name())
        .contains("1 knife");

    assertThat(folder.restore(null)).contains("Put back the copy " + backup.name());
    try (Stream<Path> files = Files.list(data)) {
      assertThat(files.filter(f -> f.getFileName().toString().startsWith("snikra-until-")))
          .singleElement()
          .satisfies(f -> assertThat(f).hasContent("damaged"));
    }
    start();
    assertThat(knives.all()).extracting(k -> k.specimen().title()).containsExactly("kept");
  }

  @Test
  void anEmptiedOrLostFileIsToldAsSuchAndNoEmptyTrayTakesItsPlace() throws Exception {
    called("kept");
    Backup backup = keeping.makeBackup();
    app.stop();
    Path file = data.resolve("snikra.mv.db");
    Files.write(file, new byte[0]);
    assertThat(new DataFolder(data).damage().orElseThrow()).contains("is empty");
    Files.delete(file);
    assertThat(new DataFolder(data).damage().orElseThrow()).contains("is missing");
    assertThat(new DataFolder(elsewhere).damage()).isEmpty();
    assertThatThrownBy(() -> new DataFolder(data).restore("none"))
        .hasMessageContaining("there is no copy none")
        .hasMessageContaining(backup.name());
    new DataFolder(data).restore(backup.name());
    start();
  }

  @Test
  void whileItRunsTheFolderIsKnownToBeInUse() {
    assertThat(new DataFolder(data).isInUse()).isTrue();
    app.stop();
    assertThat(new DataFolder(data).isInUse()).isFalse();
    start();
  }
}
