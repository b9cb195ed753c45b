package snikra.core.examination;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.care.CareBook;
import snikra.core.care.Pocket;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.condition.BoxBook;
import snikra.core.condition.BuildBook;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.GradeVerdict;
import snikra.core.condition.Looked;
import snikra.core.condition.MeasuredWear;
import snikra.core.condition.School;
import snikra.core.condition.SchoolVerdict;
import snikra.core.dating.DatingModel;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.Evidence;
import snikra.core.dating.Gathering;
import snikra.core.dating.Span;
import snikra.core.dating.State;
import snikra.core.examination.Verdict.Candidate;
import snikra.core.examination.Verdict.Finding;
import snikra.core.examination.Verdict.MarkVerdict;
import snikra.core.examination.Verdict.NumberVerdict;
import snikra.core.mark.Consensus;
import snikra.core.mark.MarkCandidate;
import snikra.core.mark.MarkEra;
import snikra.core.mark.MarkEvidence;
import snikra.core.mark.MarkReader;
import snikra.core.meanwhile.Meanwhile;
import snikra.core.measure.Measurement;
import snikra.core.number.DecodedNumber;
import snikra.core.pattern.PatternNamer;
import snikra.core.pattern.PatternVerdict;
import snikra.core.pattern.PatternVerdict.Standing;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkSlip;
import snikra.core.reference.ReferenceShelf;
import snikra.core.resemblance.Comparison;
import snikra.core.resemblance.Likeness;
import snikra.core.resemblance.Lookalike;
import snikra.core.search.Card;
import snikra.core.specimen.ComparableSale;
import snikra.core.specimen.LookReliability;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;
import snikra.core.value.Appraiser;
import snikra.core.value.KeptSale;
import snikra.core.value.MarketCheck;
import snikra.core.value.Rarity;
import snikra.core.value.TopPrice;
import snikra.core.value.ValueVerdict;
import snikra.core.wording.Wording;

/** Examines knives against one shelf. Immutable; safe for many threads. */
public final class Examiner {
  /** Stands for all marks together where clues are left out. */
  public static final String MARK = "mark";

  static final double NAMED_FROM = 0.5;

  /** Standard deviations of a bell between which nine in ten lie. */
  private static final double NINE_TENTHS = 3.29;

  private static final String HANDLE = "handle_material";
  private static final String HANDLE_PART = "handle";

  private final ReferenceShelf shelf;
  private final int thisYear;
  private final PatternNamer namer;
  private final MarkReader reader;
  private final DatingModel dating;
  private final Appraiser appraiser;
  private final Likeness likeness;
  private final Stations stations;
  private final Cards cards;
  private final List<KeptSale> sales;

  /** An examiner with this shelf at hand, in this year. */
  public Examiner(ReferenceShelf shelf, int thisYear) {
    this(shelf, thisYear, new DatingModel(shelf, thisYear), List.of());
  }

  private Examiner(ReferenceShelf shelf, int thisYear, DatingModel dating, List<KeptSale> sales) {
    this.sales = List.copyOf(sales);
    this.shelf = shelf;
    this.thisYear = thisYear;
    this.namer = new PatternNamer(shelf.patterns(), shelf.judgement());
    this.reader = new MarkReader(shelf);
    this.dating = dating;
    this.likeness = new Likeness(shelf);
    this.appraiser = new Appraiser(shelf, thisYear);
    this.stations = new Stations(shelf);
    this.cards = new Cards(shelf);
  }

  /** The shelf this examiner works from. */
  public ReferenceShelf shelf() {
    return shelf;
  }

  /** No knife is younger. */
  public int thisYear() {
    return thisYear;
  }

  /** What a drawing of this knife needs. */
  public Sketch sketch(Specimen knife) {
    return Sketch.of(knife, shelf);
  }

  /** An examiner with another shelf, in the same year. */
  public Examiner with(ReferenceShelf other) {
    return new Examiner(other, thisYear, dating.with(other, thisYear), sales);
  }

  /** An examiner that values by this sales book. */
  public Examiner with(List<KeptSale> book) {
    return new Examiner(shelf, thisYear, dating, book);
  }

