package snikra.core.reference;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import snikra.core.care.CareBook;
import snikra.core.clue.ClueBook;
import snikra.core.code.AssayOffice;
import snikra.core.code.NumberTable;
import snikra.core.condition.ConditionBook;
import snikra.core.judgement.Judgement;
import snikra.core.measure.MeasureBook;
import snikra.core.measure.PriceIndex;
import snikra.core.pattern.PatternBook;

/**
 * Everything a knife is held against.
 *
 * @param prices what money of other years is today
 * @param assayOffices where silver was tested
 * @param unlistedWeight how much of what is met comes from makers not on the shelf, relative to one
 *     listed maker of weight 1
 * @param spellings words the trade takes for one another, such as an ampersand and "and"
 * @param lettering how often letters are met, and what worn ones are taken for
 * @param judgement priors and rates nobody can look up
 */
public record ReferenceShelf(
    ClueBook clues,
    PatternBook patterns,
    ConditionBook condition,
    CareBook care,
    List<PriceIndex> prices,
    MeasureBook measures,
    List<NumberTable> numberTables,
    List<Region> regions,
    double unlistedWeight,
    Lettering lettering,
    List<List<String>> spellings,
    List<AssayOffice> assayOffices,
    List<Maker> makers,
    Judgement judgement) {

  public ReferenceShelf {
    regions = List.copyOf(regions);
    spellings = spellings.stream().map(List::copyOf).toList();
    numberTables = List.copyOf(numberTables);
    prices = List.copyOf(prices);
    assayOffices = List.copyOf(assayOffices);
    makers = List.copyOf(makers);
    for (Maker m : makers) {
      if (regions.stream().noneMatch(r -> r.id().equals(m.region()))) {
        throw new IllegalArgumentException(
            "region of maker " + m.id() + " must be on the shelf; found " + m.region());
      }
    }
  }

  /** For each letter the letters a worn one is taken for. */
  public Map<Character, String> confusions() {
    return lettering.confusions();
  }

  /** The region with this id. */
  public Region region(String id) {
    return regions.get(regionIndex(id));
  }

  /** The place of a region among the regions. */
  public int regionIndex(String id) {
    for (int r = 0; r < regions.size(); r++) {
      if (regions.get(r).id().equals(id)) {
        return r;
      }
    }
    throw new IllegalArgumentException("region must be on the shelf; found " + id);
  }

  /** The maker with this id. */
  public Optional<Maker> maker(String id) {
    return makers.stream().filter(m -> m.id().equals(id)).findFirst();
  }

  /** The table of numbers with this id. */
  public Optional<NumberTable> numberTable(String id) {
    return numberTables.stream().filter(t -> t.id().equals(id)).findFirst();
  }

  /** The assay office with this id. */
  public Optional<AssayOffice> assayOffice(String id) {
    return assayOffices.stream().filter(o -> o.id().equals(id)).findFirst();
  }

  /** The same shelf with other makers in place of these. */
  public ReferenceShelf withMakers(List<Maker> others) {
    return with(assayOffices, others);
  }

  /** Whether the other shelf has the same books: clues, patterns, countries and judgement. */
  public boolean hasBooksOf(ReferenceShelf other) {
    return clues.equals(other.clues)
        && patterns.equals(other.patterns)
        && regions.equals(other.regions)
        && judgement == other.judgement;
  }

  /** The same shelf with other assay offices and makers in place of these. */
  public ReferenceShelf with(List<AssayOffice> offices, List<Maker> others) {
    return with(lettering, spellings, offices, others);
  }

  /**
   * The same shelf on which worn letters and words are taken for others besides.
   *
   * @param letters by letter what it is taken for, in place of what was said of that letter
   * @param words sets of words besides those taken for one another
   */
  public ReferenceShelf reading(Map<Character, String> letters, List<List<String>> words) {
    Map<Character, String> taken = new HashMap<>(confusions());
    taken.putAll(letters);
    List<List<String>> same = new ArrayList<>(spellings);
    same.addAll(words);
    return with(lettering.confusing(taken), same, assayOffices, makers);
  }

  private ReferenceShelf with(
      Lettering letters, List<List<String>> words, List<AssayOffice> offices, List<Maker> others) {
    return with(condition, letters, words, offices, others, judgement);
  }

  /** The same shelf where condition is judged by another book. */
  public ReferenceShelf gradedBy(ConditionBook other) {
    return with(other, lettering, spellings, assayOffices, makers, judgement);
  }

  /** The same shelf, judged by other numbers. */
  public ReferenceShelf judgedBy(Judgement other) {
    return with(condition, lettering, spellings, assayOffices, makers, other);
  }

  /** The same shelf where those who are not on it made so many knives, against those who are. */
  public ReferenceShelf withUnlisted(double weight) {
    return new ReferenceShelf(
        clues,
        patterns,
        condition,
        care,
        prices,
        measures,
        numberTables,
        regions,
        weight,
        lettering,
        spellings,
        assayOffices,
        makers,
        judgement);
  }

  // What stays the same on every other shelf is said here alone.
  private ReferenceShelf with(
      ConditionBook grading,
      Lettering letters,
      List<List<String>> words,
      List<AssayOffice> offices,
      List<Maker> others,
      Judgement rates) {
    return new ReferenceShelf(
        clues,
        patterns,
        grading,
        care,
        prices,
        measures,
        numberTables,
        regions,
        unlistedWeight,
        letters,
        words,
        offices,
        others,
        rates);
  }
}
