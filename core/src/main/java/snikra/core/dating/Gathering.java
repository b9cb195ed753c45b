package snikra.core.dating;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Bound;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.clue.Firmness;
import snikra.core.code.AssayOffice;
import snikra.core.code.NumberTable;
import snikra.core.code.SeenHallmark;
import snikra.core.code.SeenNumber;
import snikra.core.dating.Evidence.Statement;
import snikra.core.mark.MarkEvidence;
import snikra.core.pattern.Pattern;
import snikra.core.pattern.PatternVerdict;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.StoryEvent;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Face;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Sought;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Sureness;
import snikra.core.trait.Traits;
import snikra.core.wording.Wording;

/** Takes from a knife as found all that speaks of its origin. */
public final class Gathering {
  /** Id of the pattern among the clues. */
  public static final String PATTERN = "pattern";

  private static final String FRAME = "frame";

  private final Specimen knife;
  private final ReferenceShelf shelf;

  private Gathering(Specimen knife, ReferenceShelf shelf) {
    this.knife = knife;
    this.shelf = shelf;
  }

  /** All of it, with what the marks say and what the pattern may be. */
  public static Evidence of(
      Specimen knife, MarkEvidence marks, PatternVerdict pattern, ReferenceShelf shelf) {
    return new Gathering(knife, shelf).evidence(marks, pattern);
  }

  private Evidence evidence(MarkEvidence marks, PatternVerdict pattern) {
    Map<String, Seen<String>> seen = new TreeMap<>(knife.seen());
    if (!knife.blades().isEmpty()) {
      seen.putAll(knife.blades().get(0).seen());
    }
    for (MarkEvidence.WordFound w : marks.words()) {
      Sureness sureness =
          w.probability() > shelf.judgement().of("mark.word-is-sure")
              ? Sureness.SURE
              : Sureness.LIKELY;
      seen.putIfAbsent(w.feature(), new Seen<>(w.clue(), sureness));
    }
    List<Evidence.Observed> observed = new ArrayList<>();
    for (Feature feature : shelf.clues().features()) {
      Seen<String> s = seen.get(feature.id());
      Optional<Clue> clue = s == null ? Optional.empty() : feature.clue("" + s.value());
      clue.ifPresent(c -> observed.add(observed(feature, c, s)));
    }
    pattern(pattern).ifPresent(observed::add);
    List<Statement> statements = new ArrayList<>(told());
    hallmarks(statements);
    registered(statements);
    return new Evidence(
        marks,
        observed,
        statements,
        knife.number(),
        knife.codes(),
        found(knife),
        shown(),
        facesLeft(),
        Stream.concat(
                seen.entrySet().stream()
                    .filter(e -> e.getValue().value() == null)
                    .map(Map.Entry::getKey),
                knife.notFound().stream().map(Sought::toString))
            .collect(Collectors.toSet()));
  }

  private static Evidence.Observed observed(Feature feature, Clue clue, Seen<String> seen) {
    if (seen.or() == null) {
      return new Evidence.Observed(feature, clue, seen.sureness());
    }
    List<Evidence.Answer> either = new ArrayList<>();
    for (Clue c : feature.clues()) {
      Double share = seen.shares().get(c.id());
      if (share != null) {
        either.add(new Evidence.Answer(c, share));
      }
    }
    either.sort(Comparator.comparingDouble(a -> -a.share()));
    return new Evidence.Observed(feature, either(clue, either), seen.sureness(), List.of(), either);
  }

  // One of several: each of their bounds holds only where it is the one.
  private static Clue either(Clue clue, List<Evidence.Answer> either) {
    String label =
        either.stream()
            .map(a -> Wording.lowerFirst(a.clue().label()))
            .collect(Collectors.joining(" or "));
    return new Clue(
        clue.id(),
        Wording.upperFirst(label),
        clue.lookFor(),
        clue.test(),
        clue.drawnAs(),
        clue.opens(),
        clue.base(),
        null,
        null,
        either.stream().anyMatch(a -> a.clue().isCopied()),
        List.of(),
        Map.of(),
        List.of(),
        either.stream().map(a -> a.clue().why()).collect(Collectors.joining(" Or: ")),
        clue.source());
  }

