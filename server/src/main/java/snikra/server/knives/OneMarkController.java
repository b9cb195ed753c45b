package snikra.server.knives;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Examiner;
import snikra.core.examination.OneMark;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;
import snikra.server.reference.ReferenceDesk;

/** {@code GET /api/knives/one-mark}: a mark that several knives bear, out of all of them. */
@RestController
class OneMarkController {
  private static final int LEAST = 2;
  private static final int MOST = 12;

  private final KnifeService knives;
  private final ReferenceDesk desk;

  OneMarkController(KnifeService knives, ReferenceDesk desk) {
    this.knives = knives;
    this.desk = desk;
  }

  /**
   * A mark out of several strikes.
   *
   * @param numbers of the knives, in the order of the strikes
   */
  record OneMarkTold(List<Integer> numbers, OneMark mark) {}

  /**
   * The letters of a mark put together from these knives, each worn in its own way, and its years
   * by all else they show.
   *
   * @param of ids of the knives, each with a mark that was read; from {@value #LEAST} to {@value
   *     #MOST}
   */
  @GetMapping("/api/knives/one-mark")
  OneMarkTold oneMark(@RequestParam List<String> of) {
    if (of.size() < LEAST || of.size() > MOST) {
      throw refused(of.size() + " knives", "must be from " + LEAST + " to " + MOST + " knives");
    }
    List<SavedKnife> all = of.stream().distinct().map(knives::get).toList();
    List<SavedKnife> bare = all.stream().filter(k -> !Examiner.bearsAMark(k.specimen())).toList();
    if (!bare.isEmpty()) {
      throw refused("No. " + bare.get(0).number(), "must have a mark of which letters were read");
    }
    List<Integer> numbers = all.stream().map(SavedKnife::number).toList();
    String note =
        "On my knives "
            + numbers.stream().map(n -> "No. " + n).collect(Collectors.joining(", "))
            + ".";
    return new OneMarkTold(
        numbers, desk.examiner().oneMark(all.stream().map(SavedKnife::specimen).toList(), note));
  }

  private static InvalidInput refused(String given, String accepted) {
    return new InvalidInput(List.of(new Problem("of", given, accepted)));
  }
}
