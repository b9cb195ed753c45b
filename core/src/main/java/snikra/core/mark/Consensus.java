package snikra.core.mark;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import snikra.core.reference.ReferenceShelf;

/**
 * One mark out of several strikes of it, each worn in its own way: the letters that make what was
 * read on all of them likeliest, each with how likely it is.
 *
 * <p>The likelihood of a line is that of the channel by which marks are read, summed over all
 * alignments. The likeliest line is climbed to from each of the readings, by one letter put in,
 * left out or made another at a time, until no such step helps.
 */
public final class Consensus {
  /** What is better by less than this is the same. */
  private static final double STEP = 1e-9;

  private final Channel channel;
  private final double isRead;
  private final double isOneOfThem;

  /** By the confusions and the rates of these references. */
  public Consensus(ReferenceShelf shelf) {
    this.channel = new Channel(shelf.lettering(), LetterRates.of(shelf.judgement()));
    this.isRead = shelf.judgement().of("consensus.letter");
    this.isOneOfThem = Math.log(shelf.judgement().of("consensus.line"));
  }

  /**
   * A letter.
   *
   * @param letter the likeliest
   * @param chance that it is the one that was struck
   * @param isRead whether that is enough to take it for read
   * @param spaced whether a space stands before it
   */
  public record Letter(String letter, double chance, boolean isRead, boolean spaced) {}

  /**
   * A line.
   *
   * @param text as read of all strikes together: a lost letter is {@code _}
   * @param strikes as each strike has it, in their order; null where it has no such line
   */
  public record Line(String text, List<Letter> letters, List<@Nullable String> strikes) {
    /** Whether this strike has it. */
    public boolean isOn(int strike) {
      return strikes.get(strike) != null;
    }
  }

  /**
   * The lines of a mark.
   *
   * @param strikes of each the lines as read, top to bottom
   */
  public List<Line> of(List<List<String>> strikes) {
    List<List<@Nullable String>> rows = paired(strikes);
    return rows.stream().map(this::line).filter(l -> !l.letters().isEmpty()).toList();
  }

  private Line line(List<@Nullable String> strikes) {
    List<Reading> readings =
        strikes.stream().filter(s -> s != null).map(s -> new Reading(channel, s)).toList();
    char[] struck = likeliest(readings);
    List<Letter> letters = new ArrayList<>();
    for (int at = 0; at < struck.length; at++) {
      double chance = chance(readings, struck, at);
      boolean spaced = at > 0 && isSpaced(readings, struck, at);
      letters.add(new Letter("" + struck[at], chance, chance >= isRead, spaced));
    }
    String text =
        letters.stream()
            .map(l -> (l.spaced() ? " " : "") + (l.isRead() ? l.letter() : "_"))
            .collect(Collectors.joining());
    return new Line(text, letters, strikes);
  }

  /** The letters that make all readings likeliest, before anything is held to be lost. */
  char[] likeliest(List<Reading> readings) {
    char[] best = new char[0];
    double top = Double.NEGATIVE_INFINITY;
    for (Reading from : readings) {
      Climbed climbed = climb(readings, from.filled());
      if (climbed.score() > top) {
        top = climbed.score();
        best = climbed.letters();
      }
    }
    return best;
  }

  private record Climbed(char[] letters, double score) {
    private Climbed orBetter(List<Reading> readings, char[] other, Consensus by) {
      double there = by.score(readings, other);
      return there > score + STEP ? new Climbed(other, there) : this;
    }
  }

  private Climbed climb(List<Reading> readings, char[] begun) {
    Climbed now = new Climbed(begun, score(readings, begun));
    double before = Double.NEGATIVE_INFINITY;
    while (now.score() > before) {
      before = now.score();
      for (int at = 0; at < now.letters().length; at++) {
        now = tried(readings, now, at, 1);
      }
      for (int at = now.letters().length - 1; at >= 0; at--) {
        now = now.orBetter(readings, without(now.letters(), at), this);
      }
      for (int at = 0; at <= now.letters().length; at++) {
        now = tried(readings, now, at, 0);
      }
    }
    return now;
  }

  // With each letter there may be, in place of one or put in.
  private Climbed tried(List<Reading> readings, Climbed now, int at, int inPlaceOf) {
    Climbed best = now;
    for (char letter : Channel.letters()) {
      best = best.orBetter(readings, put(now.letters(), at, letter, inPlaceOf), this);
    }
    return best;
  }

