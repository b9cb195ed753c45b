package snikra.server.reference;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** {@code /api/packs}: reference packs in and out, as files in the open format. */
@RestController
@RequestMapping("/api/packs")
class PackController {
  private static final MediaType YAML = MediaType.parseMediaType("application/yaml");

  private final ReferenceDesk desk;

  PackController(ReferenceDesk desk) {
    this.desk = desk;
  }

  /** Takes in the file in the body, or with {@code keep=false} only looks at it. */
  @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  ReferenceDesk.Brought bring(
      @RequestParam(defaultValue = "the file") String name,
      @RequestParam(defaultValue = "true") boolean keep,
      @RequestBody(required = false) byte[] body) {
    String yaml = body == null ? "" : new String(body, StandardCharsets.UTF_8);
    return desk.bring(name, yaml, keep);
  }

  /** A reference pack as a file. */
  @GetMapping("/{id}")
  ResponseEntity<String> export(@PathVariable String id) {
    ReferenceDesk.Held held = desk.pack(id);
    String file = ContentDisposition.attachment().filename(held.id() + ".yaml").build().toString();
    return ResponseEntity.ok()
        .contentType(YAML)
        .header(HttpHeaders.CONTENT_DISPOSITION, file)
        .body(held.yaml());
  }

  /** Takes a reference pack into use, or out of it. */
  @PutMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void switchTo(@PathVariable String id, @RequestParam boolean on) {
    desk.switchTo(id, on);
  }

  /** Lets go of a reference pack that was brought. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String id) {
    desk.remove(id);
  }
}
