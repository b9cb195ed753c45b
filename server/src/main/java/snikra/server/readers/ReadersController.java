package snikra.server.readers;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletRequest;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.reference.ReferenceShelf;
import snikra.formats.LidoRecords;
import snikra.server.knives.Catalogue;
import snikra.server.knives.Catalogue.Shown;
import snikra.server.knives.FoundBy;
import snikra.server.knives.Ticked;
import snikra.server.photos.Photo;
import snikra.server.photos.PhotoService;
import snikra.server.reference.ReferenceDesk;

/** What is found, for those who read of it. */
@RestController
class ReadersController {
  /** More are printed in parts. */
  private static final int MOST = 500;

  private final Catalogue catalogue;
  private final PhotoService photos;
  private final ReferenceDesk desk;

  ReadersController(Catalogue catalogue, PhotoService photos, ReferenceDesk desk) {
    this.catalogue = catalogue;
    this.photos = photos;
    this.desk = desk;
  }

  /**
   * Leaves of a catalogue.
   *
   * @param leaves the first {@value #MOST}, by number
   * @param found how many knives there are in all
   */
  record Leaves(List<Leaf> leaves, int found) {}

  /**
   * What is found, leaf by leaf, to print.
   *
   * @param q plain words, as in a search of the tray; all knives where nothing is asked
   * @param request with {@code in}, what is ticked
   */
  @GetMapping("/api/knives/leaves")
  @Ticked
  Leaves leaves(
      @RequestParam(defaultValue = "") String q,
      @Parameter(hidden = true) HttpServletRequest request) {
    List<Shown> found = found(q, request);
    List<Shown> shown = found.subList(0, Math.min(MOST, found.size()));
    Map<String, Photo> likenesses = photos.likenesses(shown.stream().map(Shown::id).toList());
    ReferenceShelf shelf = desk.examiner().shelf();
    return new Leaves(
        shown.stream().map(s -> Leaf.of(s, likenesses.get(s.id()), shelf)).toList(), found.size());
  }

  /**
   * What is found as records for museums, in LIDO 1.1; those that cannot be read are left out.
   *
   * @param vague whether of finds only the county or country is told
   */
  @GetMapping(path = "/api/knives/found.xml", produces = MediaType.APPLICATION_XML_VALUE)
  @Ticked
  ResponseEntity<byte[]> lido(
      @RequestParam(defaultValue = "") String q,
      @RequestParam(defaultValue = "true") boolean vague,
      @Parameter(hidden = true) HttpServletRequest request) {
    // One knife at a time: ten thousand at once are more than there is room for.
    ByteArrayOutputStream records = new ByteArrayOutputStream();
    LidoRecords.write(
        desk.examiner().shelf(),
        vague,
        records,
        each ->
            catalogue.eachFound(
                FoundBy.asked(q, request),
                s -> s.listed().map(l -> new LidoRecords.Kept(s.id(), l)).ifPresent(each)));
    return ResponseEntity.ok()
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment().filename("knives.lido.xml").build().toString())
        .contentType(MediaType.parseMediaType("application/xml;charset=UTF-8"))
        .body(records.toByteArray());
  }

  private List<Shown> found(String q, HttpServletRequest request) {
    List<Shown> all = new ArrayList<>();
    catalogue.eachFound(FoundBy.asked(q, request), all::add);
    return all;
  }
}
