package snikra.core.collection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import snikra.core.clue.Feature.Trouble;
import snikra.core.dating.DatingVerdict.NextLook;
import snikra.core.search.Card;

class LookoutTest {
  private static NextLook look(String feature, Trouble trouble, double bits) {
    return new NextLook(feature, "handle", "The " + feature, trouble, bits);
  }

  private static Card knife(int number, NextLook... ahead) {
    return new Card(
        number,
        List.of(),
        Map.of(),
        1900,
        List.of(1.0),
        null,
        null,
        null,
        null,
        List.of(),
        List.of(ahead),
        Map.of(),
        List.of());
  }

  @Test
  void theLookThatTellsMostForItsTroubleComesFirstWhoseverItIs() {
    List<Card> tray =
        List.of(
            knife(7, look("shield", Trouble.GLANCE, 0.5), look("pins", Trouble.LOUPE, 0.3)),
            knife(3, look("marks", Trouble.BOOK, 1.6)),
            knife(5, look("liners", Trouble.OPEN, 1.2), look("shield", Trouble.GLANCE, 0.5)));
    assertThat(Lookout.over(tray, 4))
        .extracting(l -> l.number() + " " + l.look().feature())
        .containsExactly("5 liners", "5 shield", "7 shield", "3 marks");
  }

  @Test
  void ofKnivesOfWhichAllWasSeenThereIsNothingToLookAt() {
    assertThat(Lookout.over(List.of(knife(1), Card.unread(2)), 10)).isEmpty();
  }
}
