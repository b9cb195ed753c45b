package snikra.server.http;

import java.math.BigDecimal;
import tools.jackson.core.JsonGenerator;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.annotation.JsonSerialize;

/**
 * The years of a knife as they go out: each to a ten-millionth. They are a third of every verdict,
 * and most of them, far from the knife's own years, are as good as nothing told to seventeen
 * figures.
 */
public abstract class ToldCurve {
  /** Probability by year. */
  @JsonSerialize(using = Rounded.class)
  abstract double[] curve();

  /** Writes each number to a ten-millionth. */
  static final class Rounded extends ValueSerializer<double[]> {
    private static final int FIGURES = 7;
    private static final double TEN_MILLIONTHS = 1e7;

    @Override
    public void serialize(double[] curve, JsonGenerator out, SerializationContext context) {
      out.writeStartArray(curve, curve.length);
      for (double p : curve) {
        long told = Math.round(p * TEN_MILLIONTHS);
        if (told == 0) {
          out.writeNumber(0);
        } else {
          // As a double it would be looked for which figures tell it apart from all others.
          out.writeNumber(BigDecimal.valueOf(told, FIGURES));
        }
      }
      out.writeEndArray();
    }
  }
}
