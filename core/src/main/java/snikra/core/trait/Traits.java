package snikra.core.trait;

import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.BolsterLayout;
import snikra.core.pattern.Frame;
import snikra.core.pattern.PatternBook;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Seen;
import snikra.core.specimen.SeenBlade;
import snikra.core.specimen.Specimen;
import snikra.core.wording.Wording;

/** The respects in which knives are held against one another, and their names. */
public final class Traits {
  public static final String FRAME = "frame";
  public static final String LENGTH = "closed-length";
  public static final String BOLSTERS = "bolsters";
  public static final String SPRINGS = "springs";
  public static final String BLADES = "blades";
  public static final String BLADE = "blade-";
  public static final String NUMBER = "number";
  public static final String MARK = "mark";
  public static final int BLADES_TOLD = 4;

  private static final Map<String, String> LABELS =
      Map.of(
          FRAME, "Outline",
          LENGTH, "Closed length",
          BOLSTERS, "Bolsters",
          SPRINGS, "Springs",
          BLADES, "How many blades",
          NUMBER, "Number",
          MARK, "Lettering of the mark");

  private final ReferenceShelf shelf;

  public Traits(ReferenceShelf shelf) {
    this.shelf = shelf;
  }

  /**
   * What was looked at, in working order. The main blade speaks for the looks of each blade; tools
   * speak through the clue book, and must not speak twice.
   */
  public static Map<String, Seen<String>> of(Specimen knife, PatternBook book) {
    Map<String, Seen<String>> out = new LinkedHashMap<>();
    put(out, FRAME, knife.frame());
    put(out, BOLSTERS, knife.bolsters());
    if (Seen.valueOf(knife.springs()) != null) {
      String springs = knife.springs().value().toString();
      out.put(SPRINGS, new Seen<>(springs, knife.springs().sureness()));
    }
    if (!knife.blades().isEmpty()) {
      out.put(BLADES, Seen.sure(Integer.toString(knife.blades().size())));
    }
    for (int i = 0; i < Math.min(BLADES_TOLD, knife.blades().size()); i++) {
      Seen<String> type = knife.blades().get(i).type();
      if (isBlade(Seen.valueOf(type), book)) {
        put(out, BLADE + (i + 1), type);
      }
    }
    if (knife.number() != null && !knife.number().matches(".*[_?\\[].*")) {
      out.put(NUMBER, Seen.sure(knife.number()));
    }
    knife.seen().forEach((feature, seen) -> put(out, feature, seen));
    knife.blades().stream()
        .limit(1)
        .map(SeenBlade::seen)
        .forEach(all -> all.forEach((feature, seen) -> put(out, feature, seen)));
    return out;
  }

  /** Whether this is a blade and no tool. */
  public static boolean isBlade(@Nullable String type, PatternBook book) {
    return type != null
        && book.blade(type).map(b -> b.kind() == BladeType.Kind.BLADE).orElse(false);
  }

  private static void put(Map<String, Seen<String>> out, String trait, Seen<String> seen) {
    if (Seen.valueOf(seen) != null) {
      out.put(trait, seen);
    }
  }

  public String label(String trait) {
    if (trait.startsWith(BLADE)) {
      String place = trait.substring(BLADE.length());
      return place.equals("1") ? "Main blade" : "Blade " + place;
    }
    String own = LABELS.get(trait);
    return own != null ? own : shelf.clues().feature(trait).map(f -> f.label()).orElse(trait);
  }

  /** An answer in words. */
  public String words(String trait, String value) {
    String label =
        switch (trait) {
          case FRAME -> shelf.patterns().frame(value).map(Frame::name).orElse(value);
          case BOLSTERS ->
              shelf.patterns().bolsters().stream()
                  .filter(b -> b.id().equals(value))
                  .map(BolsterLayout::label)
                  .findFirst()
                  .orElse(value);
          case SPRINGS, BLADES, NUMBER -> value;
          default ->
              trait.startsWith(BLADE)
                  ? shelf.patterns().blade(value).map(BladeType::name).orElse(value)
                  : shelf
                      .clues()
                      .feature(trait)
                      .flatMap(f -> f.clue(value))
                      .map(Clue::label)
                      .orElse(value);
        };
    return Wording.lowerFirst(label);
  }
}