  private static char[] without(char[] from, int at) {
    char[] out = new char[from.length - 1];
    System.arraycopy(from, 0, out, 0, at);
    System.arraycopy(from, at + 1, out, at, from.length - at - 1);
    return out;
  }

  private static char[] put(char[] from, int at, char letter, int inPlaceOf) {
    char[] out = new char[from.length + 1 - inPlaceOf];
    System.arraycopy(from, 0, out, 0, at);
    out[at] = letter;
    System.arraycopy(from, at + inPlaceOf, out, at + 1, from.length - at - inPlaceOf);
    return out;
  }

  /** How likely letters are in marks, and the readings if they were struck; as a logarithm. */
  double score(List<Reading> readings, char[] struck) {
    double sum = 0;
    for (char letter : struck) {
      sum += Math.log(channel.frequency(letter));
    }
    for (Reading reading : readings) {
      sum += Math.log(Math.max(Double.MIN_NORMAL, reading.given(struck)));
    }
    return sum;
  }

  // Exact, the other letters being as they are.
  private double chance(List<Reading> readings, char[] struck, int at) {
    double own = score(readings, struck);
    double all = 0;
    char[] other = struck.clone();
    for (char letter : Channel.letters()) {
      other[at] = letter;
      all += Math.exp(score(readings, other) - own);
    }
    return 1 / all;
  }

  // Where more strikes have a space there than have none.
  private static boolean isSpaced(List<Reading> readings, char[] struck, int at) {
    int with = 0;
    int without = 0;
    for (Reading reading : readings) {
      Boolean spaced = reading.spaced(struck, at);
      with += Boolean.TRUE.equals(spaced) ? 1 : 0;
      without += Boolean.FALSE.equals(spaced) ? 1 : 0;
    }
    return with > without;
  }

  /** A line as it was read on one strike. */
  static final class Reading {
    private final Channel channel;
    private final Channel.Read read;
    private final List<Glyph> glyphs;
    private final boolean[] spacedBefore;

    Reading(Channel channel, String line) {
      this.channel = channel;
      this.read = channel.read(line);
      this.glyphs = read.glyphs();
      this.spacedBefore = spaces(line, glyphs.size());
    }

    // By glyph, whether a space stands before it.
    private static boolean[] spaces(String line, int glyphs) {
      boolean[] out = new boolean[glyphs];
      int at = 0;
      boolean isSpace = false;
      for (char c : Glyph.fold(line).toCharArray()) {
        if (c == ' ') {
          isSpace = true;
        } else if (c == '_' || c == '*' || Glyph.isLetter(c)) {
          if (at < glyphs) {
            out[at++] = isSpace;
          }
          isSpace = false;
        }
      }
      return out;
    }

    /** P(as read | these letters struck), over all alignments. */
    double given(char[] struck) {
      Channel.Column before = new Channel.Column(read, 1);
      Channel.Column after = new Channel.Column(read, 1);
      before.begin(read);
      for (char letter : struck) {
        after.strike(read, Channel.index(letter), 1, before);
        Channel.Column turn = before;
        before = after;
        after = turn;
      }
      return before.whole(0);
    }

    // Lost letters filled in with what is met most: a place to begin from.
    private char[] filled() {
      StringBuilder out = new StringBuilder();
      for (Glyph g : glyphs) {
        if (g.legibility() == Glyph.Legibility.LOST) {
          out.append('E');
        } else if (g.legibility() != Glyph.Legibility.RUN) {
          out.append(g.letter());
        }
      }
      return out.toString().toCharArray();
    }

    /** Whether it has a space before a letter; null where it does not tell. */
    private @Nullable Boolean spaced(char[] struck, int at) {
      int[] taken = Alignment.trace(channel, glyphs, struck);
      boolean isNext = taken[at] > 0 && taken[at - 1] == taken[at] - 1;
      return isNext ? spacedBefore[taken[at]] : null;
    }
  }

