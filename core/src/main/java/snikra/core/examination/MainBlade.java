package snikra.core.examination;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import snikra.core.judgement.Judgement;
import snikra.core.pattern.Pattern;
import snikra.core.profile.BladeRoom;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/**
 * Whether the main blade is as long as its handle asks for.
 *
 * @param usual what a full one takes in knives of its pattern, in closed lengths
 * @param missing what it would have lost if it was once full
 * @param may what it may be, by its length alone
 */
record MainBlade(double found, double usual, BladeRoom.Missing missing, BladeRoom.MayBe may) {

  /** Empty where it, or the handle, was not measured. */
  static Optional<MainBlade> of(Specimen knife, @Nullable String pattern, ReferenceShelf shelf) {
    if (knife.blades().isEmpty()
        || knife.closedLength() == null
        || knife.blades().get(0).length() == null) {
      return Optional.empty();
    }
    double length = knife.blades().get(0).length().mm();
    double closed = knife.closedLength().mm();
    BladeRoom room = shelf.patterns().room();
    Judgement judgement = shelf.judgement();
    double usual =
        shelf.patterns().patterns().stream()
            .filter(p -> p.id().equals(pattern))
            .findFirst()
            .map(Pattern::mainShare)
            .orElse(room.usual(0));
    BladeRoom.Habits habits =
        new BladeRoom.Habits(
            judgement.of("blade.short-by-design"),
            judgement.of("blade.shortened"),
            judgement.of("blade.loss"),
            judgement.of("blade.measuring-mm"),
            judgement.of("blade.shortest"));
    return Optional.of(
        new MainBlade(
            length / closed,
            usual,
            room.missing(length, closed, usual),
            room.weigh(length, closed, usual, habits)));
  }

  /** Whether it is rather short, by design or not. */
  boolean isShort() {
    return may.whole() < 0.5;
  }
}
