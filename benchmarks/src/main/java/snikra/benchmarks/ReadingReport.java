package snikra.benchmarks;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.function.Function;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.apache.commons.text.similarity.JaroWinklerSimilarity;
import org.apache.commons.text.similarity.LevenshteinDistance;
import org.apache.lucene.analysis.standard.StandardAnalyzer;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.StoredField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.Term;
import org.apache.lucene.search.BooleanClause;
import org.apache.lucene.search.BooleanQuery;
import org.apache.lucene.search.FuzzyQuery;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.store.ByteBuffersDirectory;
import snikra.core.mark.MarkReader;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Face;
import snikra.core.specimen.FaceState;
import snikra.core.specimen.SeenFace;
import snikra.core.specimen.Technique;

/**
 * Reads 5,000 worn marks against 6,000 on file by the noisy channel and by three usual measures of
 * likeness, the same readings for each, and prints how often the right mark comes first and among
 * the first three, and the time of a reading.
 */
public final class ReadingReport {
  private static final int MAKERS = 600;
  private static final int READINGS = 1250;

  /**
   * Read first at each level of wear, so that all methods are timed as they run in the long run.
   */
  private static final int WARM = 400;

  private static final double[] LOST = {0.1, 0.25, 0.4, 0.6};
  private static final int SHOWN = 3;

  /** Kept, for a logger nobody holds may be made anew with its level lost. */
  private static final Logger QUIET = Logger.getLogger("org.apache.lucene");

  private final List<MarkVariant> marks = new ArrayList<>();
  private final List<String> texts = new ArrayList<>();
  private final Map<String, Integer> places = new HashMap<>();
  private final ReferenceShelf shelf;

  private ReadingReport() {
    ReferenceShelf shipped = SyntheticShelf.of(1);
    Random random = new Random(1917);
    List<Maker> makers = new ArrayList<>();
    for (int m = 0; m < MAKERS; m++) {
      makers.add(maker(m, random));
    }
    shelf = shipped.withMakers(makers);
    makers.forEach(m -> marks.addAll(m.marks()));
    for (MarkVariant v : marks) {
      places.put(v.id(), texts.size());
      texts.add(String.join(" ", v.lines()));
    }
  }

  // Ten marks of one maker that share most of their letters, as marks of one maker do.
  private static Maker maker(int m, Random random) {
    String name = SyntheticShelf.word(random, 6 + m % 5);
    String town = SyntheticShelf.word(random, 7 + m % 3);
    String partner = SyntheticShelf.word(random, 4 + m % 3);
    String country = m % 2 == 0 ? "GERMANY" : "ENGLAND";
    List<List<String>> forms =
        List.of(
            List.of(name, town),
            List.of(name + " & " + partner, town),
            List.of(name, "& " + partner, town),
            List.of(name, town, country),
            List.of(name, "& SONS", town),
            List.of(name + " KNIFE CO", town),
            List.of(name, country),
            List.of(name, "MADE IN " + country),
            List.of(partner, town),
            List.of(town, name, "WARRANTED"));
    List<MarkVariant> variants = new ArrayList<>();
    for (int v = 0; v < forms.size(); v++) {
      int from = 1850 + 8 * v;
      variants.add(
          new MarkVariant(
              "m" + m + "-" + v,
              forms.get(v),
              List.of(),
              Technique.STRUCK,
              false,
              from,
              from + 12,
              2,
              "",
              ""));
    }
    String region = m % 2 == 0 ? "DE" : "UK";
    return new Maker("m" + m, name, region, town, 1, List.of(), null, List.of(), variants, "");
  }

  /** What comes first of all marks, likeliest first. */
  private interface Method extends Function<List<String>, int[]> {}

  public static void main(String[] args) throws IOException {
    QUIET.setLevel(Level.OFF);
    new ReadingReport().print();
  }

  private void print() throws IOException {
    System.out.printf(
        Locale.ROOT,
        "%d worn readings against %d marks: right mark first, among three; time of a reading%n",
        READINGS * LOST.length,
        marks.size());
    MarkReader reader = new MarkReader(shelf);
    IndexSearcher index = index();
    row("noisy channel", lines -> channel(reader, lines));
    row("edit distance", this::edits);
    row("Jaro-Winkler", this::jaroWinkler);
    row("fuzzy index query", lines -> fuzzy(index, lines));
  }

