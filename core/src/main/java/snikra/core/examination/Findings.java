package snikra.core.examination;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.text.MessageFormat;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Properties;
import snikra.core.examination.Verdict.Finding;

/**
 * Findings as sentences. What was found is a code and what it is about; the sentences stand in one
 * file, {@code findings.properties}, and are made last of all.
 */
final class Findings {
  private static final Properties SENTENCES = load();

  private Findings() {}

  /** A finding with its sentence; figures are shown without groups of thousands. */
  static Finding of(String station, String code, boolean conflict, Object... with) {
    String pattern = SENTENCES.getProperty(code);
    if (pattern == null) {
      throw new IllegalArgumentException("a finding must have a sentence; found " + code);
    }
    List<String> arguments = java.util.Arrays.stream(with).map(Findings::shown).toList();
    String text = new MessageFormat(pattern, Locale.ROOT).format(arguments.toArray());
    return new Finding(station, code, arguments, text, conflict);
  }

  private static String shown(Object argument) {
    return argument instanceof Double d ? Long.toString(Math.round(100 * d)) : argument.toString();
  }

  private static Properties load() {
    try (InputStream in =
        Objects.requireNonNull(Findings.class.getResourceAsStream("findings.properties"))) {
      Properties sentences = new Properties();
      sentences.load(new InputStreamReader(in, StandardCharsets.UTF_8));
      return sentences;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
