package snikra.server.photos;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.CacheControl;
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
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.server.knives.NoSuchKnife;

/** Photographs of a knife, and measuring on them. */
@RestController
class PhotoController {
  private final PhotoService photos;
  private final PhotoNames names;

  PhotoController(PhotoService photos, PhotoNames names) {
    this.photos = photos;
    this.names = names;
  }

  /** Names of files, each with the folders before it where it has any. */
  record FileNames(List<String> names) {}

  /** Which knives photographs are of by the names of their files, and what they show. */
  @PostMapping("/api/photos/names")
  List<PhotoNames.NamedPhoto> read(@RequestBody FileNames files) {
    return names.read(files.names() == null ? List.of() : files.names());
  }

  /** The photographs of a knife. */
  @GetMapping("/api/knives/{knife}/photos")
  List<Photo> photos(@PathVariable String knife) {
    return photos.of(knife);
  }

  /** Keeps a photograph, or a paper as a PDF; the body is the file as it is. */
  @PostMapping(
      path = "/api/knives/{knife}/photos",
      consumes = {MediaType.APPLICATION_OCTET_STREAM_VALUE, "image/*", "application/pdf"})
  @ResponseStatus(HttpStatus.CREATED)
  Photo add(
      @PathVariable String knife,
      @RequestParam(defaultValue = "other") String role,
      @RequestParam(defaultValue = "") String name,
      @RequestBody(required = false) byte[] file) {
    return photos.add(knife, PhotoRole.of(role), name, file == null ? new byte[0] : file);
  }

  /** One copy of a photograph: the original, the view or the small one. */
  @GetMapping("/api/photos/{id}/{copy}")
  ResponseEntity<byte[]> copy(@PathVariable String id, @PathVariable String copy) {
    PhotoService.Copy asked =
        PhotoService.Copy.of(copy).orElseThrow(() -> new NoSuchKnife("with a copy called " + copy));
    PhotoService.Content content = photos.content(id, asked);
    ResponseEntity.BodyBuilder answer = ResponseEntity.ok();
    if (content.savedAs() != null) {
      // What others wrote is opened by the reader one trusts, not within this page.
      answer.header(
          HttpHeaders.CONTENT_DISPOSITION,
          ContentDisposition.attachment()
              .filename(content.savedAs(), StandardCharsets.UTF_8)
              .build()
              .toString());
    }
    return answer
        .contentType(MediaType.parseMediaType(content.mediaType()))
        .cacheControl(CacheControl.noCache().cachePrivate())
        .eTag(content.tag())
        .body(content.bytes());
  }

  /** Says what a photograph shows. */
  @PutMapping("/api/photos/{id}")
  Photo changeRole(@PathVariable String id, @RequestParam String role) {
    return photos.changeRole(id, PhotoRole.of(role));
  }

  /** Takes a photograph away; it can be put back for thirty days. */
  @DeleteMapping("/api/photos/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void delete(@PathVariable String id) {
    photos.delete(id);
  }

  /** Puts a photograph back that was taken away. */
  @PostMapping("/api/photos/{id}/restore")
  Photo restore(@PathVariable String id) {
    return photos.restore(id);
  }

  /** Works out what was clicked on a photograph; nothing is kept. */
  @PostMapping("/api/photos/measure")
  PhotoMeasuring.Answer measure(@RequestBody PhotoMeasuring measuring) {
    return measuring.answer();
  }
}
