package snikra.core.examination;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.dating.DatingModel;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.DatingVerdict.StateProbability;
import snikra.core.dating.Evidence;
import snikra.core.dating.Gathering;
import snikra.core.dating.Span;
import snikra.core.dating.State;
import snikra.core.dating.StoryTruth;
import snikra.core.examination.StoryReading.Reconciling;
import snikra.core.examination.StoryReading.StoryLink;
import snikra.core.examination.StoryReading.Vaguely;
import snikra.core.examination.Verdict.Finding;
import snikra.core.judgement.Judgement;
import snikra.core.provenance.Chain;
import snikra.core.provenance.DateWords;
import snikra.core.provenance.StoryEvent;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;
import snikra.core.wording.Wording;

/** Holds the story of a knife against the knife. */
final class StoryReader {
  private static final String STATION = "story";

  /** The axis begins and ends with whole decades. */
  private static final int DECADE = 10;

  /** Ways under this are not worth a line. */
  private final Specimen knife;

  private final Judgement judgement;
  private final int thisYear;
  private final @Nullable Span made;
  private final List<@Nullable String> toldIn;
  private final Map<String, StoryTruth> truths;

  StoryReader(
      Specimen knife, Evidence evidence, DatingModel dating, ReferenceShelf shelf, int thisYear) {
    this.knife = knife;
    this.judgement = shelf.judgement();
    this.thisYear = thisYear;
    this.toldIn = Gathering.toldIn(knife, shelf);
    Set<String> said =
        toldIn.stream().filter(Objects::nonNull).collect(Collectors.toCollection(HashSet::new));
    this.made = years(dating.dateBriefly(evidence.without(said)));
    this.truths =
        dating.truths(evidence, said).stream()
            .collect(Collectors.toMap(StoryTruth::statement, Function.identity()));
  }

  // What is told of it is held against this, and has no part in it.
  private static @Nullable Span years(DatingVerdict unheard) {
    return unheard.explanations().isEmpty() ? null : unheard.nineTenths();
  }

  StoryReading read() {
    Chain chain =
        Chain.of(
            knife.story(),
            made == null ? null : new Chain.Stretch(made.from(), made.to()),
            thisYear,
            (int) judgement.of("story.gap"));
    List<StoryLink> links = IntStream.range(0, knife.story().size()).mapToObj(this::link).toList();
    int first =
        Stream.concat(
                chain.tenures().stream().map(Chain.Tenure::from),
                made == null ? Stream.empty() : Stream.of(made.from()))
            .mapToInt(Integer::intValue)
            .min()
            .orElse(thisYear);
    return new StoryReading(
        first / DECADE * DECADE,
        thisYear,
        made,
        links,
        chain,
        chain.tenures().stream().map(StoryReader::holder).toList(),
        chain.gaps().stream().map(StoryReader::told).toList(),
        questions());
  }

  private StoryLink link(int place) {
    StoryEvent e = knife.story().get(place);
    String in = toldIn.get(place);
    String when = e.date() == null ? null : DateWords.of(e.date());
    Integer from = e.date() == null || e.date().isOpenBefore() ? null : e.date().earliestYear();
    Integer to = e.date() == null ? null : Integer.valueOf(e.date().latestBy(thisYear));
    if (in == null) {
      double word = judgement.of("story." + e.source());
      return new StoryLink(
          when,
          from,
          to,
          word,
          word,
          false,
          List.of(),
          say("link-unheard", Wording.chance(word)),
          List.of(),
          vaguely(e),
          letters(e));
    }
    StoryTruth truth = Objects.requireNonNull(truths.get(in));
    List<Integer> with =
        IntStream.range(0, toldIn.size())
            .filter(i -> i != place && in.equals(toldIn.get(i)))
            .boxed()
            .toList();
    return new StoryLink(
        when,
        from,
        to,
        truth.alone(),
        truth.chance(),
        truth.doubted(),
        with,
        says(truth),
        ways(truth),
        vaguely(e),
        letters(e));
  }

  private @Nullable String letters(StoryEvent e) {
    List<String> bearers = e.letters() == null ? List.of() : Questions.bearers(e, knife.story());
    return bearers.isEmpty()
        ? null
        : say("letters-go-with", e.letters(), String.join(", ", bearers));
  }

  private static @Nullable Vaguely vaguely(StoryEvent e) {
    return e.keptVague().equals(e) ? null : new Vaguely(e.vaguePlace());
  }

  private String says(StoryTruth truth) {
    String chance = Wording.chance(truth.chance());
    String alone = Wording.chance(truth.alone());
    if (truth.doubted()) {
      return say("link-doubted", chance, alone, truth.knife().written());
    }
    double heard = decibans(truth.chance()) - decibans(truth.alone());
    if (Math.abs(heard) < judgement.of("story.telling")) {
      return say("link-neither", chance);
    }
    return say(heard > 0 ? "link-borne-out" : "link-weakened", chance, alone);
  }

  private static double decibans(double p) {
    return 10 * Math.log10(p / (1 - p));
  }

  private List<Reconciling> ways(StoryTruth truth) {
    List<Reconciling> ways = new ArrayList<>();
    if (truth.doubted()) {
      String untrue = say("way-untrue", Wording.chance(1 - truth.chance()), truth.thereBy());
      ways.add(new Reconciling(State.Kind.UNTRUE, null, 1 - truth.chance(), untrue));
      double rest = 1;
      double from = judgement.of("story.told");
      for (StateProbability s : truth.ifTrue()) {
        if (s.probability() >= from && s.state().kind() != State.Kind.ALL_ELSE) {
          rest -= s.probability();
          ways.add(new Reconciling(s.state().kind(), s.state().part(), s.probability(), ifSo(s)));
        }
      }
      if (rest >= from) {
        String all = say("way-all-else", Wording.chance(rest));
        ways.add(new Reconciling(State.Kind.ALL_ELSE, null, rest, all));
      }
    }
    return ways;
  }

  private static String ifSo(StateProbability s) {
    String chance = Wording.chance(s.probability());
    return s.state().kind() == State.Kind.AS_MADE
        ? say("way-as-made", chance)
        : say("way-state", chance, s.state().label());
  }

  private List<Finding> questions() {
    List<Finding> out = new ArrayList<>();
    Questions.story(knife, thisYear, out);
    return out;
  }

  private static String holder(Chain.Tenure tenure) {
    String said = Questions.holder(tenure);
    return tenure.holder() == null ? Wording.upperFirst(said) : said;
  }

  private static String told(Chain.Blank gap) {
    return say(gap.first() ? "gap-first" : "gap", gap.from(), gap.to());
  }

  private static String say(String code, Object... with) {
    return Wording.upperFirst(Findings.of(STATION, code, false, with).text());
  }
}