  /** How well the sales of the book tell one another's prices. */
  public MarketCheck.Found trySales(int most) {
    return MarketCheck.leavingOneOut(
        appraiser, sales.stream().map(s -> s.sale().all()).toList(), most);
  }

  /** The mark on file that a knife most likely bears, where one is likelier than all else. */
  public Optional<MarkCandidate> leadingMark(Specimen knife) {
    return reader.read(knife.marks(), knife.seen()).candidates().stream()
        .findFirst()
        .filter(c -> c.probability() >= NAMED_FROM);
  }

  /** The whole verdict on a knife. */
  public Verdict examine(Specimen knife) {
    return examine(knife, Set.of());
  }

  /**
   * The verdict as it would be without some of the clues.
   *
   * @param without ids of features, of statements and of sales, and {@link #MARK} for what the
   *     marks say
   */
  public Verdict examine(Specimen knife, Set<String> without) {
    Sketch sketch = sketch(knife);
    Looked said = Looked.at(knife, LookReliability.of(shelf.judgement()));
    List<MeasuredWear.Filled> measured = measured(said, sketch);
    Looked looked = MeasuredWear.with(said, measured);
    Meanwhile<GradeVerdict> graded = Meanwhile.of(() -> shelf.condition().grade(looked));
    PatternVerdict pattern = namer.name(knife);
    MarkEvidence marks =
        reader.read(without.contains(MARK) ? List.of() : knife.marks(), knife.seen());
    DatingVerdict dated = dating.date(evidence(knife, marks, pattern).without(without));
    NumberVerdict number = Numbers.read(knife, Gathering.found(knife), dated, shelf).orElse(null);
    List<Finding> findings = new ArrayList<>(findings(pattern, number, dated));
    findings.addAll(opening(knife));
    measured.forEach(
        f ->
            findings.add(
                Findings.of(
                    "condition",
                    "wear-measured",
                    false,
                    f.blade(),
                    Wording.lowerFirst(f.finding().label()),
                    f.probability())));
    shelf
        .patterns()
        .layout(knife, leadingPatterns(pattern), shelf.judgement().of("name.full-length"))
        .ifPresent(
            l ->
                findings.add(
                    Findings.of("action", "acts-as-built", false, l.explain(), l.action())));
    Optional<MainBlade> main = MainBlade.of(knife, leadingPattern(pattern), shelf);
    findings.addAll(Questions.of(knife, sketch, main, shelf, thisYear));
    OriginalityJudge originality = new OriginalityJudge(shelf, knife, dated, number, main);
    List<Originality.Finding> done = originality.findings();
    Meanwhile<List<SchoolVerdict>> schools =
        Meanwhile.of(() -> shelf.condition().judge(looked.with(originality.doubts(done))));
    BoxBook.Boxed box = boxed(knife);
    ValueVerdict value =
        value(knife, pattern, dated, number, looked, () -> done, box, sales(knife, without));
    findings.addAll(met(value.met()));
    GradeVerdict grade = graded.value();
    return new Verdict(
        pattern,
        markVerdict(marks),
        number,
        Codes.read(knife, dated, shelf),
        Codes.registered(knife, shelf),
        Codes.hallmarks(knife, shelf),
        dated,
        grade,
        value,
        originality.judge(done, grade, value.asItIs()),
        schools.value(),
        built(knife, dated),
        box,
        shelf.care().advise(knife),
        findings,
        sketch,
        stations.progress(knife, pattern, dated, grade, findings));
  }

  /** What schools make of a knife, of the book or not: for going over many knives. */
  public List<SchoolVerdict> graded(Specimen knife, List<School> by) {
    PatternVerdict pattern = namer.name(knife);
    DatingVerdict dated = dating.dateBriefly(evidence(knife, pattern));
    NumberVerdict number = Numbers.read(knife, Gathering.found(knife), dated, shelf).orElse(null);
    Optional<MainBlade> main = MainBlade.of(knife, leadingPattern(pattern), shelf);
    OriginalityJudge originality = new OriginalityJudge(shelf, knife, dated, number, main);
    Looked looked = looked(knife).with(originality.doubts(originality.findings()));
    return by.stream().map(school -> shelf.condition().judge(school, looked)).toList();
  }

