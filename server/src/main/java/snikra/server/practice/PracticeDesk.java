package snikra.server.practice;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.ThreadLocalRandom;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.server.ResponseStatusException;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.examination.Sketch;
import snikra.core.practice.Dealer;
import snikra.core.practice.Dealt;
import snikra.core.practice.Eye;
import snikra.core.practice.Guess;
import snikra.core.practice.PracticeBook;
import snikra.core.practice.Round;
import snikra.core.practice.Unveiled;
import snikra.core.practice.Unveiling;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.formats.ShippedShelf;
import snikra.formats.SpecimenFormat;
import snikra.formats.UnreadableKnife;
import snikra.server.knives.Catalogue;
import snikra.server.knives.KnifeService;
import snikra.server.practice.KeptRound.Kind;
import snikra.server.reference.ReferenceDesk;

/**
 * Deals knives to guess at, and keeps by player what came of it and nothing else. What changes a
 * round waits for what changes one already: two tabs do not write over each other.
 */
public class PracticeDesk {
  /** Rounds of all players together. */
  private static final int MOST = 20_000;

  private static final int LONGEST_NAME = 40;

  /** So many of one's own are looked through for one of which enough is known. */
  private static final int MOST_TRIED = 40;

  /** Days lie so far apart in the seeds that no two share a knife. */
  private static final long A_DAY = 1_000_003;

  private final PracticeRepository rounds;
  private final ReferenceDesk desk;
  private final KnifeService knives;
  private final Catalogue catalogue;
  private final TransactionTemplate transaction;
  private final Clock clock;
  private final PracticeBook book = ShippedShelf.practiceBook();
  private volatile @Nullable Seated seated;

  private record Seated(Examiner by, Dealer dealer) {}

  public PracticeDesk(
      PracticeRepository rounds,
      ReferenceDesk desk,
      KnifeService knives,
      Catalogue catalogue,
      PlatformTransactionManager transactions,
      Clock clock) {
    this.rounds = rounds;
    this.desk = desk;
    this.knives = knives;
    this.catalogue = catalogue;
    this.transaction = new TransactionTemplate(transactions);
    this.clock = clock;
  }

  /** One of those to choose from. */
  record OnList(String id, String label) {}

  /**
   * Someone who practises here.
   *
   * @param rounds that were unveiled
   * @param today how many of today's were unveiled
   */
  record Player(String name, int rounds, int today) {}

  /** How one practises, who does, and what there is to choose from. */
  record PracticeTold(
      PracticeBook book, List<Player> players, List<OnList> makers, List<OnList> names) {}

  /**
   * A round.
   *
   * @param number among those of its kind that day, from 1
   * @param left glances that are left
   * @param looks there are; none once it is over and was left
   * @param knife as far as it was looked at; null once it is over and was left
   * @param guess null while it is open
   * @param unveiled what came of it; null while it is open
   */
  record RoundTold(
      String id,
      String player,
      Kind kind,
      int number,
      double left,
      List<Round.Glance> looks,
      @Nullable Specimen knife,
      @Nullable Sketch drawn,
      @Nullable Guess guess,
      @Nullable Unveiled unveiled) {}

  /** How one practises. */
  PracticeTold told() {
    Examiner examiner = desk.examiner();
    Map<String, int[]> counts = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
    for (KeptRound round : all()) {
      int[] of = counts.computeIfAbsent(round.player(), name -> new int[2]);
      of[0] += round.isOpen() ? 0 : 1;
      of[1] += !round.isOpen() && isOfToday(round) ? 1 : 0;
    }
    return new PracticeTold(
        book,
        counts.entrySet().stream()
            .map(e -> new Player(e.getKey(), e.getValue()[0], e.getValue()[1]))
            .toList(),
        examiner.shelf().makers().stream().map(m -> new OnList(m.id(), m.name())).toList(),
        examiner.shelf().patterns().patterns().stream()
            .map(p -> new OnList(p.id(), p.name()))
            .toList());
  }

  private List<KeptRound> all() {
    return rounds.findAllByOrderByMadeAtAscIdAsc().stream().map(KeptRound::read).toList();
  }

