package snikra.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class StartOptionsTest {
  @TempDir Path folder;

  @Test
  void optionsGoBeforeTheEnvironmentAndThatBeforeWhatIsUsual() {
    Map<String, String> environment = Map.of("SNIKRA_PORT", "9001", "SNIKRA_DATA", "there");

    assertThat(StartOptions.parse(List.of(), Map.of()).port()).isEqualTo(8080);
    assertThat(StartOptions.parse(List.of(), environment).port()).isEqualTo(9001);
    assertThat(StartOptions.parse(List.of("--port", "9002"), environment).port()).isEqualTo(9002);
    assertThat(StartOptions.parse(List.of("--data", "here"), environment).data())
        .hasFileName("here");
  }

  @Test
  void whatIsNoOptionOrNoPortIsRefusedInASentence() {
    for (List<String> bad :
        List.of(
            List.of("--prot", "1"),
            List.of("--port"),
            List.of("--port", "x"),
            List.of("--port", "70000"))) {
      assertThatThrownBy(() -> StartOptions.parse(bad, Map.of()))
          .isInstanceOf(StartRefused.class)
          .hasMessageEndingWith(".");
    }
  }

  @Test
  void aTakenPortIsRefused() throws Exception {
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      StartOptions options =
          StartOptions.parse(
              List.of("--data", folder.toString(), "--port", "" + taken.getLocalPort()), Map.of());
      assertThatThrownBy(options::check).hasMessageContaining("is taken");
    }
  }

  @Test
  void aFolderThatIsAFileIsRefused() throws Exception {
    Path file = Files.createFile(folder.resolve("file"));
    assertThatThrownBy(
            () ->
                StartOptions.parse(List.of("--data", file.toString(), "--port", "0"), Map.of())
                    .check())
        .isInstanceOf(StartRefused.class)
        .hasMessageContaining("Cannot write");
  }

  @Test
  void theSentenceBehindADeepFailureIsFound() {
    RuntimeException deep = new RuntimeException("outer", new StartRefused("The plain sentence."));
    assertThat(StartRefused.explain(deep, null)).isEqualTo("The plain sentence.");
    assertThat(StartRefused.explain(new RuntimeException("Database may be already in use"), null))
        .contains("in use by another Snikra");
  }

  @Test
  void whatElseToDoWithTheKnivesIsToldApart() {
    assertThat(StartOptions.parse(List.of(), Map.of()).task()).isEqualTo(StartOptions.Task.SERVE);
    assertThat(StartOptions.parse(List.of("--backup"), Map.of()).task())
        .isEqualTo(StartOptions.Task.BACKUP);
    assertThat(StartOptions.parse(List.of("--check"), Map.of()).task())
        .isEqualTo(StartOptions.Task.CHECK);
    StartOptions restore = StartOptions.parse(List.of("--restore", "2026-11-28"), Map.of());
    assertThat(restore.task()).isEqualTo(StartOptions.Task.RESTORE);
    assertThat(restore.copy()).isEqualTo("2026-11-28");
    assertThat(StartOptions.parse(List.of("--restore", "newest"), Map.of()).copy()).isNull();
  }

  @Test
  void aFolderThatIsNotThereIsNotMadeForACopy() {
    Path none = folder.resolve("none");
    assertThatThrownBy(
            () ->
                StartOptions.parse(List.of("--backup", "--data", none.toString()), Map.of())
                    .check())
        .hasMessageContaining("no data folder");
    assertThat(none).doesNotExist();
  }

  @Test
  void othersCannotLookIntoTheFolder() throws Exception {
    Path data = folder.resolve("data");
    StartOptions.parse(List.of("--data", data.toString(), "--port", "0"), Map.of()).check();
    assertThat(Files.getPosixFilePermissions(data))
        .isEqualTo(PosixFilePermissions.fromString("rwx------"));
  }
}
