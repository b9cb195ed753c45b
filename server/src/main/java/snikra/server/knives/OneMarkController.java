package snikra.server.knives;

import java.util.List;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
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
   * @param strangers numbers of those on which no line of it fits: they count nothing here
   */
  record OneMarkTold(List<Integer> numbers, List<Integer> strangers, OneMark mark) {}

  /**
   * The letters of a mark put together from these knives, each worn in its own way, and its years
   * by all else they show.
   *
   * @param of ids of the knives, each with a mark that was read; from {@value #LEAST} to {@value
   *     #MOST}
   */
  @GetMapping("/api/knives/one-mark")
  OneMarkTold oneMark(@RequestParam List<String> of) {
    List<String> ids = of.stream().distinct().toList();
    if (ids.size() < LEAST || ids.size() > MOST) {
      throw refused(ids.size() + " knives", "must be from " + LEAST + " to " + MOST + " knives");
    }
    List<SavedKnife> all = ids.stream().map(knives::get).toList();
    List<SavedKnife> bare = all.stream().filter(k -> !Examiner.bearsAMark(k.specimen())).toList();
    if (!bare.isEmpty()) {
      throw refused("No. " + bare.get(0).number(), "must have a mark of which letters were read");
    }
    OneMark mark = desk.examiner().oneMark(all.stream().map(SavedKnife::specimen).toList());
    return new OneMarkTold(
        numbers(all, i -> true),
        numbers(all, i -> !mark.isOn(i)),
        mark.noted("On my knives " + listed(numbers(all, mark::isOn)) + "."));
  }

  private static List<Integer> numbers(List<SavedKnife> all, IntPredicate which) {
    return IntStream.range(0, all.size())
        .filter(which)
        .map(i -> all.get(i).number())
        .boxed()
        .toList();
  }

  private static String listed(List<Integer> numbers) {
    return numbers.stream().map(n -> "No. " + n).collect(Collectors.joining(", "));
  }

  private static InvalidInput refused(String given, String accepted) {
    return new InvalidInput(List.of(new Problem("of", given, accepted)));
  }
}
