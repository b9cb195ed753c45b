package snikra.server.http;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import snikra.formats.Json;

/** An answer that says no before any controller is asked, in the shape of all others. */
public final class Refusal {
  private Refusal() {}

  /** Writes it. */
  public static void write(HttpServletResponse response, int status, String detail)
      throws IOException {
    response.setStatus(status);
    response.setContentType("application/problem+json");
    response
        .getOutputStream()
        .write(
            Json.mapper()
                .writeValueAsString(
                    Map.of("status", status, "detail", detail, "problems", List.of()))
                .getBytes(StandardCharsets.UTF_8));
  }
}