  private Looked looked(Specimen knife) {
    Looked said = Looked.at(knife, LookReliability.of(shelf.judgement()));
    return MeasuredWear.with(said, measured(said, sketch(knife)));
  }

  private BuildBook.@Nullable Built built(Specimen knife) {
    BuildBook build = shelf.condition().build();
    return build == null
        ? null
        : build.judge(knife.seen(), LookReliability.of(shelf.judgement()), shelf.clues());
  }

  private BuildBook.@Nullable Built built(Specimen knife, DatingVerdict dated) {
    BuildBook.Built built = built(knife);
    return built == null
        ? null
        : shelf.condition().build().excuse(built, excuse -> holds(excuse, dated));
  }

  // How likely the knife is of the years an excuse needs.
  private double holds(BuildBook.Excuse excuse, DatingVerdict dated) {
    double of = 0;
    for (List<Integer> years : excuse.years()) {
      of += dated.between(years.get(0), years.get(1));
    }
    if (excuse.change() && !dated.makers().isEmpty()) {
      DatingVerdict.Attribution lead = dated.makers().get(0);
      of +=
          shelf.maker(lead.maker()).map(m -> lead.probability() * nearChange(m, dated)).orElse(0.0);
    }
    return of;
  }

  private double nearChange(Maker maker, DatingVerdict dated) {
    Span years = dated.nineTenths();
    int around = (int) shelf.judgement().of("state.years-around-change");
    return IntStream.rangeClosed(years.from(), years.to())
        .filter(year -> maker.isNearChange(year, around))
        .mapToDouble(y -> dated.between(y, y))
        .sum();
  }

  private List<MeasuredWear.Filled> measured(Looked looked, Sketch sketch) {
    return MeasuredWear.of(
        shelf.condition(), looked, sketch.blades().stream().map(Sketch.Blade::left).toList());
  }

  private BoxBook.@Nullable Boxed boxed(Specimen knife) {
    BoxBook box = shelf.condition().box();
    return box == null ? null : box.judge(knife, shelf.clues());
  }

  /** The story of a knife, held against the knife. */
  public StoryReading story(Specimen knife) {
    Evidence evidence = evidence(knife, namer.name(knife));
    return new StoryReader(knife, evidence, dating, shelf, thisYear).read();
  }

  /** What a knife is called by the strict school. */
  public String title(Specimen knife) {
    return namer.name(knife).title();
  }

  /**
   * What a slip would say that puts the mark of this knife on file, as far as the knife tells it;
   * none where no letters were read.
   */
  public Optional<MarkSlip> slip(Specimen knife) {
    PatternVerdict pattern = namer.name(knife);
    Examiner knowsNone = with(shelf.withMakers(List.of()));
    return Slips.of(
        knife,
        leadingMark(knife).flatMap(c -> shelf.maker(c.maker().id())).orElse(null),
        dating.dateBriefly(evidence(knife, pattern)),
        knowsNone.dateWithReasons(knife),
        (int) shelf.judgement().of("filing.give"));
  }

  /**
   * Slips that put on file what this knife shows of its maker and nobody wrote down yet; none where
   * it is not held to be of any one maker on file.
   */
  public List<FactSlips.FactOffered> facts(Specimen knife) {
    PatternVerdict pattern = namer.name(knife);
    DatingVerdict dated = dating.dateBriefly(evidence(knife, pattern));
    return dated.makers().stream()
        .limit(1)
        .filter(m -> m.probability() >= NAMED_FROM)
        .flatMap(m -> shelf.maker(m.maker()).stream())
        .flatMap(
            maker -> {
              int give = (int) shelf.judgement().of("filing.give");
              FactSlips slips = new FactSlips(knife, maker, dated, give);
              return Stream.concat(slips.fittings(shelf).stream(), slips.model(pattern).stream());
            })
        .toList();
  }

  /**
   * What knives of a maker show and nobody wrote down yet, what most of them show first: each with
   * its years by all else they show.
   *
   * @param knives held to be of this maker
   */
  public List<Witnessed> notOnFile(Maker maker, List<Specimen> knives) {
    DatingVerdict nothing = dating.dateBriefly(evidence(Specimen.unseen()));
    return new NotOnFile(shelf, maker, nothing, knife -> dating.yearsWithoutEach(evidence(knife)))
        .on(knives);
  }