  // The pattern is seen by what it is made of, and may be one of several.
  private Optional<Evidence.Observed> pattern(PatternVerdict verdict) {
    List<Evidence.Share> shares = new ArrayList<>();
    for (PatternVerdict.Name name : verdict.names()) {
      shelf
          .patterns()
          .pattern(name.pattern())
          .filter(p -> name.probability() > 0 && (p.era() != null || !p.regions().isEmpty()))
          .ifPresent(p -> shares.add(new Evidence.Share(p, name.probability())));
    }
    if (shares.stream().mapToDouble(Evidence.Share::share).sum()
        < shelf.judgement().of("pattern.known")) {
      return Optional.empty();
    }
    Pattern lead = shares.get(0).pattern();
    Pattern.Era era = lead.era();
    Clue clue =
        new Clue(
            lead.id(),
            verdict.title(),
            "",
            1,
            era == null ? null : new Bound(era.from(), era.common() - era.from(), Firmness.SOFT),
            era == null || era.to() == null ? null : new Bound(era.to(), 0, Firmness.SOFT),
            true,
            List.of(),
            lead.regions(),
            List.of(),
            "Patterns have their day and their countries; both softly, for patterns are revived.",
            "pattern book");
    Feature feature =
        new Feature(PATTERN, "pattern", FRAME, "Pattern", false, false, List.of(clue));
    return Optional.of(new Evidence.Observed(feature, clue, Sureness.SURE, shares, List.of()));
  }

  /** What a number may speak of: features by their answers, and the traits of the first look. */
  public static Map<String, String> found(Specimen knife) {
    Map<String, String> found = new HashMap<>();
    if (!knife.blades().isEmpty()) {
      found.put(Traits.BLADES, Integer.toString(knife.blades().size()));
    }
    for (Specimen.Answered answer : knife.answers()) {
      // What may be one of several neither fits nor breaks a number.
      if (answer.seen().value() == null || answer.seen().or() != null) {
        continue;
      }
      if (answer.blade() == 0) {
        found.put(answer.of(), answer.written().value());
      } else if (Traits.isType(answer)) {
        found.put(Traits.BLADE + answer.blade(), answer.written().value());
      }
    }
    return found;
  }

  private Shown shown() {
    return new Shown(
        Traits.all(knife, shelf.patterns()),
        knife.closedLength() == null ? null : knife.closedLength().mm());
  }

  // The main tang first: makers struck there before anywhere else.
  private List<Evidence.FaceLeft> facesLeft() {
    double elsewhere = shelf.judgement().of("mark.other-face-tells");
    List<Evidence.FaceLeft> left = new ArrayList<>();
    if (notLooked(1, Face.MARK)) {
      left.add(
          new Evidence.FaceLeft(
              "the mark side of the main tang", shelf.judgement().of("mark.main-tang-tells")));
    }
    if (notLooked(1, Face.PILE)) {
      left.add(new Evidence.FaceLeft("the pile side of the main tang", elsewhere));
    }
    for (int blade = 2; blade <= knife.blades().size(); blade++) {
      if (notLooked(blade, Face.MARK)) {
        left.add(new Evidence.FaceLeft("the tang of blade " + blade, elsewhere));
      }
    }
    return left;
  }

  private boolean notLooked(int blade, Face face) {
    return knife.marks().stream().noneMatch(m -> m.blade() == blade && m.face() == face);
  }

  /** What one witness says, with the places of the events it is told in. */
  private record Witness(Statement said, List<Integer> events) {}

  /**
   * In which statement each event of a knife's story is told: what one witness tells stands or
   * falls together.
   *
   * @return by event the id of the statement, null where it says nothing the knife could speak of
   */
  public static List<@Nullable String> toldIn(Specimen knife, ReferenceShelf shelf) {
    @Nullable String[] in = new String[knife.story().size()];
    for (Witness w : new Gathering(knife, shelf).witnesses()) {
      w.events.forEach(e -> in[e] = w.said.id());
    }
    return Arrays.asList(in);
  }

  private List<Statement> told() {
    return witnesses().stream().map(Witness::said).toList();
  }

  // Sources that disagree all stay in, each with the weight of its word. Who tells a thing again is
  // no second witness, and many mouths of one rumour are one.
  private List<Witness> witnesses() {
    Map<String, List<Witness>> byTeller = new LinkedHashMap<>();
    for (int i = 0; i < knife.story().size(); i++) {
      StoryEvent e = knife.story().get(i);
      Statement said = statement("story-" + (i + 1), e);
      if (said != null) {
        byTeller
            .computeIfAbsent(teller(e, i), t -> new ArrayList<>())
            .add(new Witness(said, List.of(i)));
      }
    }
    List<Witness> out = new ArrayList<>();
    for (List<Witness> ofOne : byTeller.values()) {
      Witness together = ofOne.get(0);
      for (Witness more : ofOne.subList(1, ofOne.size())) {
        Statement both = together.said.and(more.said).orElse(null);
        if (both == null) {
          out.add(more);
        } else {
          List<Integer> events = new ArrayList<>(together.events);
          events.addAll(more.events);
          together = new Witness(both, events);
        }
      }
      out.add(together);
    }
    return out;
  }

  private static String teller(StoryEvent e, int place) {
    if (e.teller() != null) {
      return "told by " + e.teller().strip().toLowerCase(java.util.Locale.ROOT);
    }
    return e.source().isPassedOn()
        ? e.source().toString()
        : e.source() + " " + (e.date() == null ? place : e.date().written()) + " " + e.kind();
  }