  private boolean isOfToday(KeptRound round) {
    return round.kind() == Kind.TODAY && round.day().equals(LocalDate.now(clock));
  }

  /** Deals a knife, or the one that still is open to this player. */
  synchronized RoundTold begin(UUID id, String name, Kind kind) {
    String player = named(name);
    Optional<PracticeEntity> there = rounds.findById(id.toString()).or(() -> open(player, kind));
    if (there.isPresent()) {
      return told(there.get().id(), KeptRound.read(there.get()));
    }
    requireRoom(rounds, player);
    LocalDate day = LocalDate.now(clock);
    int number =
        1
            + (int)
                all().stream()
                    .filter(r -> r.isOf(player) && r.kind() == kind)
                    .filter(r -> r.day().equals(day))
                    .count();
    Dealt dealt = deal(player, kind, day, number);
    KeptRound round =
        new KeptRound(
            player,
            kind,
            day,
            number,
            SpecimenFormat.write(dealt.knife()),
            dealt.truth(),
            List.of(),
            null,
            null);
    PracticeEntity kept = new PracticeEntity(id.toString(), round.written(), Instant.now(clock));
    transaction.executeWithoutResult(status -> rounds.save(kept));
    return told(kept.id(), round);
  }

  // It is made anew where the references are others than those it was made of.
  private Dealer dealer() {
    Examiner now = desk.examiner();
    Seated there = seated;
    if (there == null || there.by() != now) {
      there = new Seated(now, new Dealer(now, book));
      seated = there;
    }
    return there.dealer();
  }

  /** The name of a player as it is kept. */
  static String named(String name) {
    String player = name.strip();
    if (player.isEmpty() || player.length() > LONGEST_NAME) {
      throw refused("player", name, "must be a name of at most " + LONGEST_NAME + " letters");
    }
    return player;
  }

  /** Refuses another round where there are as many as are kept. */
  static void requireRoom(PracticeRepository rounds, String player) {
    if (rounds.count() >= MOST) {
      throw refused("player", player, "no room for more than " + MOST + " rounds: remove a player");
    }
  }

  private Optional<PracticeEntity> open(String player, Kind kind) {
    return rounds.findAllByOrderByMadeAtAscIdAsc().stream()
        .filter(
            e -> {
              KeptRound round = KeptRound.read(e);
              return round.isOpen()
                  && round.kind() == kind
                  && round.isOf(player)
                  && (kind != Kind.TODAY || isOfToday(round));
            })
        .findFirst();
  }

  private Dealt deal(String player, Kind kind, LocalDate day, int number) {
    Dealer dealer = dealer();
    return switch (kind) {
      case TODAY -> {
        if (number > book.ten().value()) {
          throw refused("kind", kind.toString(), "all of today's were dealt: more come tomorrow");
        }
        yield dealer.deal(day.toEpochDay() * A_DAY + number);
      }
      case MORE -> dealer.deal(ThreadLocalRandom.current().nextLong());
      case DRILL -> {
        Eye eye = eye(player);
        if (eye.weakMakers().isEmpty() && eye.weakDecades().isEmpty()) {
          throw refused(
              "kind",
              kind.toString(),
              "nothing is known yet that you get wrong: guess at some first");
        }
        yield dealer.deal(ThreadLocalRandom.current().nextLong(), eye::isWeakIn);
      }
      case MINE -> own(dealer);
      case GRADE ->
          throw refused("kind", kind.toString(), "must be one of today, more, drill, mine");
    };
  }

  private Dealt own(Dealer dealer) {
    List<String> ids = new ArrayList<>(catalogue.numbers().values());
    Collections.shuffle(ids);
    for (String id : ids.subList(0, Math.min(MOST_TRIED, ids.size()))) {
      Dealt dealt = own(dealer, id);
      if (dealt != null) {
        return dealt;
      }
    }
    throw refused(
        "kind",
        Kind.MINE.toString(),
        "no knife in the tray was looked at enough: "
            + (int) book.leastLooks().value()
            + " looks are the least");
  }

  private @Nullable Dealt own(Dealer dealer, String id) {
    try {
      return dealer.deal(knives.get(id).specimen());
    } catch (UnreadableKnife e) {
      return null;
    }
  }

