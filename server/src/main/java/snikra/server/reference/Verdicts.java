package snikra.server.reference;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Examiner;
import snikra.core.examination.Verdict;
import snikra.core.specimen.Specimen;

/**
 * The verdicts last worked out. What is judged at the bench is saved a moment later: the journal,
 * the tray and the sheet then take the verdict at hand and work out nothing again.
 */
public class Verdicts {
  private static final int MOST = 64;

  private final Supplier<Examiner> desk;
  private final Map<Key, Verdict> atHand =
      new LinkedHashMap<>(MOST, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Verdict> eldest) {
          return size() > MOST;
        }
      };

  private record Key(Examiner by, Specimen knife) {}

  /** By whom the last was worked out. What others found is let go, and they with it. */
  private @Nullable Examiner last;

  public Verdicts(Supplier<Examiner> desk) {
    this.desk = desk;
  }

  /** The whole verdict by the references in use, worked out where it is not at hand. */
  public Verdict of(Specimen knife) {
    Examiner examiner = desk.get();
    return atHand(examiner, knife)
        .orElseGet(
            () -> {
              Verdict verdict = examiner.examine(knife);
              synchronized (atHand) {
                if (last != examiner) {
                  atHand.clear();
                  last = examiner;
                }
                atHand.put(new Key(examiner, knife), verdict);
              }
              return verdict;
            });
  }

  /** The verdict, where this examiner worked it out lately. */
  public Optional<Verdict> atHand(Examiner examiner, Specimen knife) {
    synchronized (atHand) {
      return Optional.ofNullable(atHand.get(new Key(examiner, knife)));
    }
  }
}