  private @Nullable Statement statement(String id, StoryEvent e) {
    EdtfDate date = e.date();
    if (date == null && e.region() == null && e.maker() == null) {
      return null;
    }
    boolean dated = e.kind() == StoryEvent.Kind.DATED;
    List<Statement.Design> designs = designs(e);
    if (date != null && e.shows() != null) {
      return designs.isEmpty() ? null : shown(id, e, date, designs);
    }
    List<String> claims = new ArrayList<>();
    if (date != null) {
      claims.add((dated ? "of " : "") + date.written());
    }
    if (e.maker() != null) {
      claims.add("by " + shelf.maker(e.maker()).map(m -> m.name()).orElse(e.maker()));
    }
    if (e.region() != null) {
      claims.add("from " + shelf.region(e.region()).label());
    }
    String what = dated || date == null ? "Said to be" : Wording.upperFirst(e.kind().toString());
    return new Statement(
        id,
        "story",
        "Story",
        what + " " + String.join(", ", claims),
        null,
        date == null ? null : date.latestYear(),
        dated && date != null
            ? IntStream.rangeClosed(date.earliestYear(), date.latestYear())
                .boxed()
                .collect(Collectors.toSet())
            : null,
        e.region() == null ? null : Set.of(e.region()),
        e.maker(),
        null,
        List.of(),
        shelf.judgement().of("story." + e.source()),
        "A story is as good as its source.");
  }

  // It tells of knives of this kind, not of this one: how they were made about then.
  private Statement shown(String id, StoryEvent e, EdtfDate date, List<Statement.Design> designs) {
    String what =
        e.shows().entrySet().stream()
            .sorted(Map.Entry.comparingByKey())
            .flatMap(s -> shelf.clues().feature(s.getKey()).stream())
            .map(f -> Wording.lowerFirst(f.label()) + ": " + answer(f, e.shows().get(f.id())))
            .collect(Collectors.joining(", "));
    return new Statement(
        id,
        "story",
        "Story",
        Wording.upperFirst(e.kind().toString()) + " " + date.written() + ", shown with " + what,
        null,
        null,
        null,
        e.region() == null ? null : Set.of(e.region()),
        e.maker(),
        null,
        designs,
        shelf.judgement().of("story." + e.source()),
        "What such a knife is shown with in a year was usual about then.");
  }

  private static String answer(Feature feature, String id) {
    return feature.clue(id).map(c -> Wording.lowerFirst(c.label())).orElse(id);
  }

  // What was not looked at on this knife, or may be one of several, is held against nothing.
  private List<Statement.Design> designs(StoryEvent e) {
    List<Statement.Design> out = new ArrayList<>();
    Map<String, String> shows = e.shows() == null ? Map.of() : e.shows();
    for (String feature : new TreeSet<>(shows.keySet())) {
      Seen<String> seen = knife.seen().get(feature);
      if (e.date() != null && Seen.valueOf(seen) != null && seen.or() == null) {
        int year = (e.date().earliestYear() + e.date().latestYear()) / 2;
        boolean isSame = shows.get(feature).equals(seen.value());
        out.add(new Statement.Design(year, isSame));
      }
    }
    return out;
  }

  private void hallmarks(List<Statement> out) {
    double word = shelf.judgement().of("statement.hallmark");
    int n = 1;
    for (SeenHallmark seen : knife.hallmarks()) {
      AssayOffice office = shelf.assayOffice(seen.office()).orElse(null);
      List<Integer> years = office == null ? List.of() : office.years(seen);
      if (!years.isEmpty()) {
        out.add(
            new Statement(
                "hallmark-" + n++,
                "number",
                "Silver",
                office.label() + ", letter " + seen.letter(),
                years.get(0),
                years.get(years.size() - 1) + 1,
                made(years),
                word,
                office.note()));
      }
    }
  }

  // The letter changed within the year, and the silver was worked up after it was tested.
  private static Set<Integer> made(List<Integer> assayed) {
    Set<Integer> years = new TreeSet<>();
    assayed.forEach(
        year -> {
          years.add(year);
          years.add(year + 1);
        });
    return years;
  }

  private void registered(List<Statement> out) {
    double word = shelf.judgement().of("statement.registered");
    int n = 1;
    for (SeenNumber seen : knife.registered()) {
      NumberTable table = shelf.numberTable(seen.table()).orElse(null);
      if (table != null) {
        String number = seen.number() == null ? "" : " " + seen.number();
        int from = seen.notBefore(table);
        boolean isTermed = seen.number() != null && table.term() != null;
        out.add(
            new Statement(
                "registered-" + n++,
                "number",
                "Number",
                table.label() + number,
                from,
                null,
                null,
                null,
                null,
                new Statement.Usual(table.region(), isTermed ? from + table.term() : null),
                List.of(),
                word,
                table.why()));
      }
    }
  }
}
