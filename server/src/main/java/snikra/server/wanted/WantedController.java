package snikra.server.wanted;

import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.wanted.Want;

/** {@code /api/wanted}: knives one looks for, and what one would pay. */
@RestController
@RequestMapping("/api/wanted")
class WantedController {
  private final WantedList wanted;

  WantedController(WantedList wanted) {
    this.wanted = wanted;
  }

  /** All of it, in the order in which it was first kept. */
  @GetMapping
  WantedList.WantedTold all() {
    return wanted.all();
  }

  /** Keeps something one looks for under an id of the sender's own, or changes it. */
  @PutMapping("/{id}")
  WantedList.KeptWant keep(@PathVariable UUID id, @RequestBody Want want) {
    return wanted.keep(id, want);
  }

  /** Lets go of one; kept again under its id it is there again. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID id) {
    wanted.remove(id);
  }
}
