package snikra.server;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** {@code DELETE /api/knives/taken-out/...}: lets a knife go for good that was taken out. */
@RestController
class FarewellController {
  private final Farewell farewell;

  FarewellController(Farewell farewell) {
    this.farewell = farewell;
  }

  /** Lets go of a knife that was taken out, for good, with its photographs. */
  @DeleteMapping("/api/knives/taken-out/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void letGo(@PathVariable String id) {
    farewell.letGo(id);
  }
}