  /**
   * A mark that these knives bear, out of all of them: its letters, and its years by all else they
   * show. No knife counts its own mark, none on file is heard, and a knife on which no line of it
   * fits counts nothing.
   *
   * @param knives each with a face that was read
   */
  public OneMark oneMark(List<Specimen> knives) {
    List<Consensus.Line> lines =
        new Consensus(shelf)
            .of(knives.stream().map(k -> Slips.main(k).orElseThrow().lines()).toList());
    List<Specimen> bearing =
        IntStream.range(0, knives.size())
            .filter(i -> OneMark.isOn(lines, i))
            .mapToObj(knives::get)
            .toList();
    Specimen first = bearing.isEmpty() ? knives.get(0) : bearing.get(0);
    MarkEra era = era(bearing);
    return new OneMark(lines, era, Slips.of(slip(first).orElseThrow(), lines, era));
  }

  // By all they show but their mark; none where nothing else was looked at.
  private @Nullable MarkEra era(List<Specimen> bearing) {
    Examiner knowsNone = with(shelf.withMakers(List.of()));
    DatingVerdict nothing = knowsNone.dating.dateBriefly(knowsNone.evidence(Specimen.unseen()));
    List<double[]> likely = new ArrayList<>();
    for (Specimen knife : bearing) {
      DatingVerdict dated = knowsNone.dating.dateWithReasons(knowsNone.evidence(knife));
      if (!dated.clues().isEmpty()) {
        likely.add(MarkEra.over(dated.curve(), nothing.curve()));
      }
    }
    return likely.isEmpty()
        ? null
        : MarkEra.of(nothing.firstYear(), likely, shelf.judgement().of("filing.era-years"));
  }

  /** Whether a face of it was read that may bear a mark. */
  public static boolean bearsAMark(Specimen knife) {
    return Slips.main(knife).isPresent();
  }

  private Evidence evidence(Specimen knife) {
    return evidence(knife, namer.name(knife));
  }

  /** Models on file the knife may be one of, by how much speaks for them, and other knives. */
  public List<Comparison.Total> lookalikes(Specimen knife, List<Lookalike> knives) {
    List<Lookalike> all = new ArrayList<>(likeness.models());
    all.addAll(knives);
    return likeness.ranked(knife, reader.read(knife.marks(), knife.seen()), all);
  }

  /** The knife beside lookalikes, tell by tell. */
  public Comparison compare(Specimen knife, List<Lookalike> lookalikes) {
    return likeness.compare(knife, reader.read(knife.marks(), knife.seen()), lookalikes);
  }

  /** Another knife on file as a lookalike. */
  public Lookalike onFile(String id, String label, Specimen knife) {
    return likeness.knife(id, label, knife);
  }

  /** What a drawing of a model needs, as its tells have it. */
  public Sketch sketch(Lookalike model) {
    return Sketch.of(model, shelf);
  }

  /** A knife of a pattern as it mostly looks. */
  public Lookalike ofPattern(String pattern) {
    return likeness.ofPattern(pattern);
  }

  /** All models on file, as they look. */
  public List<Lookalike> models() {
    return likeness.models();
  }

  /** A model on file by maker and number. */
  public Optional<Lookalike> model(String id) {
    return likeness.models().stream().filter(m -> m.id().equals(id)).findFirst();
  }

  /** When and by whom, without the reasons: for going over many knives. */
  public DatingVerdict date(Specimen knife) {
    return dating.dateBriefly(evidence(knife, namer.name(knife)));
  }

  /** When and by whom, with the reasons, but without what to look at next: for keeping. */
  public DatingVerdict dateWithReasons(Specimen knife) {
    return dating.dateWithReasons(evidence(knife, namer.name(knife)));
  }

  /** A knife in a few words, for lists of many knives. */
  public Summary summarise(Specimen knife) {
    return enter(0, knife).summary();
  }

