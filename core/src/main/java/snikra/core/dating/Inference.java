package snikra.core.dating;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The posterior over years for a set of hypotheses, all states summed out. */
final class Inference {
  private final Hypotheses hypotheses;
  private final int years;
  private final List<List<Look>> looksByPart;
  private final Sums[] sums;

  /** The scale on which likelihoods are told: the chunks of the likeliest. */
  private final int scale;

  /** Likelihood by group, nearness and year, on a common scale. */
  final double[][][] weight;

  Inference(Hypotheses hypotheses, int years, List<List<Look>> looksByPart) {
    this.hypotheses = hypotheses;
    this.years = years;
    this.looksByPart = looksByPart;
    sums = new Sums[hypotheses.voices.size()];
    for (int part = 0; part < looksByPart.size(); part++) {
      Voice.@Nullable PartCurves[] curves = curves(part, looksByPart.get(part), null);
      for (Voice voice : hypotheses.voices) {
        voice.hear(part, curves[voice.index]);
      }
    }
    hypotheses.voices.forEach(voice -> sums[voice.index] = voice.sums());
    scale = hypotheses.groups.stream().mapToInt(this::fewestChunks).min().orElse(0);
    weight = new double[hypotheses.groups.size()][2][years];
    for (Group group : hypotheses.groups) {
      weigh(group, sums[group.voice.index], null, weight[group.index]);
    }
  }

  private int fewestChunks(Group group) {
    int fewest = Integer.MAX_VALUE;
    for (int[] chunks : sums[group.voice.index].chunks) {
      for (int y = 0; y < years; y++) {
        boolean possible = group.mass[0][y] > 0 || group.mass[1][y] > 0;
        fewest = possible ? Math.min(fewest, chunks[y]) : fewest;
      }
    }
    return fewest;
  }

  // With the curves of one part more than the sums hold, or with none.
  private void weigh(Group group, Sums rest, Voice.@Nullable PartCurves more, double[][] weights) {
    for (int style = 0; style < 2; style++) {
      double[] alike = rest.asMade(style, scale);
      for (int y = 0; more != null && y < years; y++) {
        alike[y] *= more.original()[style][y];
      }
      double prior = group.prior(style);
      for (int y = 0; y < years; y++) {
        alike[y] *= prior;
      }
      for (int near = 0; near < 2; near++) {
        if (group.isMet(near)) {
          double[] a = more == null ? null : more.departs()[near][style];
          add(group, style, alike, rest.one[near][style], rest.two[near][style], a, weights[near]);
        }
      }
    }
  }

  private static void add(
      Group group,
      int style,
      double[] alike,
      double[] one,
      double[] two,
      double @Nullable [] a,
      double[] weights) {
    for (int y = 0; y < weights.length; y++) {
      double more = a == null ? 0 : a[y];
      weights[y] += alike[y] * group.states(style, one[y] + more, two[y] + one[y] * more);
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

  private static void addTo(double[] post, Group group, double[][] weights) {
    for (int near = 0; near < 2; near++) {
      double[] mass = group.mass[near];
      double[] row = weights[near];
      for (int y = 0; group.isMet(near) && y < post.length; y++) {
        post[y] += mass[y] > 0 ? mass[y] * row[y] : 0;
      }
    }
  }

  /** For each of these looks, P(year) if it had not been taken. */
  double[][] yearsWithoutEach(List<Look> looks) {
    Sums[][] without = new Sums[hypotheses.voices.size()][];
    hypotheses.voices.forEach(voice -> without[voice.index] = voice.sumsWithoutEach());
    Voice.PartCurves[] room = new Voice.PartCurves[without.length];
    Arrays.setAll(room, v -> Voice.PartCurves.empty(years));
    double[][] weights = new double[2][years];
    double[][] post = new double[looks.size()][years];
    for (int i = 0; i < post.length; i++) {
      int part = looks.get(i).part();
      Voice.@Nullable PartCurves[] curves = curves(part, othersThan(looks.get(i)), room);
      for (Group group : hypotheses.groups) {
        int v = group.voice.index;
        Arrays.fill(weights[0], 0);
        Arrays.fill(weights[1], 0);
        weigh(group, without[v][part] == null ? sums[v] : without[v][part], curves[v], weights);
        addTo(post[i], group, weights);
      }
      post[i] = Distribution.normalised(post[i]);
    }
    return post;
  }

  // By voice; those that hear the same are worked out once for a region. Written into the room
  // given.
  private Voice.@Nullable PartCurves[] curves(
      int part, List<Look> looks, Voice.PartCurves @Nullable [] room) {
    Map<Integer, Voice> first = new HashMap<>();
    Voice.@Nullable PartCurves[] curves = new Voice.PartCurves[hypotheses.voices.size()];
    for (Voice voice : hypotheses.voices) {
      int v = voice.index;
      boolean alike = voice.hearsLikeOthers(part, looks);
      Voice same = alike ? first.putIfAbsent(voice.region, voice) : null;
      if (same != null) {
        curves[v] = curves[same.index];
      } else {
        curves[v] = room == null ? voice.curves(part, looks) : voice.curves(part, looks, room[v]);
      }
    }
    return curves;
  }

  private List<Look> othersThan(Look left) {
    return looksByPart.get(left.part()).stream().filter(l -> !l.id().equals(left.id())).toList();
  }

  /**
   * Likelihood of all parts being of the knife's year, by year, on the scale of {@link #weight}.
   */
  double[] asMade(Group group, int style) {
    return sums[group.voice.index].asMade(style, scale);
  }
}
