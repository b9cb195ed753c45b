package snikra.server.knives;

import java.util.List;
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

/** {@code /api/searches}: searches of the tray one comes back to. */
@RestController
@RequestMapping("/api/searches")
class SavedSearchController {
  private final SavedSearches searches;

  SavedSearchController(SavedSearches searches) {
    this.searches = searches;
  }

  /** All of them, in the order in which they were first kept. */
  @GetMapping
  List<SavedSearches.KeptSearch> all() {
    return searches.all();
  }

  /** Keeps a search under an id of the sender's own, or changes it. */
  @PutMapping("/{id}")
  SavedSearches.KeptSearch keep(
      @PathVariable UUID id, @RequestBody SavedSearches.NamedSearch search) {
    return searches.keep(id, search);
  }

  /** Lets go of a search; kept again under its id it is there again. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID id) {
    searches.remove(id);
  }
}
