package snikra.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.practice.Dealer;
import snikra.core.practice.Dealt;
import snikra.core.practice.GradingDrill;
import snikra.core.practice.Guess;
import snikra.core.practice.PracticeBook;
import snikra.core.practice.PracticeBook.Setting;
import snikra.core.practice.Round;
import snikra.core.practice.Truth;
import snikra.core.practice.Unveiled;
import snikra.core.practice.Unveiled.Question;
import snikra.core.practice.Unveiled.Scored;
import snikra.core.practice.Unveiling;
import snikra.core.specimen.Specimen;

/** Knives to guess at, dealt out of the shipped references. */
class PracticeTest {
  private static final Examiner EXAMINER = new Examiner(ShippedShelf.load(), 2026);
  private static final PracticeBook BOOK = ShippedShelf.practiceBook();
  private static final Dealer DEALER = new Dealer(EXAMINER, BOOK);
  private static final Unveiling UNVEILING = new Unveiling(DEALER.among(), BOOK);

  private static Round round(Dealt dealt, List<String> looked) {
    return new Round(dealt, looked, EXAMINER.shelf(), BOOK);
  }

  private static PracticeBook with(Setting drawn, Setting leastLooks, Setting worth, double lost) {
    Setting worn = new Setting(lost, "");
    return new PracticeBook(
        BOOK.glances(),
        BOOK.ten(),
        leastLooks,
        drawn,
        BOOK.weakest(),
        BOOK.leastRounds(),
        worth,
        BOOK.listed(),
        List.of(worn, worn),
        BOOK.how());
  }

  @Test
  void theSameSeedDealsTheSameKnifeAndEachIsOneThatCanBeEntered() {
    for (long seed = 1; seed <= 40; seed++) {
      Dealt dealt = DEALER.deal(seed);
      assertThat(DEALER.deal(seed).knife()).isEqualTo(dealt.knife());
      String written = SpecimenFormat.write(dealt.knife());
      assertThat(SpecimenFormat.read(written, EXAMINER.shelf())).isEqualTo(dealt.knife());
      assertThat(round(dealt, List.of()).looks()).hasSizeGreaterThan(20);
    }
  }

  @Test
  void knivesAreOfManyMakersPatternsAndYears() {
    List<Truth> all = LongStream.range(0, 200).mapToObj(s -> DEALER.deal(s).truth()).toList();
    Set<String> makers = new HashSet<>();
    Set<String> names = new HashSet<>();
    all.forEach(t -> makers.addAll(t.makers().keySet()));
    all.forEach(t -> names.addAll(t.names().keySet()));
    assertThat(makers).hasSizeGreaterThan(5).contains(Truth.UNLISTED);
    assertThat(names).hasSizeGreaterThan(25);
    assertThat(all).extracting(Truth::firstYear).anyMatch(y -> y < 1890).anyMatch(y -> y > 1960);
    assertThat(all.stream().filter(t -> !t.makers().containsKey(Truth.UNLISTED)).count())
        .as("of two hundred, seven in ten")
        .isBetween(120L, 160L);
    assertThat(all).anyMatch(t -> t.happened().isEmpty()).anyMatch(t -> !t.happened().isEmpty());
  }

  @Test
  void theModelLosesLessThanOneWhoNamesTheMostUsualEachTime() {
    double own = 0;
    double models = 0;
    int held = 0;
    int rounds = 24;
    Guess usual = new Guess(Truth.UNLISTED, 0.3, 1850, 1990, "as-made", 0.9, null, null);
    for (int seed = 0; seed < rounds; seed++) {
      Unveiled told = UNVEILING.unveil(looked(DEALER.deal(seed), 12), usual);
      for (Scored answer : told.answers()) {
        own += answer.question() == Question.YEARS ? answer.own() / 20 : answer.own();
        models += answer.question() == Question.YEARS ? answer.models() / 20 : answer.models();
      }
      held += isHeld(told) ? 1 : 0;
    }
    assertThat(models).isLessThan(0.7 * own);
    assertThat(held).as("of 24 at nine in ten").isBetween(18, 24);
  }

  private static boolean isHeld(Unveiled told) {
    Scored years =
        told.answers().stream()
            .filter(a -> a.question() == Question.YEARS)
            .findFirst()
            .orElseThrow();
    int was = Integer.parseInt(years.was());
    int slash = years.model().indexOf('/');
    return Integer.parseInt(years.model().substring(0, slash)) <= was
        && was <= Integer.parseInt(years.model().substring(slash + 1));
  }

  private static Round looked(Dealt dealt, int many) {
    return round(
        dealt, round(dealt, List.of()).looks().stream().map(Round.Glance::id).limit(many).toList());
  }

  @Test
  void whatWasMissedIsTheLooksThatWouldHaveRaisedWhatIsSoMost() {
    int told = 0;
    for (int seed = 0; seed < 4; seed++) {
      Round round = looked(DEALER.deal(seed), 4);
      List<Unveiled.Missed> missed = UNVEILING.unveil(round, Guess.nothing()).missed();
      told += missed.size();
      assertThat(missed)
          .isSortedAccordingTo(Comparator.comparingDouble(m -> -m.bits()))
          .allSatisfy(m -> assertThat(m.bits()).isGreaterThanOrEqualTo(BOOK.worthTelling().value()))
          .allSatisfy(m -> assertThat(m.answer()).isNotBlank())
          .noneMatch(m -> round.looked().contains(m.look()));
    }
    assertThat(told).isPositive();
    Setting much = new Setting(50, "");
    PracticeBook strict = with(BOOK.drawn(), BOOK.leastLooks(), much, 0.3);
    assertThat(
            new Unveiling(DEALER.among(), strict)
                .unveil(looked(DEALER.deal(1), 4), Guess.nothing())
                .missed())
        .isEmpty();
  }

