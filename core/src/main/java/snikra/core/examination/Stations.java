package snikra.core.examination;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.clue.Feature;
import snikra.core.condition.ConditionBook;
import snikra.core.condition.GradeVerdict;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Verdict.Finding;
import snikra.core.examination.Verdict.Progress;
import snikra.core.measure.MeasureBook;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.PatternVerdict;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Specimen;

/** How far each station has been looked at. */
final class Stations {
  private final ReferenceShelf shelf;

  Stations(ReferenceShelf shelf) {
    this.shelf = shelf;
  }

  List<Progress> progress(
      Specimen knife,
      PatternVerdict pattern,
      DatingVerdict dated,
      GradeVerdict grade,
      List<Finding> findings) {
    List<Progress> out = new ArrayList<>();
    for (String station : Station.ids()) {
      boolean conflict =
          findings.stream().anyMatch(f -> f.conflict() && f.station().equals(station))
              || dated.clues().stream()
                  .anyMatch(c -> c.inConflict() && c.station().equals(station));
      out.add(
          switch (station) {
            case "pattern" -> pattern(knife, pattern, conflict);
            case "blades" -> blades(knife, conflict);
            case "marks" -> marks(knife, conflict);
            case "number" -> numbers(knife, conflict);
            case "action" -> action(knife, conflict);
            case "condition" -> condition(knife, grade, conflict);
            case "care" -> care(knife, conflict);
            case "story" ->
                one(station, !knife.story().isEmpty(), count(knife.story(), "event"), conflict);
            case "value" ->
                one(
                    station,
                    !knife.comparables().isEmpty(),
                    count(knife.comparables(), "sale"),
                    conflict);
            default -> features(station, knife, conflict, 0, 0, Stream.of());
          });
    }
    return out;
  }

  private static Progress one(
      String station, boolean looked, @Nullable String summary, boolean conflict) {
    return new Progress(station, looked ? 1 : 0, 1, looked ? summary : null, conflict);
  }

  // Nothing to look at: what the others found tells what to do.
  private Progress care(Specimen knife, boolean conflict) {
    int done = knife.care().size();
    int left = shelf.care().advise(knife).size();
    String told = left > 0 ? left + " to do" : done > 0 ? done + " done" : null;
    return new Progress("care", 0, 0, told, conflict);
  }

  private static Progress numbers(Specimen knife, boolean conflict) {
    List<String> told = new ArrayList<>();
    if (knife.number() != null) {
      told.add(knife.number());
    }
    knife.codes().forEach(c -> told.add(c.sign() + " " + c.written()));
    if (!knife.hallmarks().isEmpty()) {
      told.add(count(knife.hallmarks(), "hallmark"));
    }
    if (!knife.registered().isEmpty()) {
      told.add(count(knife.registered(), "patent or design"));
    }
    if (told.isEmpty() && !knife.notFound().isEmpty()) {
      told.add("none found");
    }
    return one("number", !told.isEmpty(), String.join(", ", told), conflict);
  }

  private static String count(List<?> things, String word) {
    return things.size() + " " + word + (things.size() == 1 ? "" : "s");
  }

  private static Progress pattern(Specimen knife, PatternVerdict pattern, boolean conflict) {
    long looked =
        Stream.of(knife.frame(), knife.closedLength(), knife.bolsters(), knife.springs())
            .filter(java.util.Objects::nonNull)
            .count();
    return new Progress("pattern", (int) looked, 4, looked > 0 ? pattern.title() : null, conflict);
  }

  private Progress blades(Specimen knife, boolean conflict) {
    int looked = 0;
    int of = Math.max(2, 2 * knife.blades().size());
    for (SeenBlade b : knife.blades()) {
      looked += (b.type() != null ? 1 : 0) + (b.end() != null ? 1 : 0);
    }
    Stream<String> types =
        knife.blades().stream()
            .map(b -> Seen.valueOf(b.type()))
            .filter(java.util.Objects::nonNull)
            .map(type -> shelf.patterns().blade(type).map(BladeType::name).orElse(type))
            .map(n -> n.replace(" blade", "").toLowerCase(Locale.ROOT));
    return features("blades", knife, conflict, looked, of, types);
  }

  private Progress marks(Specimen knife, boolean conflict) {
    int faces = Math.max(1, knife.blades().size()) * 2;
    long read = knife.marks().stream().filter(f -> f.state() == FaceState.READ).count();
    int left = faces - knife.marks().size();
    Stream<String> summary =
        knife.marks().stream()
            .filter(f -> f.state() == FaceState.READ && !f.lines().isEmpty())
            .limit(1)
            .map(SeenFace::lines)
            .map(l -> String.join(" ", l));
    if (read == 0 && !knife.marks().isEmpty()) {
      summary = Stream.of(left > 0 ? "nothing read so far" : "no mark to read");
    }
    return features("marks", knife, conflict, knife.marks().size(), faces, summary);
  }

  private Progress condition(Specimen knife, GradeVerdict grade, boolean conflict) {
    String best = grade.best() == null ? null : grade.best().label();
    return points("condition", knife, best, conflict);
  }

  private Progress action(Specimen knife, boolean conflict) {
    String found =
        shelf.condition().points().stream()
            .filter(p -> p.station().equals("action"))
            .flatMap(
                p ->
                    p.found(knife.condition()).stream()
                        .map(f -> p.label() + " " + f.label().toLowerCase(Locale.ROOT)))
            .limit(2)
            .collect(Collectors.joining(", "));
    return points("action", knife, found.isEmpty() ? null : found, conflict);
  }

  // Points of condition and measures of one station.
  private Progress points(
      String station, Specimen knife, @Nullable String summary, boolean conflict) {
    List<String> asked =
        Stream.concat(
                shelf.condition().points().stream()
                    .filter(p -> p.station().equals(station))
                    .map(ConditionBook.Point::id),
                shelf.measures().quantities().stream()
                    .filter(q -> q.station().equals(station))
                    .map(MeasureBook.Quantity::id))
            .toList();
    long looked =
        asked.stream()
            .filter(id -> knife.condition().containsKey(id) || knife.measured().containsKey(id))
            .count();
    boolean isMeasured = asked.stream().anyMatch(knife.measured()::containsKey);
    String told =
        summary == null && looked > 0 ? (isMeasured ? "measured" : "not to be told") : summary;
    return new Progress(station, (int) looked, asked.size(), told, conflict);
  }

  private Progress features(
      String station, Specimen knife, boolean conflict, int looked, int of, Stream<String> before) {
    List<Feature> asked =
        shelf.clues().features().stream()
            .filter(f -> f.station().equals(station) && f.asked() == Feature.Asked.ONCE)
            .toList();
    List<String> answers = new ArrayList<>();
    int seen = looked;
    for (Feature f : asked) {
      Seen<String> s = knife.seen().get(f.id());
      if (s != null) {
        seen++;
        f.clue("" + s.value()).map(Clue::label).ifPresent(answers::add);
      }
    }
    String summary =
        Stream.concat(before, answers.stream()).limit(3).collect(Collectors.joining(", "));
    String told = summary.isEmpty() && seen > 0 ? "not to be told" : summary;
    return new Progress(station, seen, of + asked.size(), told.isEmpty() ? null : told, conflict);
  }
}
