package snikra.server.http;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.context.annotation.Lazy;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * The one page. Its addresses are the interface's own; each is served the same document. It is
 * ready before the knives are: it must not wait for them.
 */
@Hidden
@Lazy(false)
@RestController
class PageController {
  private final String page;

  PageController() throws IOException {
    page = new ClassPathResource("static/index.html").getContentAsString(StandardCharsets.UTF_8);
  }

  @GetMapping(
      value = {
        "/",
        "/index.html",
        "/bench",
        "/bench/{id}",
        "/bench/{id}/verdict",
        "/bench/{id}/condition",
        "/bench/{id}/story",
        "/bench/{id}/journal",
        "/bench/{id}/resembles",
        "/calibration",
        "/keeping",
        "/judgement",
        "/care",
        "/carried",
        "/grading",
        "/sales",
        "/ledger",
        "/schedules",
        "/words",
        "/tray",
        "/makers",
        "/makers/{id}",
        "/makers/{id}/set",
        "/makers/{id}/time-line",
        "/years/{year}",
        "/collection",
        "/wanted",
        "/catalogue",
        "/one-mark",
        "/together",
        "/quick",
        "/practice",
        "/handbook"
      })
  ResponseEntity<String> page(HttpServletRequest request) {
    String nonce = (String) request.getAttribute(LocalOnlyFilter.NONCE);
    return ResponseEntity.ok()
        .contentType(new MediaType(MediaType.TEXT_HTML, StandardCharsets.UTF_8))
        .cacheControl(CacheControl.noStore())
        .body(page.replace("__NONCE__", nonce));
  }

  /** The description of the interface, as it is published. */
  @GetMapping(value = "/api/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
  Resource description() {
    return new ClassPathResource("snikra/openapi.json");
  }
}
