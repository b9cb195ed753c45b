package snikra.server.phone;

import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Problem;
import snikra.core.specimen.Face;
import snikra.formats.InvalidInput;
import snikra.server.photos.PhotoRole;

/** A phone as camera, seen from the bench. */
@RestController
class PhoneController {
  private final PhoneCamera camera;

  PhoneController(PhoneCamera camera) {
    this.camera = camera;
  }

  /**
   * How things stand with a phone.
   *
   * @param addresses by which a phone may reach this computer
   * @param line null while none is open
   */
  record PhoneState(List<String> addresses, @Nullable PhoneInvited line) {}

  /**
   * A phone that is let in, or was.
   *
   * @param address to open on the phone, with the code, until one has entered by it
   * @param code the address as rows of light (0) and dark (1) squares
   * @param fingerprint of the certificate, to compare on the phone
   */
  record PhoneInvited(
      String knife,
      PhotoRole role,
      @Nullable String address,
      @Nullable List<String> code,
      String host,
      String fingerprint,
      Instant endsAt,
      boolean entered,
      int taken) {}

  /** Whether a phone is invited, and for which knife. */
  @GetMapping("/api/phone")
  PhoneState state() {
    return new PhoneState(
        camera.addresses(), camera.now().map(PhoneController::invited).orElse(null));
  }

  /** Opens a line to a phone for one knife; for fifteen minutes, to the first that comes. */
  @PostMapping("/api/knives/{knife}/phone")
  @ResponseStatus(HttpStatus.CREATED)
  PhoneInvited begin(
      @PathVariable String knife,
      @RequestParam(defaultValue = "other") String role,
      @RequestParam(required = false) @Nullable Integer blade,
      @RequestParam(required = false) @Nullable String face,
      @RequestParam(required = false) @Nullable String address) {
    return invited(
        camera.begin(
            new PhoneSession.Wanted(knife, PhotoRole.of(role), blade, face(face)), address));
  }

  private static @Nullable Face face(@Nullable String name) {
    if (name == null) {
      return null;
    }
    return Arrays.stream(Face.values())
        .filter(f -> f.toString().equals(name))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidInput(
                    List.of(new Problem("face", name, "must be mark, pile or blade"))));
  }

  /** Lets no phone send any more. */
  @DeleteMapping("/api/phone")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void end() {
    camera.end();
  }

  private static PhoneInvited invited(PhoneCamera.Open open) {
    PhoneSession session = open.session();
    // The code stands behind the number sign: it is in no request that a scanner sends ahead.
    String address = "https://" + open.host() + "/#" + session.code();
    boolean entered = session.isEntered();
    return new PhoneInvited(
        session.wanted().knife(),
        session.wanted().role(),
        entered ? null : address,
        entered ? null : squares(address),
        open.host(),
        open.fingerprint(),
        session.endsAt(),
        entered,
        session.taken());
  }

  static List<String> squares(String text) {
    try {
      ByteMatrix code = Encoder.encode(text, ErrorCorrectionLevel.M).getMatrix();
      List<String> rows = new ArrayList<>();
      for (int y = 0; y < code.getHeight(); y++) {
        StringBuilder row = new StringBuilder();
        for (int x = 0; x < code.getWidth(); x++) {
          row.append(code.get(x, y));
        }
        rows.add(row.toString());
      }
      return rows;
    } catch (WriterException e) {
      throw new IllegalStateException(e);
    }
  }
}
