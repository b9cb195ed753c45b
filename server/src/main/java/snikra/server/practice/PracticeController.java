package snikra.server.practice;

import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.practice.Eye;
import snikra.core.practice.GradingDrill;
import snikra.core.practice.Guess;

/** {@code /api/practice}: knives to guess at, and how well one's eye holds what it says. */
@RestController
@RequestMapping("/api/practice")
class PracticeController {
  private final PracticeDesk desk;
  private final GradingTable table;

  PracticeController(PracticeDesk desk, GradingTable table) {
    this.desk = desk;
    this.table = table;
  }

  /** Who begins, and with what. */
  record BeginRound(String player, KeptRound.Kind kind) {}

  /** A look to take. */
  record TakeLook(String look) {}

  /** How one practises, who does, and what there is to choose from. */
  @GetMapping
  PracticeDesk.PracticeTold told() {
    return desk.told();
  }

  /**
   * Deals a knife to a player under an id of the sender's own; the one that still is open to them
   * where there is one.
   */
  @PutMapping("/rounds/{id}")
  PracticeDesk.RoundTold begin(@PathVariable UUID id, @RequestBody BeginRound begun) {
    return desk.begin(id, begun.player(), begun.kind());
  }

  /** A round as it stands; of one that is over what came of it. */
  @GetMapping("/rounds/{id}")
  PracticeDesk.RoundTold round(@PathVariable UUID id) {
    return desk.round(id);
  }

  /** Takes a look at a knife one guesses at; one that was taken already costs nothing more. */
  @PostMapping("/rounds/{id}/looks")
  PracticeDesk.RoundTold look(@PathVariable UUID id, @RequestBody TakeLook taken) {
    return desk.look(id, taken.look());
  }

  /** Holds a guess against what is so; a second one at the same knife changes nothing. */
  @PostMapping("/rounds/{id}/guess")
  PracticeDesk.RoundTold guess(@PathVariable UUID id, @RequestBody Guess guess) {
    return desk.guess(id, guess);
  }

  /**
   * A described knife to grade: any of those this player graded least often.
   *
   * @param player by name
   */
  @GetMapping("/graded")
  GradingDrill.ToGrade toGrade(@RequestParam String player) {
    return table.toGrade(player);
  }

  /**
   * Scores a grade by the one agreed on and keeps it, under an id of the sender's own; sent twice
   * it is kept once.
   */
  @PutMapping("/graded/{id}")
  GradingTable.GradeTold grade(@PathVariable UUID id, @RequestBody GradingTable.GradeGiven given) {
    return table.grade(id, given);
  }

  /**
   * How well a player's eye holds what it says.
   *
   * @param player by name
   */
  @GetMapping("/eye")
  Eye eye(@RequestParam String player) {
    return desk.eye(player);
  }

  /**
   * Lets go of all that is kept of a player.
   *
   * @param player by name
   */
  @DeleteMapping("/players")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void forget(@RequestParam String player) {
    desk.forget(player);
  }
}
