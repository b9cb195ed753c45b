package snikra.server.knives;

import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Examiner;
import snikra.core.examination.FactSlips.FactOffered;
import snikra.core.examination.Witnessed;
import snikra.core.mark.MarkEra;
import snikra.core.reference.Maker;
import snikra.server.knives.KnivesOf.OfMaker;
import snikra.server.reference.ReferenceDesk;

/** {@code /api/own/witness}: what one's own knives of a maker show and nobody wrote down yet. */
@RestController
@RequestMapping("/api/own/witness")
class WitnessController {
  /**
   * So many are gone over for one answer: each is dated once, with all its looks left out in turn.
   */
  static final int MOST = 60;

  private final ReferenceDesk desk;
  private final KnivesOf knives;

  WitnessController(ReferenceDesk desk, Catalogue catalogue, KnifeService knives) {
    this.desk = desk;
    this.knives = new KnivesOf(catalogue, knives);
  }

  /** A knife that shows it. */
  record WitnessKnife(int number, String id) {}

  /**
   * Something that is not on file.
   *
   * @param era its years, by all else the knives show
   */
  record OwnWitness(FactOffered offered, List<WitnessKnife> knives, MarkEra era) {}

  /**
   * What was found.
   *
   * @param gone how many knives were gone over
   * @param of how many are held to be of this maker
   */
  record OwnWitnesses(int gone, int of, List<OwnWitness> found) {}

  /** What the knives held to be of this maker show and nobody wrote down yet. */
  @GetMapping("/{maker}")
  OwnWitnesses witness(@PathVariable String maker) {
    Examiner examiner = desk.examiner();
    Maker of = KnivesOf.onFile(maker, examiner.shelf());
    List<OfMaker> gone = knives.maker(of).limit(MOST).toList();
    List<Witnessed> found = examiner.notOnFile(of, gone.stream().map(OfMaker::specimen).toList());
    return new OwnWitnesses(
        gone.size(),
        knives.count(of),
        found.stream()
            .map(
                w ->
                    new OwnWitness(
                        w.offered(),
                        w.knives().stream()
                            .map(gone::get)
                            .map(k -> new WitnessKnife(k.number(), k.id()))
                            .toList(),
                        w.era()))
            .toList());
  }
}
