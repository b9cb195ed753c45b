package snikra.benchmarks;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.apache.commons.text.similarity.LevenshteinDistance;
import snikra.core.mark.Consensus;
import snikra.core.mark.Consensus.Line;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Technique;

/**
 * Puts together worn strikes of made-up marks and prints how many letters of a hundred are read
 * right, by how many strikes there are and how much of each is lost, and what it takes.
 */
public final class ConsensusReport {
  private static final int MARKS = 150;
  private static final int MOST = 5;
  private static final double[] LOST = {0.15, 0.25, 0.4, 0.6};

  private ConsensusReport() {}

  public static void main(String[] args) {
    ReferenceShelf shelf = SyntheticShelf.of(1);
    Consensus consensus = new Consensus(shelf);
    Random random = new Random(1931);
    List<MarkVariant> marks = new ArrayList<>();
    for (int m = 0; m < MARKS; m++) {
      List<String> lines =
          List.of(SyntheticShelf.word(random, 6 + m % 5), SyntheticShelf.word(random, 5 + m % 4));
      marks.add(
          new MarkVariant(
              "m" + m, lines, List.of(), Technique.STRUCK, false, 1890, 1910, 1, "", ""));
    }
    System.out.println("letters right of a hundred, by strikes put together:");
    for (double lost : LOST) {
      WornReadings worn = new WornReadings(shelf.confusions());
      StringBuilder row =
          new StringBuilder(String.format(Locale.ROOT, "%2.0f%% lost:", 100 * lost));
      for (int n = 1; n <= MOST; n++) {
        long begun = System.nanoTime();
        double right = 0;
        for (MarkVariant mark : marks) {
          List<List<String>> strikes = new ArrayList<>();
          for (int k = 0; k < n; k++) {
            strikes.add(worn.of(mark, lost));
          }
          right += right(consensus.of(strikes), mark);
        }
        row.append(
            String.format(
                Locale.ROOT,
                "  %d: %.1f (%.0f ms)",
                n,
                100 * right / MARKS,
                (System.nanoTime() - begun) / 1e6 / MARKS));
      }
      System.out.println(row);
    }
  }

  // A lost letter is not read right; a line that is not there is lost.
  private static double right(List<Line> read, MarkVariant mark) {
    String struck = String.join("", mark.lines());
    StringBuilder text = new StringBuilder();
    read.forEach(l -> text.append(l.text().replace(" ", "")));
    int apart = LevenshteinDistance.getDefaultInstance().apply(text, struck);
    return Math.max(0, 1 - apart / (double) struck.length());
  }
}
