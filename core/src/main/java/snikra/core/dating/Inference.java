package snikra.core.dating;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** The posterior over years for a set of hypotheses, all states summed out. */
final class Inference {
  /** Share of the whole that is left out of account at most, for each group. */
  private static final double NEGLIGIBLE = 1e-11;

  private final Hypotheses hypotheses;
  private final int years;
  private final List<List<Look>> looksByPart;
  private final Sums[] sums;
  private final Voice.PartCurves silent;

  /** By part and voice, the first of the voices that hear the very same of it. */
  private final int[][] alike;

  /** The scale on which likelihoods are told: the chunks of the likeliest. */
  private final int scale;

  /** Likelihood by group, nearness and year, on a common scale. */
  final double[][][] weight;

  Inference(Hypotheses hypotheses, int years, List<List<Look>> looksByPart) {
    this.hypotheses = hypotheses;
    this.years = years;
    this.looksByPart = looksByPart;
    this.silent = Voice.PartCurves.silent(years);
    sums = new Sums[hypotheses.voices.size()];
    alike = new int[looksByPart.size()][];
    for (int part = 0; part < looksByPart.size(); part++) {
      alike[part] = alike(part, looksByPart.get(part));
      Voice.@Nullable PartCurves[] curves = curves(part, looksByPart.get(part), hypotheses.voices);
      for (Voice voice : hypotheses.voices) {
        voice.hear(part, curves[voice.index]);
      }
    }
    hypotheses.voices.forEach(voice -> sums[voice.index] = voice.sums());
    scale = hypotheses.groups.stream().mapToInt(this::fewestChunks).min().orElse(0);
    weight = new double[hypotheses.groups.size()][2][years];
    for (Group group : hypotheses.groups) {
      weigh(group, sums[group.voice.index], silent, weight[group.index]);
    }
  }

  private int fewestChunks(Group group) {
    int fewest = Integer.MAX_VALUE;
    for (int[] chunks : sums[group.voice.index].chunks) {
      if (chunks == null) {
        return 0;
      }
      for (int y = 0; y < years; y++) {
        boolean possible = group.mass[0][y] > 0 || group.mass[1][y] > 0;
        fewest = possible ? Math.min(fewest, chunks[y]) : fewest;
      }
    }
    return fewest;
  }

  // With the curves of one part more than the sums hold.
  private void weigh(Group group, Sums rest, Voice.PartCurves more, double[][] weights) {
    for (int style = 0; style < 2; style++) {
      double[] asMade = rest.asMade(style, scale);
      for (int near = 0; near < 2; near++) {
        if (group.isMet(near)) {
          group.addStates(
              style,
              asMade,
              more.original()[style],
              rest.one[near][style],
              rest.two[near],
              more.departs()[near][style],
              weights[near]);
        }
      }
    }
  }

  /** P(year), all else summed out. */
  double[] years() {
    double[] post = new double[years];
    for (Group group : hypotheses.groups) {
      addTo(post, group, weight[group.index]);
    }
    return Distribution.normalised(post);
  }

  /** P(year) if the marks had weighed the hypotheses otherwise; the clues say what they say. */
  double[] years(Hypotheses others) {
    Map<String, Group> mine =
        hypotheses.groups.stream().collect(Collectors.toMap(g -> g.key, Function.identity()));
    double[] post = new double[years];
    for (Group group : others.groups) {
      addTo(post, group, weight[mine.get(group.key).index]);
    }
    return Distribution.normalised(post);
  }

  private static void addTo(double[] post, Group group, double[][] weights) {
    for (int near = 0; near < 2; near++) {
      if (group.isMet(near)) {
        double[] mass = group.mass[near];
        double[] row = weights[near];
        for (int y = 0; y < post.length; y++) {
          post[y] += mass[y] > 0 ? mass[y] * row[y] : 0;
        }
      }
    }
  }

  /**
   * What is known without one look.
   *
   * @param years P(year)
   * @param regions P(built there), by region of the shelf
   */
  record Without(double[] years, double[] regions) {}

  /** P(built there) by region, all else summed out. */
  double[] regions() {
    return regions(hypotheses);
  }

  private int regionCount() {
    return 1 + hypotheses.voices.stream().mapToInt(v -> v.region).max().orElse(0);
  }

  /** P(built there) if the marks had weighed the hypotheses otherwise. */
  double[] regions(Hypotheses others) {
    Map<String, Group> mine =
        hypotheses.groups.stream().collect(Collectors.toMap(g -> g.key, Function.identity()));
    double[] post = new double[regionCount()];
    for (Group group : others.groups) {
      double[] row = new double[years];
      addTo(row, group, weight[mine.get(group.key).index]);
      post[group.voice.region] += Distribution.sum(row);
    }
    return Distribution.normalised(post);
  }