  private void row(String name, Method method) {
    System.out.printf(Locale.ROOT, "  %-18s", name);
    for (double lost : LOST) {
      WornReadings warm = new WornReadings(shelf.confusions());
      Random any = new Random(7);
      for (int i = 0; i < WARM; i++) {
        method.apply(warm.of(marks.get(any.nextInt(marks.size())), lost));
      }
    }
    for (double lost : LOST) {
      WornReadings worn = new WornReadings(shelf.confusions());
      Random which = new Random(42);
      int first = 0;
      int three = 0;
      long spent = 0;
      for (int i = 0; i < READINGS; i++) {
        int truth = which.nextInt(marks.size());
        List<String> lines = worn.of(marks.get(truth), lost);
        long begun = System.nanoTime();
        int[] found = method.apply(lines);
        spent += System.nanoTime() - begun;
        first += found.length > 0 && found[0] == truth ? 1 : 0;
        three += Arrays.stream(found).limit(SHOWN).anyMatch(v -> v == truth) ? 1 : 0;
      }
      System.out.printf(
          Locale.ROOT,
          "  %2.0f%% lost: %5.1f%% %5.1f%% %6.2f ms",
          100 * lost,
          100.0 * first / READINGS,
          100.0 * three / READINGS,
          spent / 1e6 / READINGS);
    }
    System.out.println();
  }

  private int[] channel(MarkReader reader, List<String> lines) {
    return reader
        .read(List.of(new SeenFace(1, Face.MARK, FaceState.READ, null, lines)))
        .candidates()
        .stream()
        .mapToInt(c -> places.get(c.variant().id()))
        .toArray();
  }

  // Lost letters keep their places, which serves both measures better than leaving them out.
  private static String plain(List<String> lines) {
    return String.join(" ", lines).replace("?", "").replace("*", "");
  }

  private int[] edits(List<String> lines) {
    String read = plain(lines);
    LevenshteinDistance distance = LevenshteinDistance.getDefaultInstance();
    return best(text -> -(double) distance.apply(read, text));
  }

  private int[] jaroWinkler(List<String> lines) {
    String read = plain(lines);
    JaroWinklerSimilarity similarity = new JaroWinklerSimilarity();
    return best(text -> similarity.apply(read, text));
  }

  private int[] best(Function<String, Double> likeness) {
    int[] best = new int[SHOWN];
    double[] scores = new double[SHOWN];
    Arrays.fill(scores, Double.NEGATIVE_INFINITY);
    for (int v = 0; v < texts.size(); v++) {
      double score = likeness.apply(texts.get(v));
      for (int k = 0; k < SHOWN; k++) {
        if (score > scores[k]) {
          System.arraycopy(scores, k, scores, k + 1, SHOWN - 1 - k);
          System.arraycopy(best, k, best, k + 1, SHOWN - 1 - k);
          scores[k] = score;
          best[k] = v;
          break;
        }
      }
    }
    return best;
  }

  private IndexSearcher index() throws IOException {
    ByteBuffersDirectory directory = new ByteBuffersDirectory();
    try (IndexWriter writer =
        new IndexWriter(directory, new IndexWriterConfig(new StandardAnalyzer()))) {
      for (int v = 0; v < texts.size(); v++) {
        Document document = new Document();
        document.add(new TextField("mark", texts.get(v), Field.Store.NO));
        document.add(new StoredField("mark-number", v));
        writer.addDocument(document);
      }
    }
    return new IndexSearcher(DirectoryReader.open(directory));
  }

  // Two edits a word are the most such a query allows.
  private static int[] fuzzy(IndexSearcher index, List<String> lines) {
    try {
      BooleanQuery.Builder query = new BooleanQuery.Builder();
      for (String word : plain(lines).split(" ", -1)) {
        if (!word.isBlank()) {
          query.add(
              new FuzzyQuery(
                  new Term("mark", word.toLowerCase(Locale.ROOT)), word.length() < 3 ? 1 : 2),
              BooleanClause.Occur.SHOULD);
        }
      }
      ScoreDoc[] hits = index.search(query.build(), SHOWN).scoreDocs;
      int[] found = new int[hits.length];
      for (int i = 0; i < hits.length; i++) {
        found[i] =
            index
                .storedFields()
                .document(hits[i].doc)
                .getField("mark-number")
                .numericValue()
                .intValue();
      }
      return found;
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }
}