  /**
   * Which lines of the strikes are one: to the lines of the strike that the others fit best, those
   * of each other in their order as they fit best.
   */
  private List<List<@Nullable String>> paired(List<List<String>> strikes) {
    List<String> frame =
        strikes.stream()
            .max(
                Comparator.<List<String>>comparingDouble(s -> fit(strikes, s))
                    .thenComparingInt(List::size)
                    .thenComparingInt(s -> String.join("", s).replaceAll("[_*? ]", "").length()))
            .orElse(List.of());
    List<List<@Nullable String>> rows = new ArrayList<>();
    frame.forEach(l -> rows.add(new ArrayList<>()));
    for (List<String> strike : strikes) {
      int[] place = places(strike, frame);
      for (int row = 0; row < frame.size(); row++) {
        int at = place[row];
        rows.get(row).add(at < 0 ? null : strike.get(at));
      }
    }
    return rows;
  }

  // How well all others fit the lines of one, so that a stranger gives no mark its lines. Of two,
  // each fits the other alike, whichever way it is added up: hence the steps.
  private double fit(List<List<String>> strikes, List<String> frame) {
    double sum = 0;
    for (List<String> strike : strikes) {
      sum += strike.equals(frame) ? 0 : fits(strike, frame)[0][0];
    }
    return Math.rint(sum / STEP) * STEP;
  }

  // By line of the frame, the line of the strike that is it, or -1; in order, the best in all.
  private int[] places(List<String> strike, List<String> frame) {
    double[][] best = fits(strike, frame);
    int n = frame.size();
    int m = strike.size();
    int[] places = new int[n];
    int from = 0;
    for (int i = 0; i < n; i++) {
      places[i] = -1;
      for (int k = from; k < m && best[i][from] > best[i + 1][from]; k++) {
        if (likeness(strike.get(k), frame.get(i)) + best[i + 1][k + 1] == best[i][from]) {
          places[i] = k;
          from = k + 1;
          break;
        }
      }
    }
    return places;
  }

  // From each line of the frame and of the strike on, how well what is left fits at best.
  private double[][] fits(List<String> strike, List<String> frame) {
    int n = frame.size();
    int m = strike.size();
    double[][] best = new double[n + 1][m + 1];
    for (double[] row : best) {
      Arrays.fill(row, Double.NEGATIVE_INFINITY);
    }
    Arrays.fill(best[n], 0);
    for (int i = n - 1; i >= 0; i--) {
      for (int j = m; j >= 0; j--) {
        best[i][j] = best[i + 1][j];
        for (int k = j; k < m; k++) {
          best[i][j] =
              Math.max(best[i][j], likeness(strike.get(k), frame.get(i)) + best[i + 1][k + 1]);
        }
      }
    }
    return best;
  }

  // How much likelier two are one line than two of any, lost letters telling nothing; as a
  // logarithm. A line of a strike is most often one of the frame: that is worth something by
  // itself.
  private double likeness(String one, String other) {
    List<Glyph> a = Glyph.read(one);
    List<Glyph> b = Glyph.read(other);
    double gap = Math.log(channel.imagined());
    double[][] best = new double[a.size() + 1][b.size() + 1];
    for (int i = 0; i <= a.size(); i++) {
      for (int j = 0; j <= b.size(); j++) {
        if (i + j == 0) {
          continue;
        }
        double top = Double.NEGATIVE_INFINITY;
        if (i > 0 && j > 0) {
          top = best[i - 1][j - 1] + together(a.get(i - 1), b.get(j - 1));
        }
        boolean isStretch = (i > 0 && isRun(a.get(i - 1))) || (j > 0 && isRun(b.get(j - 1)));
        if (i > 0) {
          top = Math.max(top, best[i - 1][j] + (isStretch ? 0 : gap));
        }
        if (j > 0) {
          top = Math.max(top, best[i][j - 1] + (isStretch ? 0 : gap));
        }
        best[i][j] = top;
      }
    }
    return isOneOfThem + best[a.size()][b.size()];
  }

  private static boolean isRun(Glyph glyph) {
    return glyph.legibility() == Glyph.Legibility.RUN;
  }

  // How much oftener than by chance two letters are read so where one was struck.
  private double together(Glyph one, Glyph other) {
    double both = 0;
    double alone = 0;
    double otherAlone = 0;
    for (char letter : Channel.letters()) {
      int struck = Channel.index(letter);
      double often = channel.frequency(letter);
      both += often * channel.emission(one, struck) * channel.emission(other, struck);
      alone += often * channel.emission(one, struck);
      otherAlone += often * channel.emission(other, struck);
    }
    return Math.log(both / (alone * otherAlone));
  }
}
