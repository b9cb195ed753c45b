package snikra.core.glossary;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import snikra.core.specimen.Place;
import snikra.core.specimen.Specimen;

/**
 * Words of the trade, drawn on one knife.
 *
 * @param knife the one that is drawn
 */
public record Glossary(Specimen knife, List<Term> terms) {

  /**
   * A word.
   *
   * @param also other words for it
   * @param at where it is on the drawn knife; null for what has no place
   * @param asked stations where the word is met
   */
  public record Term(
      String id,
      String word,
      List<String> also,
      String says,
      @Nullable Place at,
      List<String> asked) {
    public Term {
      also = also == null ? List.of() : List.copyOf(also);
      asked = List.copyOf(asked);
    }

    /** All it goes by. */
    public List<String> names() {
      List<String> names = new ArrayList<>(List.of(word));
      names.addAll(also);
      return names;
    }
  }

  /**
   * A glossary.
   *
   * @throws IllegalArgumentException when two words go by one name, or one lies on a blade that the
   *     knife has not
   */
  public Glossary {
    terms = List.copyOf(terms);
    Map<String, String> byName = new HashMap<>();
    for (Term term : terms) {
      for (String name : term.names()) {
        String other = byName.put(name.toLowerCase(Locale.ROOT), term.id());
        if (other != null) {
          throw new IllegalArgumentException(
              "a name must be of one word; found " + name + " of " + other + " and " + term.id());
        }
      }
      Place at = term.at();
      if (at != null && at.blade() != null && at.blade() > knife.blades().size()) {
        throw new IllegalArgumentException(
            "blade of " + term.id() + " must be on the knife; found " + at.blade());
      }
    }
  }
}