  /** A knife as it is told in a catalogue and found in it. */
  public Entered enter(int number, Specimen knife) {
    PatternVerdict pattern = namer.name(knife);
    MarkEvidence marks = reader.read(knife.marks(), knife.seen());
    DatingVerdict dated = dating.dateForCatalogue(evidence(knife, marks, pattern));
    Looked looked = looked(knife);
    NumberVerdict mark = Numbers.read(knife, Gathering.found(knife), dated, shelf).orElse(null);
    BoxBook.Boxed box = boxed(knife);
    Optional<MainBlade> main = MainBlade.of(knife, leadingPattern(pattern), shelf);
    Supplier<List<Originality.Finding>> done =
        () -> new OriginalityJudge(shelf, knife, dated, mark, main).findings();
    Summary summary =
        summary(
            pattern,
            dated,
            mark,
            shelf.condition().grade(looked),
            value(knife, pattern, dated, mark, looked, done, box, sales(knife, Set.of())),
            box,
            shelf.care().reminders(knife),
            carried(knife, looked));
    return new Entered(
        summary, cards.of(number, knife, pattern, dated, markVerdict(marks).candidates(), summary));
  }

  /** The same out of the whole verdict on it, where that is at hand. */
  public Entered enter(int number, Specimen knife, Verdict verdict) {
    Summary summary =
        summary(
            verdict.pattern(),
            verdict.dating(),
            verdict.number(),
            verdict.grade(),
            verdict.value(),
            verdict.box(),
            shelf.care().reminders(knife),
            carried(knife, looked(knife)));
    return new Entered(
        summary,
        cards.of(
            number,
            knife,
            verdict.pattern(),
            verdict.dating(),
            verdict.mark().candidates(),
            summary));
  }

  /**
   * A knife in a catalogue.
   *
   * @param card by which it is found
   */
  public record Entered(Summary summary, Card card) {}

  private Summary summary(
      PatternVerdict pattern,
      DatingVerdict dated,
      @Nullable NumberVerdict number,
      GradeVerdict grade,
      ValueVerdict value,
      BoxBook.@Nullable Boxed box,
      List<CareBook.Told> reminders,
      @Nullable Carried carried) {
    boolean conflict = findings(pattern, number, dated).stream().anyMatch(Finding::conflict);
    String maker =
        dated.makers().stream()
            .filter(m -> m.maker() != null && m.probability() >= NAMED_FROM)
            .map(DatingVerdict.Attribution::label)
            .findFirst()
            .orElse(null);
    return new Summary(
        pattern.title(),
        pattern.tradeTitle(),
        maker,
        dated.explanations().isEmpty() ? null : dated.nineTenths(),
        conflict,
        grade,
        value.asItIs() == null ? null : value.asItIs().low(),
        value.asItIs() == null ? null : value.asItIs().middle(),
        value.asItIs() == null ? null : value.asItIs().high(),
        value.currency(),
        value.counted(),
        box == null ? null : box.label(),
        reminders,
        carried);
  }

  // Worked out for those that ever were in a pocket, which are few.
  private @Nullable Carried carried(Specimen knife, Looked looked) {
    CareBook.Carrying carrying = shelf.care().carrying();
    Pocket pocket = carrying == null ? null : shelf.care().pocket(knife).orElse(null);
    if (carrying == null || pocket == null) {
      return null;
    }
    List<Measurement> weighed = knife.measured().getOrDefault(carrying.weight(), List.of());
    ConditionBook condition = shelf.condition();
    return new Carried(
        pocket,
        weighed.isEmpty()
            ? null
            : Measurement.Mean.of(weighed.stream().map(Measurement::value).toList()).mean(),
        condition
            .point(carrying.wear())
            .flatMap(looked::found)
            .map(ConditionBook.Finding::label)
            .orElse(null),
        condition
            .school(carrying.school())
            .map(school -> condition.judge(school, looked).likely())
            .map(SchoolVerdict.Stand::label)
            .orElse(null));
  }

  /**
   * A knife that is carried, or was.
   *
   * @param grams its weight; null where it was not weighed
   * @param wear of its main blade; null where nobody looked
   * @param fit whether one would carry it; null where nothing was looked at
   */
  public record Carried(
      Pocket pocket, @Nullable Double grams, @Nullable String wear, @Nullable String fit) {}

