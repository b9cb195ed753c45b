package snikra.server.knives;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.condition.ConditionBook.Grade;
import snikra.core.dating.DatingModel;
import snikra.core.examination.Examiner;
import snikra.core.examination.Problem;
import snikra.core.examination.Sketch;
import snikra.core.reference.History;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.sets.Fit;
import snikra.core.sets.OfYear;
import snikra.core.sets.Series;
import snikra.core.sets.SetBoard;
import snikra.core.sets.SetBoard.From;
import snikra.core.sets.SetBoard.Owned;
import snikra.formats.InvalidInput;
import snikra.server.reference.ReferenceDesk;

/** {@code /api/sets}: all there may be of a maker on file, and what of it is in the tray. */
@RestController
@RequestMapping("/api/sets")
class SetsController {
  private final ReferenceDesk desk;
  private final Catalogue catalogue;

  SetsController(ReferenceDesk desk, Catalogue catalogue) {
    this.desk = desk;
    this.catalogue = catalogue;
  }

  /**
   * How far the set of a maker is filled.
   *
   * @param owned places with a knife
   * @param possible places there are
   */
  record SetCount(String maker, String name, int owned, int possible) {}

  /**
   * The set of a maker, as it is shown.
   *
   * @param series what it changed over the years, and which of it is owned
   * @param drawn how its models look, by their numbers
   * @param left knives that are not worked out yet, and may be of it
   */
  record SetShown(SetBoard board, List<Series> series, Map<String, Sketch> drawn, int left) {}

  /** Makers on file, by how many places of their sets are filled. */
  @GetMapping
  List<SetCount> counts() {
    ReferenceShelf shelf = desk.examiner().shelf();
    From from = From.of(shelf.judgement());
    List<Owned> owned = owned(shelf);
    return shelf.makers().stream()
        .map(m -> SetBoard.of(m, owned, from, null))
        .map(b -> new SetCount(b.maker(), b.name(), b.owned(), b.possible()))
        .toList();
  }

  /**
   * The set of one maker.
   *
   * @param atLeast id of the grade from which a knife is good enough; any where it is not given
   */
  @GetMapping("/{maker}")
  SetShown board(
      @PathVariable String maker, @RequestParam(required = false) @Nullable String atLeast) {
    Examiner examiner = desk.examiner();
    ReferenceShelf shelf = examiner.shelf();
    Maker of =
        shelf
            .maker(maker)
            .orElseThrow(
                () ->
                    new InvalidInput(
                        List.of(new Problem("maker", maker, "must be a maker on file"))));
    Map<String, Sketch> drawn = new LinkedHashMap<>();
    for (History.Model model : of.history().models()) {
      examiner
          .model(of.id() + "/" + model.number())
          .ifPresent(m -> drawn.put(model.number(), examiner.sketch(m)));
    }
    From from = From.of(shelf.judgement());
    Integer rank = rank(shelf, atLeast);
    return new SetShown(
        SetBoard.of(of, owned(shelf), from, rank),
        Series.of(of, shelf.clues(), pieces(shelf), from, rank),
        drawn,
        catalogue.left());
  }

  /** Marks, codes and models of one year: what to look for on a knife of it. */
  @GetMapping("/of-year/{year}")
  OfYear ofYear(@PathVariable int year) {
    Examiner examiner = desk.examiner();
    if (year < DatingModel.FIRST_YEAR || year > examiner.thisYear()) {
      throw new InvalidInput(
          List.of(
              new Problem(
                  "year",
                  "" + year,
                  "must be from " + DatingModel.FIRST_YEAR + " to " + examiner.thisYear())));
    }
    return OfYear.of(examiner.shelf(), year);
  }

  private static @Nullable Integer rank(ReferenceShelf shelf, @Nullable String grade) {
    List<String> ids = shelf.condition().grades().stream().map(Grade::id).toList();
    if (grade != null && !ids.contains(grade)) {
      throw new InvalidInput(
          List.of(new Problem("atLeast", grade, "must be one of " + String.join(", ", ids))));
    }
    return grade == null ? null : ids.indexOf(grade);
  }

  private List<Owned> owned(ReferenceShelf shelf) {
    List<Owned> all = new ArrayList<>();
    for (Finder.InSets knife : catalogue.inSets()) {
      for (Fit fit : knife.fits()) {
        all.add(new Owned(knife.number(), fit, rank(shelf, knife)));
      }
    }
    return all;
  }

  private List<Series.Piece> pieces(ReferenceShelf shelf) {
    return catalogue.inSets().stream()
        .map(k -> Series.Piece.of(k.number(), k.fits(), k.shows(), k.struck(), rank(shelf, k)))
        .toList();
  }

  private static @Nullable Integer rank(ReferenceShelf shelf, Finder.InSets knife) {
    return knife.grade() == null
        ? null
        : shelf.condition().grades().stream().map(Grade::label).toList().indexOf(knife.grade());
  }
}
