package snikra.server.reference;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.code.CodeScheme;
import snikra.core.mark.PackReview;
import snikra.core.mark.PackReview.Remark;
import snikra.core.number.NumberGrammar;
import snikra.core.reference.Addition;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.reference.Region;
import snikra.core.reference.Source;
import snikra.core.reference.YearBar;
import snikra.formats.OwnFacts;
import snikra.formats.OwnPack;
import snikra.formats.OwnSchemes;
import snikra.formats.PackFormat.Pack;

/**
 * {@code GET /api/makers}: the makers on the shelf with their marks, codes and numbers, to read.
 */
@RestController
class MakersController {
  private final ReferenceDesk desk;

  MakersController(ReferenceDesk desk) {
    this.desk = desk;
  }

  /**
   * Packs with their makers.
   *
   * @param confusions by letter what a worn one is taken for, as marks are read just now
   * @param spellings sets of words taken for one another
   * @param own ids of the marks and codes one put on file oneself
   * @param ownNumbers ids of the makers whose numbers one put on file oneself
   * @param ownFacts what one put on file of what makers fitted and listed
   */
  record Makers(
      List<OnePack> packs,
      SortedMap<Character, String> confusions,
      List<List<String>> spellings,
      Set<String> own,
      Set<String> ownNumbers,
      List<OwnFacts.OwnFact> ownFacts) {}

  /**
   * A pack: where it is from and whom it tells of.
   *
   * @param shipped whether it comes with the application
   * @param on whether knives are held against it
   * @param readable whether it still can be read
   * @param remarks what is odd about it
   * @param added how many marks and other facts it has for makers of other packs
   */
  record OnePack(
      String id,
      String title,
      String note,
      boolean shipped,
      boolean on,
      boolean readable,
      List<Remark> remarks,
      List<Source> sources,
      List<OneMaker> makers,
      int added) {}

  /**
   * A maker.
   *
   * @param region in words
   * @param from first year of a mark
   * @param to last year of a mark
   * @param bars all that goes with years
   * @param unmarked years between its first mark and its last of which none is on file
   */
  record OneMaker(
      String id,
      String name,
      String region,
      String place,
      String note,
      int from,
      int to,
      List<Integer> changes,
      List<MarkVariant> marks,
      @Nullable NumberGrammar numbers,
      List<OneScheme> codes,
      History history,
      List<TimeBar> bars,
      List<History.Years> unmarked) {}

  /**
   * What goes with years, on the time line of its maker.
   *
   * @param mark id of a mark one put on file oneself; null for all else
   * @param fact key of another fact one put on file oneself; null for all else
   */
  record TimeBar(YearBar bar, @Nullable String mark, @Nullable String fact) {}

  /** A way of dating and what it struck in each year. */
  record OneScheme(CodeScheme scheme, List<YearCodes> years) {}

  /** The codes of one year. */
  record YearCodes(int year, List<String> codes) {}

  /** All makers on file, by the packs that tell of them. */
  @GetMapping("/api/makers")
  Makers makers() {
    ReferenceShelf shelf = desk.examiner().shelf();
    Set<String> own = new HashSet<>(OwnPack.own(desk.own()));
    own.addAll(OwnSchemes.codes(desk.own()));
    return new Makers(
        desk.packs().stream().map(this::pack).toList(),
        new TreeMap<>(shelf.confusions()),
        shelf.spellings(),
        own,
        OwnSchemes.numbered(desk.own()),
        OwnFacts.facts(desk.own(), shelf));
  }

  private OnePack pack(ReferenceDesk.Held held) {
    Pack pack = held.pack();
    List<OneMaker> makers = new ArrayList<>();
    if (pack == null) {
      String why = "It was written for another version of Snikra and cannot be read any more.";
      return new OnePack(
          held.id(), held.id(), why, false, false, false, List.of(), List.of(), makers, 0);
    }
    List<Addition> additions = additions();
    for (Maker m : snikra.core.reference.Makers.with(pack.makers(), additions)) {
      String region =
          desk.examiner().shelf().regions().stream()
              .filter(r -> r.id().equals(m.region()))
              .map(Region::label)
              .findFirst()
              .orElse(m.region());
      makers.add(
          new OneMaker(
              m.id(),
              m.name(),
              region,
              m.place(),
              m.note(),
              m.marks().stream().mapToInt(MarkVariant::from).min().orElseThrow(),
              m.marks().stream().mapToInt(MarkVariant::to).max().orElseThrow(),
              m.changes(),
              m.marks(),
              m.numbers(),
              m.codes().stream().map(MakersController::scheme).toList(),
              m.history(),
              bars(m),
              PackReview.unmarked(m)));
    }
    return new OnePack(
        pack.id(),
        pack.title(),
        pack.note(),
        held.shipped(),
        held.on(),
        true,
        held.remarks(),
        Stream.concat(pack.sources().stream(), others(pack)).toList(),
        makers,
        pack.additions().stream().mapToInt(MakersController::told).sum());
  }

  private List<TimeBar> bars(Maker maker) {
    Set<String> ownMarks = OwnPack.own(desk.own());
    ReferenceShelf shelf = desk.examiner().shelf();
    Map<YearBar, String> ownFacts = new HashMap<>();
    for (OwnFacts.OwnFact fact : OwnFacts.facts(desk.own(), shelf)) {
      if (fact.maker().equals(maker.id())) {
        ownFacts.put(fact.bar(), fact.key());
      }
    }
    Map<YearBar, String> marks = new HashMap<>();
    maker.marks().stream()
        .filter(m -> ownMarks.contains(m.id()))
        .forEach(m -> marks.put(YearBar.of(m), m.id()));
    return YearBar.of(maker, shelf.clues())
        .map(bar -> new TimeBar(bar, marks.get(bar), ownFacts.get(bar)))
        .toList();
  }

  private static int told(Addition added) {
    History more = added.history();
    return added.marks().size()
        + added.codes().size()
        + (added.numbers() == null ? 0 : 1)
        + more.allFittings().size()
        + more.models().size()
        + more.owners().size()
        + more.contracts().size();
  }

  private List<Addition> additions() {
    return inUse().flatMap(p -> p.additions().stream()).toList();
  }

  // What others add to its makers is known from sources of theirs.
  private Stream<Source> others(Pack pack) {
    return inUse()
        .filter(p -> !p.additions().isEmpty() && !p.id().equals(pack.id()))
        .flatMap(p -> p.sources().stream());
  }

  private Stream<Pack> inUse() {
    return desk.packs().stream().filter(ReferenceDesk.Held::on).map(ReferenceDesk.Held::pack);
  }

  private static OneScheme scheme(CodeScheme scheme) {
    return new OneScheme(
        scheme,
        IntStream.rangeClosed(scheme.from(), scheme.to())
            .mapToObj(y -> new YearCodes(y, scheme.codes(y)))
            .filter(s -> !s.codes().isEmpty())
            .toList());
  }
}
