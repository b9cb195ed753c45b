package snikra.server.quick;

import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.function.ToIntFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.reference.Maker;
import snikra.core.reference.MarkVariant;
import snikra.core.wanted.Sought;
import snikra.core.wanted.Want;
import snikra.server.paper.Paper;
import snikra.server.wanted.WantedList.KeptWant;

/**
 * A card of two sides, A6, to fold into a purse: marks with their years, and what one looks for.
 */
final class PocketCard {
  /** Lines that stand on a side, and letters on a line. */
  private static final int LINES = 38;

  private static final int LETTERS = 64;

  /** Letters of a mark beside its years. */
  private static final int MARK_LETTERS = 50;

  private static final Paper PAGE = new Paper(PocketCard.class, "card.html");

  private PocketCard() {}

  /** A mark as it is set. */
  record SetMark(String lines, String years) {}

  /** A maker as it is set; with no marks where nobody looks for it. */
  record SetMaker(String name, String years, List<SetMark> marks) {}

  /** Something looked for as it is set. */
  record SetWant(String what, String how, @Nullable String apart) {}

  /** All as it is set. */
  record SetCard(
      String day,
      List<SetMaker> makers,
      @Nullable String moreMakers,
      List<SetWant> wants,
      @Nullable String moreWants,
      List<String> cautions) {}

  /**
   * The card.
   *
   * @param onFile those looked for are told first, with their marks; the others in a line each
   */
  static byte[] of(
      LocalDate today,
      List<Maker> onFile,
      List<KeptWant> wants,
      List<String> cautions,
      Locale locale) {
    List<String> wanted =
        wants.stream().map(w -> w.want().maker()).filter(Objects::nonNull).distinct().toList();
    List<SetMaker> eras =
        onFile.stream()
            .filter(m -> !m.marks().isEmpty())
            .sorted(
                Comparator.comparing((Maker m) -> !wanted.contains(m.id()))
                    .thenComparing(Maker::name))
            .map(m -> maker(m, wanted.contains(m.id())))
            .toList();
    List<SetMaker> told = fitting(eras, LINES, PocketCard::lines);
    List<SetWant> sought = wants.stream().map(w -> want(w, locale)).toList();
    int room = LINES - cautions.stream().mapToInt(c -> lines(c, LETTERS)).sum();
    List<SetWant> toldWants = fitting(sought, room, PocketCard::lines);
    return PAGE.set(
        new SetCard(
            DateTimeFormatter.ofLocalizedDate(FormatStyle.MEDIUM).withLocale(locale).format(today),
            told,
            more(eras.size() - told.size()),
            toldWants,
            more(sought.size() - toldWants.size()),
            cautions));
  }

  private static <T> List<T> fitting(List<T> all, int room, ToIntFunction<T> lines) {
    List<T> fit = new ArrayList<>();
    int left = room;
    for (T one : all) {
      left -= lines.applyAsInt(one);
      if (left < 0) {
        break;
      }
      fit.add(one);
    }
    return fit;
  }

  private static @Nullable String more(int left) {
    return left == 0 ? null : "and " + left + " more, for which there is no room";
  }

  private static int lines(String text, int letters) {
    return (text.length() + letters - 1) / letters;
  }

  private static int lines(SetMaker maker) {
    return 1 + maker.marks().stream().mapToInt(m -> lines(m.lines(), MARK_LETTERS)).sum();
  }

  private static int lines(SetWant want) {
    return lines(want.what(), LETTERS)
        + lines(want.how(), LETTERS)
        + (want.apart() == null ? 0 : lines(want.apart(), LETTERS));
  }

  private static SetMaker maker(Maker maker, boolean withMarks) {
    return new SetMaker(
        maker.name(),
        years(
            maker.marks().stream().mapToInt(MarkVariant::from).min().orElseThrow(),
            maker.marks().stream().mapToInt(MarkVariant::to).max().orElseThrow()),
        maker.marks().stream()
            .filter(m -> withMarks)
            .sorted(Comparator.comparingInt(MarkVariant::from))
            .map(m -> new SetMark(String.join(" / ", m.lines()), years(m.from(), m.to())))
            .toList());
  }

  private static String years(int from, int to) {
    return from == to ? "" + from : from + "\u2013" + to;
  }

  private static SetWant want(KeptWant kept, Locale locale) {
    Sought told = kept.told();
    Want want = kept.want();
    String when = told.from() == null || told.to() == null ? null : years(told.from(), told.to());
    String how =
        Stream.of(
                told.lines().isEmpty() ? null : String.join(" / ", told.lines()),
                when,
                want.most() == null ? null : "at most " + money(want.most(), want, locale))
            .filter(Objects::nonNull)
            .collect(Collectors.joining(", "));
    return new SetWant(
        PocketFile.named(kept),
        how,
        told.neighbours().stream().findFirst().map(PocketCard::apart).orElse(null));
  }

  private static String money(BigDecimal most, Want want, Locale locale) {
    return Paper.money(most, Objects.requireNonNull(want.currency()), locale);
  }

  private static String apart(Sought.Neighbour other) {
    String tells =
        other.tells().stream()
            .filter(t -> t.ownMm() == null)
            .map(t -> t.label() + ": " + t.own())
            .collect(Collectors.joining("; "));
    return "Not " + other.label() + "." + (tells.isEmpty() ? "" : " " + tells);
  }
}
