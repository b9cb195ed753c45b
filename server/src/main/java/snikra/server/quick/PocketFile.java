package snikra.server.quick;

import com.samskivert.mustache.Mustache;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.quick.PocketTable;
import snikra.core.quick.QuickBook;
import snikra.core.reference.Maker;
import snikra.core.wanted.Sought;
import snikra.formats.Json;
import snikra.server.wanted.WantedList.KeptWant;

/**
 * A quick look as one page of HTML that needs nothing else: it opens on a phone without a network,
 * walks what was worked out beforehand and keeps what was noted.
 */
final class PocketFile {
  private static final String PAGE = "pocket.html";

  private PocketFile() {}

  /**
   * What the page holds.
   *
   * @param made the day it was made
   * @param ordinary what an ordinary knife brings where the maker is not known
   * @param currency of all amounts; null where no price is known
   */
  record Held(
      LocalDate made,
      QuickBook book,
      PocketTable table,
      @Nullable Double ordinary,
      @Nullable String currency,
      List<PocketMaker> makers,
      List<PocketWant> wanted) {}

  /**
   * A maker by what is struck.
   *
   * @param ordinary what an ordinary knife of theirs brings; null where no sale of theirs is known
   */
  record PocketMaker(String name, @Nullable Double ordinary, List<PocketMark> marks) {
    static PocketMaker of(Maker maker, @Nullable Double ordinary) {
      return new PocketMaker(
          maker.name(),
          ordinary,
          maker.marks().stream()
              .map(m -> new PocketMark(String.join(" ", m.lines()), m.from(), m.to()))
              .toList());
    }
  }

  /** A mark with its years. */
  record PocketMark(String lines, int from, int to) {}

  /** Something wanted, in words. */
  record PocketWant(
      String what, @Nullable Integer from, @Nullable Integer to, @Nullable String most) {
    static PocketWant of(KeptWant kept) {
      var told = kept.told();
      return new PocketWant(
          named(kept),
          told.from(),
          told.to(),
          kept.want().most() == null
              ? null
              : kept.want().most().toPlainString() + " " + kept.want().currency());
    }
  }

  /** What is looked for, in a line. */
  static String named(KeptWant kept) {
    Sought told = kept.told();
    return Stream.of(told.maker(), told.model(), told.pattern(), kept.want().note())
        .filter(Objects::nonNull)
        .collect(Collectors.joining(", "));
  }

  /** The page. */
  static String of(Held held) {
    // Within a script nothing may look like the end of it.
    String json = Json.mapper().writeValueAsString(held).replace("<", "\\u003c");
    return Mustache.compiler()
        .escapeHTML(false)
        .compile(page())
        .execute(Map.of("held", json, "made", held.made().toString()));
  }

  private static String page() {
    try (InputStream in =
        Objects.requireNonNull(PocketFile.class.getResourceAsStream(PAGE), PAGE)) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