  /**
   * A knife in a few words.
   *
   * @param title by the strict school
   * @param tradeTitle by today's trade
   * @param maker the leading maker where it leads clearly
   * @param span null where nothing that dates it was looked at
   * @param low of like sales, as it is, a quarter are lower
   * @param middle as likely below as above
   * @param high a quarter are higher
   * @param counted sales that count
   * @param box what came with it; null where nobody looked
   * @param reminders what must be seen to again, the first first
   * @param carried null where it never was
   */
  public record Summary(
      String title,
      String tradeTitle,
      @Nullable String maker,
      @Nullable Span span,
      boolean conflict,
      GradeVerdict grade,
      @Nullable BigDecimal low,
      @Nullable BigDecimal middle,
      @Nullable BigDecimal high,
      @Nullable String currency,
      int counted,
      @Nullable String box,
      List<CareBook.Told> reminders,
      @Nullable Carried carried) {}

  private ValueVerdict value(
      Specimen knife,
      PatternVerdict pattern,
      DatingVerdict dated,
      @Nullable NumberVerdict number,
      Looked looked,
      Supplier<List<Originality.Finding>> done,
      BoxBook.@Nullable Boxed box,
      Weighable by) {
    boolean isDated = !dated.explanations().isEmpty();
    Set<String> handles = handles(knife, dated, number);
    BuildBook.Built built = built(knife);
    return appraiser.appraise(
        new Appraiser.Subject(
            dated.makers().stream()
                .filter(m -> m.maker() != null && isDated)
                .collect(
                    Collectors.toMap(
                        DatingVerdict.Attribution::maker,
                        DatingVerdict.Attribution::probability,
                        Double::sum)),
            pattern.names().stream()
                .collect(
                    Collectors.toMap(
                        PatternVerdict.Name::pattern,
                        PatternVerdict.Name::probability,
                        Double::sum)),
            shelf.condition().chances(looked),
            handles.stream().collect(Collectors.toMap(h -> h, h -> 1.0 / handles.size())),
            isDated ? (double) dated.median() : null,
            isDated ? spread(dated.nineTenths()) : 0,
            knife.closedLength() == null ? null : Math.log(knife.closedLength().mm()),
            box == null ? null : box.id(),
            built == null ? null : built.id(),
            shelf.condition().texts() == null
                ? null
                : found(knife, shelf.condition().texts().feature()),
            knife.number(),
            done.get().stream()
                .map(f -> new Appraiser.Altered(f.probability(), f.worth()))
                .toList()),
        by.own(),
        by.book());
  }

  /** Sales a knife is valued by: those that stand with it, and those of the book. */
  private record Weighable(List<ComparableSale> own, List<KeptSale> book) {}

  // Those that stand with the knife are left out by their place.
  private Weighable sales(Specimen knife, Set<String> without) {
    List<ComparableSale> own = knife.comparables();
    return without.isEmpty()
        ? new Weighable(own, sales)
        : new Weighable(
            IntStream.range(0, own.size())
                .filter(i -> !without.contains(Appraiser.ownSale(i)))
                .mapToObj(own::get)
                .toList(),
            sales.stream().filter(s -> !without.contains(s.id())).toList());
  }

  /** The most to pay for a knife that has this verdict, and what to ask for it. */
  public @Nullable TopPrice topPrice(Verdict verdict, TopPrice.Plan plan) {
    return appraiser.topPrice(verdict.value(), plan);
  }

  // Of years nine in ten of which lie within.
  private static double spread(Span years) {
    return (years.to() - years.from()) / NINE_TENTHS;
  }

  private static List<Finding> met(Rarity.@Nullable Met met) {
    if (met == null) {
      return List.of();
    }
    List<Finding> told = new ArrayList<>();
    told.add(
        met.from() == null || met.to() == null
            ? Findings.of("value", "met", false, met.oneIn())
            : Findings.of(
                "value",
                met.number() == null ? "met-run" : "met-model",
                false,
                met.oneIn(),
                met.from(),
                met.to()));
    if (met.of() > 0) {
      told.add(Findings.of("value", "met-sales", false, met.sales(), met.of()));
    }
    return told;
  }

  // Where it does not open in the usual way, how to do it without harm.
  private List<Finding> opening(Specimen knife) {
    List<Finding> out = new ArrayList<>();
    for (Feature feature : shelf.clues().features()) {
      String seen = found(knife, feature.id());
      feature
          .clue("" + seen)
          .map(Clue::opens)
          .ifPresent(how -> out.add(Findings.of(feature.station(), "how-it-opens", false, how)));
    }
    return out;
  }