  /** One round. */
  RoundTold round(UUID id) {
    return told(id.toString(), KeptRound.read(find(id)));
  }

  private PracticeEntity find(UUID id) {
    return rounds
        .findById(id.toString())
        .orElseThrow(
            () ->
                new ResponseStatusException(HttpStatus.NOT_FOUND, "There is no round " + id + "."));
  }

  private RoundTold told(String id, KeptRound kept) {
    return kept.isOpen() ? told(id, kept, round(kept, kept.looked())) : over(id, kept);
  }

  private static RoundTold over(String id, KeptRound kept) {
    return new RoundTold(
        id,
        kept.player(),
        kept.kind(),
        kept.number(),
        0,
        List.of(),
        null,
        null,
        kept.guess(),
        kept.unveiled());
  }

  private RoundTold told(String id, KeptRound kept, Round round) {
    Specimen shown = round.shown();
    return new RoundTold(
        id,
        kept.player(),
        kept.kind(),
        kept.number(),
        round.left(),
        round.looks(),
        shown,
        desk.examiner().sketch(shown),
        kept.guess(),
        kept.unveiled());
  }

  private Round round(KeptRound kept, List<String> looked) {
    return new Round(kept.dealt(), looked, desk.examiner().shelf(), book);
  }

  /** Takes a look; one that was taken already costs nothing more. */
  synchronized RoundTold look(UUID id, String look) {
    PracticeEntity entity = find(id);
    KeptRound kept = stillOpen(entity);
    Problem against = round(kept, kept.looked()).against(look);
    if (against != null) {
      throw new InvalidInput(List.of(against));
    }
    if (kept.looked().contains(look)) {
      return told(entity.id(), kept);
    }
    KeptRound after = kept.afterLook(look);
    keep(entity, after);
    return told(entity.id(), after);
  }

  private static KeptRound stillOpen(PracticeEntity entity) {
    KeptRound kept = KeptRound.read(entity);
    if (!kept.isOpen()) {
      throw refused("id", entity.id(), "was unveiled already: take the next knife");
    }
    return kept;
  }

  private void keep(PracticeEntity entity, KeptRound round) {
    transaction.executeWithoutResult(
        status -> rounds.findById(entity.id()).orElseThrow().setContent(round.written()));
  }

  /** Holds a guess against what is so. A second guess at the same knife changes nothing. */
  synchronized RoundTold guess(UUID id, Guess guess) {
    PracticeEntity entity = find(id);
    KeptRound kept = KeptRound.read(entity);
    if (!kept.isOpen()) {
      return over(entity.id(), kept);
    }
    Examiner examiner = kept.kind() == Kind.MINE ? desk.examiner() : dealer().among();
    Unveiling unveiling = new Unveiling(examiner, book);
    List<Problem> problems = guess.problems(unveiling.choices());
    if (!problems.isEmpty()) {
      throw new InvalidInput(problems);
    }
    Round taken = round(kept, kept.looked());
    Unveiled unveiled = unveiling.unveil(taken, guess);
    KeptRound after = kept.afterGuess(guess, unveiled);
    keep(entity, after);
    List<String> everything = taken.looks().stream().map(Round.Glance::id).toList();
    Round whole = round(kept, everything);
    return told(entity.id(), after, whole);
  }

  /** How well a player's eye holds what it says. */
  Eye eye(String player) {
    List<Unveiled> came = new ArrayList<>();
    for (KeptRound round : all()) {
      if (round.isOf(player) && round.unveiled() != null) {
        came.add(round.unveiled());
      }
    }
    return Eye.of(came, book);
  }

  /** Lets go of all that is kept of a player. */
  synchronized void forget(String player) {
    transaction.executeWithoutResult(
        status ->
            rounds.deleteAll(
                rounds.findAllByOrderByMadeAtAscIdAsc().stream()
                    .filter(e -> KeptRound.read(e).isOf(player))
                    .toList()));
  }

  private static InvalidInput refused(String field, String given, String accepted) {
    return new InvalidInput(List.of(new Problem(field, given, accepted)));
  }
}
