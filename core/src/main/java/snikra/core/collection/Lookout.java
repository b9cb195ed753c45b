package snikra.core.collection;

import static java.util.Comparator.comparingDouble;
import static java.util.Comparator.comparingInt;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import snikra.core.dating.DatingVerdict.NextLook;
import snikra.core.search.Card;

/**
 * A look at a knife that was not taken yet.
 *
 * @param number of the knife
 */
public record Lookout(int number, NextLook look) {

  /** What would tell most of these knives for its trouble, over all of them. */
  public static List<Lookout> over(Collection<Card> cards, int most) {
    Comparator<Lookout> worth = comparingDouble(l -> -l.look().bits() / l.look().trouble().cost());
    return cards.stream()
        .flatMap(card -> card.ahead().stream().map(look -> new Lookout(card.number(), look)))
        .sorted(worth.thenComparing(comparingInt(Lookout::number)))
        .limit(most)
        .toList();
  }
}
