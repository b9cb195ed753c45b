package snikra.server.practice;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import snikra.core.examination.Problem;
import snikra.core.practice.GradingDrill;
import snikra.core.practice.Truth;
import snikra.core.practice.Unveiled;
import snikra.core.practice.Unveiled.Scored;
import snikra.formats.InvalidInput;
import snikra.formats.ShippedShelf;
import snikra.server.practice.KeptRound.Kind;
import snikra.server.reference.ReferenceDesk;

/** Described knives to grade, each player those they graded least. */
public class GradingTable {
  private final PracticeRepository rounds;
  private final ReferenceDesk desk;
  private final TransactionTemplate transaction;
  private final Clock clock;

  public GradingTable(
      PracticeRepository rounds,
      ReferenceDesk desk,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.rounds = rounds;
    this.desk = desk;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  /**
   * A grade that is given.
   *
   * @param number of the described knife
   * @param level of the school
   * @param sure with this chance; the rest lies one level to either side
   */
  record GradeGiven(String player, int number, String school, String level, double sure) {}

  /**
   * What came of it.
   *
   * @param agreed what each school gives it
   */
  record GradeTold(Scored scored, List<GradingDrill.Agreed> agreed) {}

  private GradingDrill drill() {
    return new GradingDrill(ShippedShelf.graded(), desk.examiner().shelf());
  }

  /** A knife to grade: any of those this player graded least often. */
  GradingDrill.ToGrade toGrade(String player) {
    GradingDrill drill = drill();
    int[] times = new int[drill.size() + 1];
    for (PracticeEntity kept : rounds.findAllByOrderByMadeAtAscIdAsc()) {
      KeptRound round = KeptRound.read(kept);
      if (round.kind() == Kind.GRADE && round.isOf(player) && round.number() <= drill.size()) {
        times[round.number()]++;
      }
    }
    List<Integer> least = new ArrayList<>();
    for (int number = 1; number <= drill.size(); number++) {
      if (!least.isEmpty() && times[number] < times[least.get(0)]) {
        least.clear();
      }
      if (least.isEmpty() || times[number] == times[least.get(0)]) {
        least.add(number);
      }
    }
    return drill.knife(least.get(ThreadLocalRandom.current().nextInt(least.size())));
  }

  /** Scores a grade and keeps it, under an id of the sender's own; sent twice it is kept once. */
  synchronized GradeTold grade(UUID id, GradeGiven given) {
    GradingDrill drill = drill();
    var there = rounds.findById(id.toString());
    if (there.isPresent()) {
      KeptRound kept = KeptRound.read(there.get());
      if (kept.kind() == Kind.GRADE && kept.unveiled() != null) {
        return new GradeTold(kept.unveiled().answers().get(0), drill.agreed(kept.number()));
      }
      throw new InvalidInput(List.of(new Problem("id", id.toString(), "is of another round")));
    }
    String player = PracticeDesk.named(given.player());
    PracticeDesk.requireRoom(rounds, player);
    List<Problem> problems =
        drill.problems(given.number(), given.school(), given.level(), given.sure());
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    Scored scored = drill.score(given.number(), given.school(), given.level(), given.sure());
    LocalDate day = LocalDate.now(clock);
    KeptRound round =
        new KeptRound(
            player,
            Kind.GRADE,
            day,
            given.number(),
            null,
            null,
            List.of(),
            null,
            new Unveiled(List.of(scored), Truth.UNLISTED, 0, "", List.of()));
    transaction.executeWithoutResult(
        status ->
            rounds.save(new PracticeEntity(id.toString(), round.written(), Instant.now(clock))));
    return new GradeTold(scored, drill.agreed(given.number()));
  }
}
