package snikra.core.trait;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.clue.Clue;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.BolsterLayout;
import snikra.core.pattern.Frame;
import snikra.core.pattern.PatternBook;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Seen;
import snikra.core.specimen.Specimen;
import snikra.core.specimen.Specimen.Answered;
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
    Map<String, Seen<String>> blades = new LinkedHashMap<>();
    Map<String, Seen<String>> looks = new LinkedHashMap<>();
    for (Answered answer : knife.answers()) {
      if (answer.seen().value() == null) {
        continue;
      }
      if (answer.isLook() && answer.blade() <= 1) {
        looks.put(answer.of(), answer.written());
      } else if (!answer.isLook() && answer.blade() == 0) {
        out.put(answer.of(), answer.written());
      } else if (isType(answer)
          && answer.blade() <= BLADES_TOLD
          && isBlade(answer.written().value(), book)) {
        blades.put(BLADE + answer.blade(), answer.written());
      }
    }
    if (!knife.blades().isEmpty()) {
      out.put(BLADES, Seen.sure(Integer.toString(knife.blades().size())));
    }
    out.putAll(blades);
    if (knife.number() != null && !knife.number().matches(".*[_?\\[].*")) {
      out.put(NUMBER, Seen.sure(knife.number()));
    }
    out.putAll(looks);
    return out;
  }

  /**
   * All answers by trait, blades and tools alike, those of the main blade first; what could not be
   * told left out.
   */
  public static Map<String, List<Seen<String>>> all(Specimen knife, PatternBook book) {
    Map<String, List<Seen<String>>> out = new LinkedHashMap<>();
    of(knife, book).forEach((trait, seen) -> out.put(trait, new ArrayList<>(List.of(seen))));
    for (Answered answer : knife.answers()) {
      if (answer.seen().value() == null) {
        continue;
      }
      if (isType(answer)) {
        out.put(BLADE + answer.blade(), List.of(answer.written()));
      } else if (answer.isLook() && answer.blade() > 1) {
        out.computeIfAbsent(answer.of(), of -> new ArrayList<>()).add(answer.written());
      }
    }
    return out;
  }

  /** Whether it says of what form a blade is. */
  public static boolean isType(Answered answer) {
    return !answer.isLook() && answer.of().equals("type");
  }

  /** Whether this is a blade and no tool. */
  public static boolean isBlade(@Nullable String type, PatternBook book) {
    return type != null
        && book.blade(type).map(b -> b.kind() == BladeType.Kind.BLADE).orElse(false);
  }

  public String label(String trait) {
    if (trait.startsWith(BLADE)) {
      String place = trait.substring(BLADE.length());
      return place.equals("1") ? "Main blade" : "Blade " + place;
    }
    String own = LABELS.get(trait);
    return own != null ? own : shelf.clues().feature(trait).map(f -> f.label()).orElse(trait);
  }

  /** An answer in words, within a sentence. */
  public String words(String trait, String value) {
    return Wording.lowerFirst(name(trait, value));
  }

  /** An answer by the name it has in its book. */
  public String name(String trait, String value) {
    return switch (trait) {
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
  }
}
