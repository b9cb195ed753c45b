package snikra.core.resemblance;

import java.util.HashMap;
import java.util.Map;
import snikra.core.mark.MarkEvidence;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkShares;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;

/** What was read on a knife, held against the marks of makers on file; worked out once a knife. */
final class MarkHeld {
  private final boolean anyRead;
  private final double atLarge;
  private final Map<String, Filed> byMaker = new HashMap<>();

  private record Filed(Maker maker, double[] likelihood) {}

  /**
   * What was read against the marks a maker struck in some years.
   *
   * @param marks how many it struck
   * @param ratio how much likelier what was read is on one of them than on a knife at large
   */
  record Own(int marks, double ratio) {}

  MarkHeld(ReferenceShelf shelf, MarkEvidence marks) {
    anyRead = marks.anyRead();
    double top = marks.logUnlisted();
    for (double log : marks.logLikelihood()) {
      top = Math.max(top, log);
    }
    double weights = shelf.unlistedWeight();
    double any = shelf.unlistedWeight() * Math.exp(marks.logUnlisted() - top);
    double least = shelf.judgement().of("large.before-trade");
    int place = 0;
    for (Maker maker : shelf.makers()) {
      weights += maker.weight();
      double[] shares = MarkShares.of(maker, shelf.region(maker.region()), least);
      double[] likelihood = new double[shares.length];
      for (int i = 0; i < shares.length; i++) {
        likelihood[i] = Math.exp(marks.logLikelihood()[place++] - top);
        any += maker.weight() * likelihood[i] * shares[i];
      }
      byMaker.put(maker.id(), new Filed(maker, likelihood));
    }
    atLarge = any / weights;
  }

  boolean anyRead() {
    return anyRead;
  }

  boolean knows(String maker) {
    return byMaker.containsKey(maker);
  }

  Own of(String maker, int from, int to) {
    Filed filed = byMaker.get(maker);
    double own = 0;
    int struck = 0;
    for (int i = 0; i < filed.likelihood.length; i++) {
      MarkVariant mark = filed.maker.marks().get(i);
      if (mark.from() <= to && mark.to() >= from) {
        own += filed.likelihood[i];
        struck++;
      }
    }
    return new Own(struck, struck == 0 ? 0 : own / struck / atLarge);
  }
}
