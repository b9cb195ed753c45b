package snikra.server.examination;

import java.util.ArrayList;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.examination.Sketch;
import snikra.core.resemblance.Comparison;
import snikra.core.resemblance.Lookalike;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.server.knives.KnifeService;
import snikra.server.knives.SavedKnife;
import snikra.server.reference.ReferenceDesk;

/** {@code /api/knives/.../resemblance}: a knife beside models on file and other knives. */
@RestController
@RequestMapping("/api/knives/{id}")
class ResemblanceController {
  private static final int MOST = 4;

  private final KnifeService knives;
  private final ReferenceDesk desk;

  ResemblanceController(KnifeService knives, ReferenceDesk desk) {
    this.knives = knives;
    this.desk = desk;
  }

  /** The comparison, and how each candidate looks. */
  record Beside(Comparison comparison, Sketch knife, List<Sketch> sketches) {}

  /** Everything it may be held against, by how much speaks for it. */
  @GetMapping("/lookalikes")
  List<Comparison.Total> lookalikes(@PathVariable String id) {
    List<Lookalike> others =
        knives.all().stream()
            .filter(k -> !k.id().equals(id))
            .map(k -> onFile(k, desk.examiner()))
            .toList();
    return desk.examiner().lookalikes(knives.get(id).specimen(), others);
  }

  /** Tell by tell beside up to four. */
  @GetMapping("/resemblance")
  Beside resemblance(@PathVariable String id, @RequestParam List<String> with) {
    if (with.isEmpty() || with.size() > MOST) {
      throw refused(with.size() + " candidates", "must be 1 to " + MOST);
    }
    Examiner examiner = desk.examiner();
    Specimen knife = knives.get(id).specimen();
    List<Lookalike> all = new ArrayList<>();
    List<Sketch> sketches = new ArrayList<>();
    for (String one : with) {
      Lookalike model = examiner.model(one).orElse(null);
      if (model != null) {
        all.add(model);
        sketches.add(examiner.sketch(model));
      } else {
        SavedKnife other = knives.get(one);
        all.add(onFile(other, examiner));
        sketches.add(examiner.sketch(other.specimen()));
      }
    }
    return new Beside(examiner.compare(knife, all), examiner.sketch(knife), sketches);
  }

  private static Lookalike onFile(SavedKnife knife, Examiner examiner) {
    String title = knife.specimen().title();
    String label = "Knife " + knife.number() + (title == null ? "" : ", " + title);
    return examiner.onFile(knife.id(), label, knife.specimen());
  }

  private static InvalidInput refused(String given, String accepted) {
    return new InvalidInput(List.of(new Problem("with", given, accepted)));
  }
}