  @Test
  void aDrillGoesOnDrawingUntilOneIsOfWhatIsGotWrong() {
    Predicate<Truth> rare = t -> !t.makers().containsKey(Truth.UNLISTED) && t.firstYear() < 1900;
    for (long seed = 0; seed < 5; seed++) {
      assertThat(DEALER.deal(seed, rare).truth()).matches(rare);
    }
    PracticeBook once = with(new Setting(1, ""), BOOK.leastLooks(), BOOK.worthTelling(), 0.3);
    Dealer impatient = new Dealer(EXAMINER, once);
    List<Truth> dealt = new ArrayList<>();
    for (long seed = 0; seed < 20; seed++) {
      dealt.add(impatient.deal(seed, rare).truth());
    }
    assertThat(dealt).anyMatch(rare.negate());
  }

  @Test
  void howWornMarksAreIsASetting() {
    assertThat(lost(0.05)).isLessThan(lost(0.6) / 3);
  }

  private static double lost(double share) {
    Dealer dealer =
        new Dealer(EXAMINER, with(BOOK.drawn(), BOOK.leastLooks(), BOOK.worthTelling(), share));
    int lost = 0;
    int all = 0;
    for (int seed = 0; seed < 60; seed++) {
      for (var face : dealer.deal(seed).knife().marks()) {
        for (String line : face.lines()) {
          lost += (int) line.chars().filter(c -> c == '_').count();
          all += line.length();
        }
      }
    }
    return (double) lost / all;
  }

  @Test
  void aKnifeOfOnesOwnIsHeldAgainstAllThatWasSeenOfItAndItsPapersStayHidden() {
    Specimen own =
        SpecimenFormat.read(
            """
            {"title": "My grandfather's", "frame": {"value": "serpentine", "sureness": "sure"},
             "blades": [{"type": {"value": "clip", "sureness": "sure"}}],
             "seen": {"handle_material": {"value": "celluloid", "sureness": "sure"},
                      "handle_pins": {"value": "flush", "sureness": "sure"}}}
            """,
            EXAMINER.shelf());
    assertThat(DEALER.deal(own)).as("too little is known of it").isNull();
    PracticeBook easy = with(BOOK.drawn(), new Setting(2, ""), BOOK.worthTelling(), 0.3);
    Dealt dealt = new Dealer(EXAMINER, easy).deal(own);
    assertThat(dealt).isNotNull();
    assertThat(dealt.knife().title()).isNull();
    Truth truth = dealt.truth();
    assertThat(truth.makers().values().stream().mapToDouble(c -> c).sum()).isBetween(0.99, 1.01);
    assertThat(truth.how().keySet()).contains("as-made");
    Guess certain = new Guess(Truth.UNLISTED, 0.9, 1900, 1940, "as-made", 0.9, null, null);
    Scored maker =
        UNVEILING.unveil(round(dealt, List.of()), certain).answers().stream()
            .filter(a -> a.question() == Question.MAKER)
            .findFirst()
            .orElseThrow();
    assertThat(maker.right()).isEqualTo(truth.makers().get(Truth.UNLISTED));
    assertThat(Map.of(Truth.UNLISTED, 1.0)).isNotEqualTo(truth.makers());
  }

  private static final GradingDrill DRILL =
      new GradingDrill(ShippedShelf.graded(), EXAMINER.shelf());

  @Test
  void aDescribedKnifeIsGradedByASchoolAndItsGradeIsNotToldBefore() {
    int worn = 1;
    while (!DRILL.knife(worn).what().equals("Grandfather's Sunday knife")) {
      worn++;
    }
    GradingDrill.ToGrade knife = DRILL.knife(worn);
    assertThat(knife.faults())
        .hasSize(4)
        .allSatisfy(f -> assertThat(f.point()).isNotBlank())
        .allSatisfy(f -> assertThat(f.found()).isNotBlank());
    assertThat(knife.schools()).hasSize(5);
    assertThat(knife.schools().get(0).levels()).allMatch(l -> l.probability() == 0);
    Scored right = DRILL.score(worn, "usual", "very-good", 0.99);
    assertThat(right.right()).isEqualTo(1);
    assertThat(right.own()).isLessThan(0.001);
    Scored off = DRILL.score(worn, "usual", "excellent", 0.99);
    assertThat(off.right()).isZero();
    assertThat(off.was()).isEqualTo("very-good");
    assertThat(off.own()).isBetween(0.9, 1.0);
    assertThat(off.models()).isLessThan(off.own());
    assertThat(DRILL.agreed(worn)).extracting(GradingDrill.Agreed::level).contains("carry");
  }

  @Test
  void aGradeThatCannotBeIsToldByField() {
    assertThat(DRILL.problems(1, "usual", "mint", 0.8)).isEmpty();
    assertThat(DRILL.problems(0, "usual", "mint", 0.8)).hasSize(1);
    assertThat(DRILL.problems(DRILL.size() + 1, "usual", "mint", 0.8)).hasSize(1);
    assertThat(DRILL.problems(1, "nobody", "mint", 1))
        .extracting(Problem::field)
        .containsExactly("school", "sure");
    assertThat(DRILL.problems(1, "pocket", "mint", 0.8))
        .extracting(Problem::field)
        .containsExactly("level");
  }
}