  /** For each of these looks, what would be known if it had not been taken. */
  List<Without> withoutEach(List<Look> looks) {
    double[][] post = new double[looks.size()][years];
    double[][] regions = new double[looks.size()][regionCount()];
    SortedMap<Integer, List<Group>> likely =
        likely(looks.stream().mapToDouble(this::least).min().orElse(1));
    List<Voice> voices = likely.keySet().stream().map(hypotheses.voices::get).toList();
    List<Voice.@Nullable PartCurves[]> curves =
        looks.stream()
            .map(look -> curves(look.part(), othersThan(List.of(look), look.part()), voices))
            .toList();
    Sums[] room = Voice.room(looksByPart.size(), years);
    double[][] weights = new double[2][years];
    double[] before = new double[looks.size()];
    for (Voice voice : voices) {
      int v = voice.index;
      List<Group> groups = likely.get(v);
      Arrays.setAll(before, i -> Distribution.sum(post[i]));
      for (int i = 0; i < post.length; i++) {
        if (!voice.speaks(looks.get(i).part())) {
          addTo(post[i], groups, sums[v], silent, weights);
        }
      }
      voice.withoutEach(
          room,
          (rest, part) -> {
            for (int i = 0; i < post.length; i++) {
              if (looks.get(i).part() == part) {
                Voice.PartCurves said = curves.get(i)[v];
                addTo(post[i], groups, rest, said == null ? silent : said, weights);
              }
            }
          });
      for (int i = 0; i < post.length; i++) {
        regions[i][voice.region] += Math.max(0, Distribution.sum(post[i]) - before[i]);
      }
    }
    return IntStream.range(0, post.length)
        .mapToObj(
            i -> new Without(Distribution.normalised(post[i]), Distribution.normalised(regions[i])))
        .toList();
  }

  /** P(year) if none of these looks had been taken. */
  double[] yearsWithout(List<Look> left) {
    SortedMap<Integer, List<Group>> likely =
        likely(left.stream().mapToDouble(this::least).reduce(1, (a, b) -> a * b));
    List<Voice> voices = likely.keySet().stream().map(hypotheses.voices::get).toList();
    Voice.@Nullable PartCurves[][] others = new Voice.PartCurves[looksByPart.size()][];
    for (Look look : left) {
      int part = look.part();
      if (others[part] == null) {
        others[part] = curves(part, othersThan(left, part), voices);
      }
    }
    double[] post = new double[years];
    double[][] weights = new double[2][years];
    for (Voice voice : voices) {
      addTo(post, likely.get(voice.index), voice.sums(others), silent, weights);
    }
    return Distribution.normalised(post);
  }

  // With the curves of one part more than the sums hold.
  private void addTo(
      double[] post, List<Group> groups, Sums rest, Voice.PartCurves more, double[][] weights) {
    for (Group group : groups) {
      Arrays.fill(weights[0], 0);
      Arrays.fill(weights[1], 0);
      weigh(group, rest, more, weights);
      addTo(post, group, weights);
    }
  }

  private double least(Look look) {
    return look.least() * hypotheses.ownLeast(look.id());
  }

  // By voice. Leaving out a look makes nothing likelier than by its least likelihood, and nothing
  // unlikelier.
  private SortedMap<Integer, List<Group>> likely(double least) {
    double[] share = new double[weight.length];
    double total = 0;
    for (Group group : hypotheses.groups) {
      double[] post = new double[years];
      addTo(post, group, weight[group.index]);
      share[group.index] = Distribution.sum(post);
      total += share[group.index];
    }
    double negligible = NEGLIGIBLE * least * total;
    return hypotheses.groups.stream()
        .filter(g -> share[g.index] >= negligible)
        .collect(Collectors.groupingBy(g -> g.voice.index, TreeMap::new, Collectors.toList()));
  }

  private int[] alike(int part, List<Look> looks) {
    int[] first = new int[hypotheses.voices.size()];
    for (Voice voice : hypotheses.voices) {
      while (!hypotheses.voices.get(first[voice.index]).hearsLike(voice, part, looks)) {
        first[voice.index]++;
      }
    }
    return first;
  }

  // By voice; what several hear alike is worked out once.
  private Voice.@Nullable PartCurves[] curves(int part, List<Look> looks, List<Voice> voices) {
    Voice.@Nullable PartCurves[] curves = new Voice.PartCurves[hypotheses.voices.size()];
    boolean[] done = new boolean[curves.length];
    for (Voice voice : voices) {
      int same = alike[part][voice.index];
      if (!done[same]) {
        curves[same] = voice.curves(part, looks);
        done[same] = true;
      }
      curves[voice.index] = curves[same];
    }
    return curves;
  }

  private List<Look> othersThan(List<Look> left, int part) {
    Set<String> ids = left.stream().map(Look::id).collect(Collectors.toSet());
    return looksByPart.get(part).stream().filter(l -> !ids.contains(l.id())).toList();
  }

  /**
   * Likelihood of all parts being of the knife's year, by year, on the scale of {@link #weight}; to
   * be read only.
   */
  double[] asMade(Group group, int style) {
    return sums[group.voice.index].asMade(style, scale);
  }
}
