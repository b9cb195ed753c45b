package snikra.core.number;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * A number as seen: for each place the figures it may be. {@code _}, {@code ?} and a raised point
 * stand for a figure that cannot be read, {@code [17]} for one that is either; spaces say nothing.
 */
record StruckNumber(List<String> places) {
  private static final String ANY = "";

  static StruckNumber read(String written) {
    List<String> places = new ArrayList<>();
    String text = written.toUpperCase(Locale.ROOT).replace(" ", "");
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      int close = text.indexOf(']', i);
      if (c == '[' && close > i + 1) {
        places.add(text.substring(i + 1, close));
        i = close;
      } else {
        places.add(c == '_' || c == '?' || c == '\u00b7' ? ANY : String.valueOf(c));
      }
    }
    return new StruckNumber(places);
  }

  int length() {
    return places.size();
  }

  boolean fits(int at, String code) {
    if (at + code.length() > places.size()) {
      return false;
    }
    for (int i = 0; i < code.length(); i++) {
      String place = places.get(at + i);
      if (!place.equals(ANY) && place.indexOf(code.charAt(i)) < 0) {
        return false;
      }
    }
    return true;
  }

  /** As written, a run of places. */
  String shown(int from, int to) {
    StringBuilder out = new StringBuilder();
    for (String place : places.subList(from, to)) {
      out.append(place.equals(ANY) ? "_" : place.length() == 1 ? place : "[" + place + "]");
    }
    return out.toString();
  }

  /** Probability of these figures when nothing is known of how they are built. */
  double byChance() {
    double p = 1;
    for (String place : places) {
      p *= place.equals(ANY) ? 1 : Math.min(1, place.length() / 11.0);
    }
    return p;
  }
}
