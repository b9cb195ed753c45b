package snikra.server.examination;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.examination.StoryReading;
import snikra.core.examination.Verdict;
import snikra.core.reference.Maker;
import snikra.core.specimen.Specimen;
import snikra.core.value.TopPrice;
import snikra.core.wording.NotAccepted;
import snikra.formats.InvalidInput;
import snikra.formats.Json;
import snikra.formats.PackFormat;
import snikra.formats.SpecimenFormat;
import snikra.server.reference.ReferenceDesk;
import snikra.server.reference.Verdicts;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;

/** {@code POST /api/examine}: a specimen in, the whole verdict out, nothing kept. */
@RestController
class ExaminationController {
  private static final int MOST_PACKS = 20;
  private static final int MOST_WITHOUT = 200;

  private final ReferenceDesk desk;
  private final Verdicts verdicts;

  ExaminationController(ReferenceDesk desk, Verdicts verdicts) {
    this.desk = desk;
    this.verdicts = verdicts;
  }

  /**
   * What is sent.
   *
   * @param without clues to leave out: ids of features and statements, and {@code mark}
   * @param packs reference packs to use in place of the shipped ones
   */
  record ExamineRequest(
      Specimen specimen, @Nullable List<String> without, @Nullable List<PackFormat.Pack> packs) {}

  /** Says what is held of a knife; nothing is kept. */
  @PostMapping(path = "/api/examine", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = ExamineRequest.class)))
  Verdict examine(@RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    boolean own = tree.has("packs");
    Examiner with = own ? examinerWith(tree.path("packs")) : desk.examiner();
    Specimen knife = SpecimenFormat.read(tree.path("specimen"), with.shelf());
    Set<String> without = without(tree.path("without"));
    return own || !without.isEmpty() ? with.examine(knife, without) : verdicts.of(knife);
  }

  /**
   * What is sent for a top price.
   *
   * @param plan what one means to do with it
   */
  record TopPriceRequest(Specimen specimen, TopPrice.Plan plan) {}

  /** The most to pay for a knife one means to sell again, and what to ask for it. */
  @PostMapping(path = "/api/top-price", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = TopPriceRequest.class)))
  TopPrice topPrice(@RequestBody String body) {
    JsonNode tree = SpecimenFormat.parse(body);
    Specimen knife = SpecimenFormat.read(tree.path("specimen"), desk.examiner().shelf());
    TopPrice top = desk.examiner().topPrice(verdicts.of(knife), plan(tree.path("plan")));
    if (top == null) {
      throw new InvalidInput(
          List.of(new Problem("specimen", "no sale of a like knife", "must have a value first")));
    }
    return top;
  }

  /**
   * What is sent to hold a story against its knife.
   *
   * @param specimen the knife with its story
   */
  record StoryRequest(Specimen specimen) {}

  /** The story of a knife on its own years, each link held against all else the knife shows. */
  @PostMapping(path = "/api/story", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = StoryRequest.class)))
  StoryReading story(@RequestBody String body) {
    Examiner with = desk.examiner();
    return with.story(
        SpecimenFormat.read(SpecimenFormat.parse(body).path("specimen"), with.shelf()));
  }

  private static TopPrice.Plan plan(JsonNode written) {
    if (!written.isObject()) {
      throw new InvalidInput(
          List.of(
              new Problem(
                  "plan",
                  written.isMissingNode() ? "nothing" : written.toString(),
                  "must be the six figures of a plan")));
    }
    try {
      return Json.mapper().treeToValue(written, TopPrice.Plan.class);
    } catch (JacksonException e) {
      throw new InvalidInput(
          List.of(
              e.getCause() instanceof NotAccepted amiss
                  ? new Problem("plan." + amiss.field(), amiss.given(), amiss.accepted())
                  : new Problem("plan", written.toString(), "must be the six figures of a plan")));
    }
  }

  private static Set<String> without(JsonNode ids) {
    if (!ids.isMissingNode() && (!ids.isArray() || ids.size() > MOST_WITHOUT)) {
      throw new InvalidInput(
          List.of(
              new Problem(
                  "without",
                  ids.isArray() ? ids.size() + " clues" : ids.getNodeType().toString(),
                  "must be a list of at most " + MOST_WITHOUT + " ids of clues")));
    }
    Set<String> without = new HashSet<>();
    ids.forEach(id -> without.add(id.asString("")));
    return without;
  }

  private Examiner examinerWith(JsonNode packs) {
    if (!packs.isArray() || packs.size() > MOST_PACKS) {
      throw new InvalidInput(
          List.of(
              new Problem(
                  "packs",
                  packs.isArray() ? packs.size() + " packs" : packs.getNodeType().toString(),
                  "must be a list of at most " + MOST_PACKS + " reference packs")));
    }
    List<PackFormat.Pack> read = new ArrayList<>();
    packs.forEach(p -> read.add(PackFormat.read(p)));
    List<Maker> makers = PackFormat.makers(read);
    for (Maker m : makers) {
      requireRegion(m);
    }
    return desk.examiner().with(PackFormat.inPlace(read, desk.examiner().shelf()));
  }

  private void requireRegion(Maker maker) {
    List<String> regions = desk.examiner().shelf().regions().stream().map(r -> r.id()).toList();
    if (!regions.contains(maker.region())) {
      throw new InvalidInput(
          List.of(
              new Problem(
                  "packs: region of maker " + maker.id(),
                  maker.region(),
                  "must be one of " + String.join(", ", regions))));
    }
  }
}
