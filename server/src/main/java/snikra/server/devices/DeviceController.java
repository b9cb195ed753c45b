package snikra.server.devices;

import io.swagger.v3.oas.annotations.Hidden;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import snikra.core.examination.Problem;
import snikra.core.measure.Measurement;
import snikra.core.measure.MeasuringDevice;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.server.devices.InstrumentDesk.Posted;
import snikra.server.devices.InstrumentDesk.Taken;
import snikra.server.knives.KnifeService;
import snikra.server.reference.ReferenceDesk;

/** {@code /api/devices}: instruments, and the line format for those that post by themselves. */
@RestController
@RequestMapping("/api/devices")
class DeviceController {
  private final InstrumentDesk desk;
  private final KnifeService knives;
  private final ReferenceDesk references;

  DeviceController(InstrumentDesk desk, KnifeService knives, ReferenceDesk references) {
    this.desk = desk;
    this.knives = knives;
    this.references = references;
  }

  /** An instrument at hand. */
  record Device(String id, String label, Measurement.Kind kind) {}

  /** One reading, with its unit. */
  record Reading(String reading) {}

  /** The instruments that can be read. */
  @GetMapping
  List<Device> devices() {
    return desk.devices().stream().map(d -> new Device(d.id(), d.label(), d.kind())).toList();
  }

  /** Takes one reading of a field of a knife. */
  @PostMapping("/readings")
  Reading read(@RequestParam String kind, @RequestParam String field, @RequestParam String knife) {
    Specimen subject = knives.get(knife).specimen();
    return new Reading(
        desk.read(kind(kind), field, subject, references.examiner().sketch(subject)).written());
  }

  private static Measurement.Kind kind(String kind) {
    try {
      return Measurement.Kind.valueOf(kind.toUpperCase(Locale.ROOT));
    } catch (IllegalArgumentException e) {
      throw new InvalidInput(
          List.of(new Problem("kind", kind, "must be one of force, scale, mass, length")));
    }
  }

  /** Takes readings in the line format. */
  @PostMapping(path = "/lines", consumes = MediaType.TEXT_PLAIN_VALUE)
  Taken lines(@RequestBody String text) {
    return desk.post(text);
  }

  /** Readings as they are posted, as server-sent events. */
  @Hidden
  @GetMapping(path = "/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter stream() throws IOException {
    SseEmitter emitter = new SseEmitter(0L);
    Consumer<Posted> listener =
        posted -> {
          try {
            emitter.send(posted);
          } catch (IOException | IllegalStateException e) {
            emitter.complete();
          }
        };
    desk.listen(listener);
    emitter.onCompletion(() -> desk.stopListening(listener));
    emitter.onError(e -> desk.stopListening(listener));
    emitter.send(SseEmitter.event().comment("listening"));
    return emitter;
  }

  @ExceptionHandler(MeasuringDevice.DeviceLost.class)
  ProblemDetail lost(MeasuringDevice.DeviceLost e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
  }
}
