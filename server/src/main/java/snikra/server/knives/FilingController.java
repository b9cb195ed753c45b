package snikra.server.knives;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Problem;
import snikra.core.specimen.Specimen;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;
import snikra.server.reference.ReferenceDesk;
import tools.jackson.databind.node.ObjectNode;

/** {@code /api/knives/filing}: where several knives lie and how they are sorted, at once. */
@RestController
@RequestMapping("/api/knives/filing")
class FilingController {
  /** So many go in one request, all or none. */
  static final int AT_ONCE = 2000;

  private final KnifeService knives;
  private final ReferenceDesk desk;

  FilingController(KnifeService knives, ReferenceDesk desk) {
    this.knives = knives;
    this.desk = desk;
  }

  /**
   * What is changed of some knives.
   *
   * @param place where they lie from now on; left out to leave it as it is, empty for nowhere
   * @param tagged words they get
   * @param untagged words that are taken from them, in whichever letters they were written
   */
  record FilingChange(
      List<String> ids,
      @Nullable String place,
      @Nullable List<String> tagged,
      @Nullable List<String> untagged) {}

  /** Where a knife lies and how it is sorted. */
  record Filing(String id, @Nullable String place, List<String> tags) {}

  /** Changes up to 2,000 knives, and answers with what was before: sent back it undoes this. */
  @PostMapping
  List<Filing> change(@RequestBody FilingChange change) {
    List<String> tagged = Objects.requireNonNullElse(change.tagged(), List.of());
    List<String> folded =
        Objects.requireNonNullElse(change.untagged(), List.<String>of()).stream()
            .map(FilingController::folded)
            .toList();
    checked(change.place(), tagged);
    return filed(
        Objects.requireNonNullElse(change.ids(), List.of()),
        (id, knife) -> {
          String place = change.place() == null ? knife.place() : written(change.place());
          List<String> tags = new ArrayList<>(knife.tags());
          tags.removeIf(t -> folded.contains(folded(t)));
          tags.addAll(tagged);
          return knife.lying(place, tags);
        });
  }

  /** Sets each knife to what is said of it, all or none, and answers with what was before. */
  @PutMapping
  List<Filing> set(@RequestBody List<Filing> all) {
    Map<String, Filing> byId = new HashMap<>();
    for (Filing one : all) {
      checked(one.place(), one.tags());
      byId.put(one.id(), one);
    }
    return filed(
        all.stream().map(Filing::id).toList(),
        (id, knife) -> {
          Filing to = byId.get(id);
          return knife.lying(written(to.place()), to.tags());
        });
  }

  private List<Filing> filed(List<String> ids, BiFunction<String, Specimen, Specimen> change) {
    if (ids.isEmpty() || ids.size() > AT_ONCE) {
      throw new InvalidInput(
          List.of(new Problem("ids", ids.size() + " knives", "must be 1 to " + AT_ONCE)));
    }
    List<Filing> before = new ArrayList<>();
    knives
        .changeAll(
            new LinkedHashSet<>(ids),
            (id, knife) -> {
              Specimen changed = change.apply(id, knife);
              checked(changed.place(), changed.tags());
              return changed;
            })
        .forEach((id, was) -> before.add(new Filing(id, was.place(), was.tags())));
    return before;
  }

  // What a knife can hold is the format's to say.
  private void checked(@Nullable String place, List<String> tags) {
    ObjectNode knife = Json.mapper().createObjectNode();
    if (written(place) != null) {
      knife.put("place", place);
    }
    knife.set("tags", Json.mapper().valueToTree(tags));
    SpecimenFormat.read(knife, desk.examiner().shelf());
  }

  private static @Nullable String written(@Nullable String place) {
    return place == null || place.isBlank() ? null : place.strip();
  }

  private static String folded(String tag) {
    return tag.strip().toLowerCase(Locale.ROOT);
  }
}
