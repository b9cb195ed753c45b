package snikra.server.keeping;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** {@code /api/keeping} and {@code /api/backups}: how what is entered is kept safe. */
@RestController
class KeepingController {
  private final Keeping keeping;

  KeepingController(Keeping keeping) {
    this.keeping = keeping;
  }

  /**
   * How things stand.
   *
   * @param free bytes that can still be written
   * @param enough whether that is enough to save
   * @param enoughForPhotographs whether that is enough to take in photographs
   * @param failed what could not be done by itself; null where all was
   */
  record KeepingStanding(
      String data,
      String backupsFolder,
      long free,
      boolean enough,
      boolean enoughForPhotographs,
      @Nullable String failed,
      List<Backup> backups) {}

  /** Where copies are kept. */
  record Folder(String folder) {}

  /** How safe what is kept is: copies, room, and where they lie. */
  @GetMapping("/api/keeping")
  KeepingStanding standing() {
    return keeping.standing();
  }

  /** Holds every photograph against what it was, and reads every knife. */
  @PostMapping("/api/keeping/check")
  Keeping.Checked check() {
    return keeping.check();
  }

  /** Makes a copy now. */
  @PostMapping("/api/backups")
  @ResponseStatus(HttpStatus.CREATED)
  Backup make() {
    return keeping.makeBackup();
  }

  /** Chooses where copies lie. */
  @PutMapping(path = "/api/backups/folder", consumes = MediaType.APPLICATION_JSON_VALUE)
  KeepingStanding choose(@RequestBody Folder chosen) {
    keeping.choose(chosen.folder());
    return keeping.standing();
  }

  /** What bringing a copy back would do. */
  @GetMapping("/api/backups/{name}")
  Backups.CopyLook look(@PathVariable String name) {
    return keeping.look(name);
  }

  /** Brings a copy back; the answer is the copy of what was there until now. */
  @PostMapping("/api/backups/{name}/restore")
  Backup restore(@PathVariable String name) {
    return keeping.restore(name);
  }
}
