package snikra.server;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import snikra.formats.Json;
import snikra.server.keeping.Backup;
import snikra.server.keeping.Keeping;

/** A Snikra that runs on this machine, asked to do something with the knives it has open. */
record RunningSnikra(int port) {
  private static final Duration PATIENCE = Duration.ofMinutes(10);

  static RunningSnikra at(int port) {
    return new RunningSnikra(port);
  }

  /** Asks, and tells in a sentence what came of it. */
  String ask(String path) throws IOException {
    HttpRequest request =
        HttpRequest.newBuilder(URI.create("http://localhost:" + port + path))
            .timeout(PATIENCE)
            .POST(HttpRequest.BodyPublishers.noBody())
            .build();
    try {
      HttpResponse<String> answer =
          HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() >= 300) {
        throw new StartRefused(Json.mapper().readTree(answer.body()).path("detail").asString(""));
      }
      return path.equals("/api/backups")
          ? SnikraApplication.told(Json.mapper().readValue(answer.body(), Backup.class))
          : SnikraApplication.told(Json.mapper().readValue(answer.body(), Keeping.Checked.class));
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IOException(e);
    }
  }

  /** Asks for these pages, one after the other. */
  void visit(String... paths) throws IOException {
    for (String path : paths) {
      try (var page = URI.create("http://localhost:" + port + path).toURL().openStream()) {
        page.readAllBytes();
      }
    }
  }
}
