package snikra.server.parcel;

import io.swagger.v3.oas.annotations.Parameter;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.server.keeping.Backup;

/** {@code /api/parcel}: the whole collection as one file, out and back. */
@RestController
@RequestMapping("/api/parcel")
class ParcelController {
  private final Parcels parcels;

  ParcelController(Parcels parcels) {
    this.parcels = parcels;
  }

  /** How much of a parcel is here. */
  record Received(long bytes) {}

  /** Of the knives that were changed in both places, those to take from the parcel. */
  record Choice(@Nullable List<String> theirs) {}

  /** All that is kept as one ZIP of open formats, with the sum of every file. */
  @GetMapping(produces = "application/zip")
  void whole(@Parameter(hidden = true) HttpServletResponse response) throws IOException {
    response.setContentType("application/zip");
    response.setHeader(
        HttpHeaders.CONTENT_DISPOSITION,
        ContentDisposition.attachment()
            .filename("snikra-" + LocalDate.now(ZoneId.systemDefault()) + ".zip")
            .build()
            .toString());
    parcels.write(response.getOutputStream());
  }

  /**
   * Takes the next piece of a parcel, up to 8 MB.
   *
   * @param key an id of the sender's own
   * @param at where it belongs; 0 begins anew
   */
  @PostMapping(path = "/piece", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  Received receive(
      @RequestParam UUID key,
      @RequestParam long at,
      @RequestBody(required = false) byte @Nullable [] piece) {
    return new Received(parcels.receive(key, at, piece == null ? new byte[0] : piece));
  }

  /** What a parcel would bring, once every file in it is found to be whole. */
  @GetMapping("/{key}")
  ParcelTold look(@PathVariable UUID key) {
    return parcels.look(key);
  }

  /** Takes it in, all or nothing; the answer is the copy of what was here until now. */
  @PostMapping(path = "/{key}/take", consumes = MediaType.APPLICATION_JSON_VALUE)
  Backup take(@PathVariable UUID key, @RequestBody Choice choice) {
    return parcels.take(key, Set.copyOf(Objects.requireNonNullElse(choice.theirs(), List.of())));
  }

  /** Lets go of it. */
  @DeleteMapping("/{key}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void letGo(@PathVariable UUID key) {
    parcels.letGo();
  }
}
