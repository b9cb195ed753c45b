package snikra.core.examination;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import snikra.core.examination.Verdict.Finding;
import snikra.core.measure.Measurement;
import snikra.core.profile.BladeWear;
import snikra.core.provenance.Chain;
import snikra.core.provenance.CutLetters;
import snikra.core.provenance.DateWords;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.StoryEvent;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Specimen;
import snikra.core.wording.Wording;

/**
 * What of the measures is worth a second look: sizes no pattern has, readings outside what is
 * usual, and what is left of a blade. Nothing is refused; a slip of the pen is only named.
 */
final class Questions {
  /** A blade cannot be longer than its handle by more than the tang outside it. */
  private static final double LONGEST_BLADE = 1.0;

  private Questions() {}

  static List<Finding> of(
      Specimen knife, Sketch sketch, Optional<MainBlade> main, ReferenceShelf shelf, int thisYear) {
    List<Finding> out = new ArrayList<>();
    story(knife, thisYear, out);
    closedLength(knife, shelf, out);
    for (int b = 0; b < knife.blades().size(); b++) {
      blade(b, knife, sketch, out);
    }
    main.filter(MainBlade::isShort)
        .ifPresent(
            m ->
                out.add(
                    Findings.of(
                        "blades",
                        "main-blade-short",
                        false,
                        m.found(),
                        m.usual(),
                        m.missing().share(),
                        m.missing().low(),
                        m.missing().high())));
    shelf.condition().odd().stream()
        .filter(o -> o.isFound(knife.condition()))
        .forEach(o -> out.add(Findings.of("condition", "odd-together", false, o.say())));
    if (knife.marks().stream().anyMatch(SeenFace::wasStruckOut)) {
      out.add(Findings.of("marks", "mark-struck-out", false));
    }
    shelf
        .measures()
        .quantities()
        .forEach(
            q -> {
              List<Double> readings =
                  knife.measured().getOrDefault(q.id(), List.of()).stream()
                      .map(Measurement::value)
                      .toList();
              if (!readings.isEmpty() && q.isQuestionable(Measurement.Mean.of(readings).mean())) {
                out.add(Findings.of(q.station(), "measure-unusual", false, q.label()));
              }
            });
    return out;
  }

  // A date yet to come, and a knife that changed hands before the one it came from had it.
  static void story(Specimen knife, int thisYear, List<Finding> out) {
    Integer heldFrom = null;
    for (StoryEvent e : knife.story()) {
      EdtfDate date = e.date();
      if (date == null) {
        continue;
      }
      if (date.earliestYear() > thisYear) {
        out.add(Findings.of("story", "date-to-come", false, date.written(), "" + thisYear));
      }
      if (heldFrom != null && e.kind().isHandedOn() && date.latestYear() < heldFrom) {
        out.add(
            Findings.of(
                "story",
                "handed-on-before-held",
                false,
                Wording.upperFirst(e.kind().toString()),
                date.written(),
                "" + heldFrom));
      }
      if (e.kind().isHeld()) {
        heldFrom = date.earliestYear();
      }
    }
    for (Chain.Both both : Chain.of(knife.story(), null, thisYear, thisYear).atOnce()) {
      out.add(
          Findings.of(
              "story",
              "two-holders",
              false,
              holder(both.one()),
              holder(both.other()),
              "" + both.years().from(),
              "" + both.years().to()));
    }
    knife.story().stream()
        .filter(e -> e.letters() != null)
        .forEach(e -> letters(e, knife.story(), thisYear, out));
  }

  // Initials nobody bears are of one who is missing, or of another knife.
  private static void letters(
      StoryEvent cut, List<StoryEvent> story, int thisYear, List<Finding> out) {
    List<String> holders = holders(story);
    List<String> borne = bearers(cut, story);
    if (new CutLetters(cut.letters()).areInitials() && borne.isEmpty() && !holders.isEmpty()) {
      out.add(
          Findings.of(
              "story", "letters-of-nobody", false, cut.letters(), String.join(", ", holders)));
    }
    if (cut.date() == null || borne.size() != 1) {
      return;
    }
    List<Chain.Tenure> had =
        Chain.of(story, null, thisYear, thisYear).tenures().stream()
            .filter(t -> borne.get(0).equals(t.holder()))
            .toList();
    EdtfDate date = cut.date();
    if (!had.isEmpty()
        && had.stream()
            .allMatch(t -> date.latestYear() < t.from() || date.earliestYear() > t.to())) {
      out.add(
          Findings.of(
              "story", "letters-not-then", false, cut.letters(), borne.get(0), DateWords.of(date)));
    }
  }

  /** Those of a story whose name the letters that were cut go with. */
  static List<String> bearers(StoryEvent cut, List<StoryEvent> story) {
    CutLetters letters = new CutLetters(cut.letters());
    return holders(story).stream().filter(letters::goWith).toList();
  }

  private static List<String> holders(List<StoryEvent> story) {
    return story.stream().map(StoryEvent::holder).filter(Objects::nonNull).distinct().toList();
  }

  /** Who had it, as said within a sentence. */
  static String holder(Chain.Tenure tenure) {
    return tenure.holder() != null
        ? tenure.holder()
        : Findings.of("story", tenure.own() ? "holder-own" : "holder-not-named", false).text();
  }

  private static void closedLength(Specimen knife, ReferenceShelf shelf, List<Finding> out) {
    if (knife.closedLength() == null || shelf.patterns().patterns().isEmpty()) {
      return;
    }
    double far = shelf.judgement().of("told.length-beyond");
    double ordinary = shelf.judgement().of("told.length-ordinary");
    double mm = knife.closedLength().mm();
    double least =
        shelf.patterns().patterns().stream()
            .filter(p -> p.weight() >= ordinary)
            .mapToDouble(p -> p.closedLengthMm().min())
            .min()
            .orElse(0);
    double most =
        shelf.patterns().patterns().stream()
            .mapToDouble(p -> p.closedLengthMm().max())
            .max()
            .orElse(0);
    if (mm > most * far || mm < least / far) {
      out.add(
          Findings.of("pattern", "closed-length-unusual", false, knife.closedLength().written()));
    }
  }

  private static void blade(int b, Specimen knife, Sketch sketch, List<Finding> out) {
    SeenBlade blade = knife.blades().get(b);
    if (blade.length() != null && knife.closedLength() != null) {
      double share = blade.length().mm() / knife.closedLength().mm();
      if (share > LONGEST_BLADE) {
        out.add(Findings.of("blades", "blade-too-long", false, b + 1));
      }
    }
    BladeWear.Left left = sketch.blades().get(b).left();
    if (left != null) {
      out.add(
          Findings.of("blades", "blade-left", false, left.share(), b + 1, left.low(), left.high()));
    }
  }
}
