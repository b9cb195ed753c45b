package snikra.server.quick;

import io.swagger.v3.oas.annotations.Parameter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.quick.QuickBook;

/** {@code /api/quick}: a quick look at a stall. */
@RestController
@RequestMapping("/api/quick")
class QuickController {
  private final QuickDesk desk;

  QuickController(QuickDesk desk) {
    this.desk = desk;
  }

  /** What is looked at, in the order of the hand. */
  @GetMapping
  QuickBook book() {
    return desk.book();
  }

  /** The same as one page to carry on a phone: it needs no network and sends nothing anywhere. */
  @GetMapping(path = "/pocket.html", produces = MediaType.TEXT_HTML_VALUE)
  ResponseEntity<String> pocket() {
    String file = ContentDisposition.attachment().filename("snikra-pocket.html").build().toString();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, file)
        .contentType(MediaType.parseMediaType("text/html;charset=UTF-8"))
        .body(desk.pocket());
  }

  /** The makers one looks for with their marks, and what one looks for, as a card of two sides. */
  @GetMapping(path = "/card.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
  ResponseEntity<byte[]> card(@Parameter(hidden = true) Locale locale) {
    String file = ContentDisposition.attachment().filename("snikra-card.pdf").build().toString();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, file)
        .contentType(MediaType.APPLICATION_PDF)
        .body(desk.card(locale));
  }

  /**
   * What the looks taken so far come to.
   *
   * @param maker id of one on file; left out where it is not known
   * @param asked what the seller asks
   * @param money in which it is asked, three letters by ISO 4217; that of the sales book where it
   *     is left out
   * @param a looks taken, as check:answer
   */
  @GetMapping("/look")
  QuickDesk.QuickTold look(
      @RequestParam(required = false) @Nullable String maker,
      @RequestParam(required = false) @Nullable Double asked,
      @RequestParam(required = false) @Nullable String money,
      @RequestParam(defaultValue = "") List<String> a) {
    Map<String, String> answers = new LinkedHashMap<>();
    for (String one : a) {
      int colon = one.indexOf(':');
      answers.put(
          colon < 0 ? one : one.substring(0, colon), colon < 0 ? "" : one.substring(colon + 1));
    }
    return desk.look(maker, asked, money, answers);
  }
}