  // A handle put on later is no other handle of the same model, but a fault: what counts is the one
  // it left the works with, as far as its number tells that.
  private static Set<String> handles(
      Specimen knife, DatingVerdict dated, @Nullable NumberVerdict number) {
    boolean replaced =
        dated.states().stream()
            .anyMatch(
                s ->
                    s.state().kind() == State.Kind.PART_REPLACED
                        && HANDLE_PART.equals(s.state().part())
                        && s.probability() >= NAMED_FROM);
    if (!replaced) {
      String handle = found(knife, HANDLE);
      return handle == null ? Set.of() : Set.of(handle);
    }
    return number == null || number.decoded() == null
        ? Set.of()
        : number.decoded().fields().stream()
            .filter(f -> f.meaning().equals(HANDLE))
            .flatMap(f -> f.values().stream())
            .collect(Collectors.toSet());
  }

  private Evidence evidence(Specimen knife, MarkEvidence marks, PatternVerdict pattern) {
    return Gathering.of(knife, marks, pattern, shelf);
  }

  private Evidence evidence(Specimen knife, PatternVerdict pattern) {
    return evidence(knife, reader.read(knife.marks(), knife.seen()), pattern);
  }

  private static @Nullable String found(Specimen knife, String feature) {
    return Seen.valueOf(knife.seen().get(feature));
  }

  private static @Nullable String leadingPattern(PatternVerdict pattern) {
    return pattern.names().stream()
        .filter(n -> n.probability() >= NAMED_FROM)
        .map(PatternVerdict.Name::pattern)
        .findFirst()
        .orElse(null);
  }

  private static Set<String> leadingPatterns(PatternVerdict pattern) {
    String leading = leadingPattern(pattern);
    return leading == null ? Set.of() : Set.of(leading);
  }

  private static MarkVerdict markVerdict(MarkEvidence marks) {
    return new MarkVerdict(
        marks.anyRead(),
        marks.candidates().stream().map(Examiner::candidate).toList(),
        marks.rival(),
        marks.unlisted());
  }

  private static Candidate candidate(MarkCandidate c) {
    return new Candidate(
        c.maker().id(),
        c.maker().name(),
        c.variant().id(),
        c.probability(),
        c.variant().from(),
        c.variant().to(),
        c.letters(),
        c.agreeing(),
        c.variant().layout(),
        c.lines());
  }

  private static List<Finding> findings(
      PatternVerdict pattern, @Nullable NumberVerdict number, DatingVerdict dated) {
    List<Finding> findings = new ArrayList<>();
    for (DatingVerdict.Conflict c : dated.conflicts()) {
      // It stands wherever one of the two was entered.
      Set<String> stations = new LinkedHashSet<>();
      stations.add(stationOf(dated, c.feature()));
      stations.add(stationOf(dated, c.rival()));
      for (String station : stations) {
        findings.add(
            c.gap() > 0
                ? Findings.of(
                    station, "conflict-years-apart", true, c.label(), c.rivalLabel(), c.gap())
                : Findings.of(station, "conflict", true, c.label(), c.rivalLabel()));
      }
    }
    if (number != null && number.decoded() != null) {
      for (DecodedNumber.Field f : number.decoded().fields()) {
        if (f.holds() == DecodedNumber.Holds.CONTRADICTS) {
          findings.add(
              Findings.of("number", "number-contradicts", true, f.label(), f.struck(), f.says()));
        }
      }
    }
    if (pattern.names().size() > 1 && pattern.names().get(0).probability() >= NAMED_FROM) {
      PatternVerdict.Name lookalike = pattern.names().get(pattern.names().size() - 1);
      if (lookalike.requirements().stream().anyMatch(r -> r.standing() == Standing.MISSED)) {
        findings.add(Findings.of("pattern", "not-the-lookalike", false, lookalike.because()));
      }
    }
    return findings;
  }

  private static String stationOf(DatingVerdict dated, String feature) {
    return dated.clues().stream()
        .filter(c -> c.feature().equals(feature))
        .map(DatingVerdict.ClueInfluence::station)
        .findFirst()
        .orElse("marks");
  }
}
