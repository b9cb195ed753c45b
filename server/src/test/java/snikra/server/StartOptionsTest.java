package snikra.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
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
      StartOptions options = new StartOptions(folder, taken.getLocalPort(), false);
      assertThatThrownBy(options::check).hasMessageContaining("is taken");
    }
  }

  @Test
  void aFolderThatIsAFileIsRefused() throws Exception {
    Path file = Files.createFile(folder.resolve("file"));
    assertThatThrownBy(() -> new StartOptions(file, 0, false).check())
        .isInstanceOf(StartRefused.class)
        .hasMessageContaining("Cannot write");
  }

  @Test
  void theSentenceBehindADeepFailureIsFound() {
    RuntimeException deep = new RuntimeException("outer", new StartRefused("The plain sentence."));
    assertThat(StartRefused.explain(deep)).isEqualTo("The plain sentence.");
    assertThat(StartRefused.explain(new RuntimeException("Database may be already in use")))
        .contains("in use by another Snikra");
  }
}
