package snikra.server.schedules;

import java.time.format.DateTimeFormatter;
import java.time.format.FormatStyle;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import snikra.core.value.Schedule;
import snikra.server.paper.Paper;
import snikra.server.photos.LostPhotograph;
import snikra.server.photos.Photo;
import snikra.server.photos.PhotoService;

/** Sets a schedule on paper. */
public class SchedulePaper {
  private final PhotoService photos;
  private final Paper page = new Paper(SchedulePaper.class, "schedule.html");

  public SchedulePaper(PhotoService photos) {
    this.photos = photos;
  }

  /** A line as it is set. */
  record SetLine(
      int number,
      String name,
      @Nullable String title,
      String about,
      String amount,
      String stands,
      @Nullable String picture) {}

  /** The whole as it is set. */
  record SetSchedule(
      String heading,
      @Nullable String title,
      String day,
      String method,
      List<SetLine> lines,
      List<String> totals,
      @Nullable String unvalued) {}

  byte[] of(Schedule schedule, Locale locale) {
    DateTimeFormatter day = DateTimeFormatter.ofLocalizedDate(FormatStyle.LONG).withLocale(locale);
    Map<String, Photo> likeness =
        photos.likenesses(schedule.lines().stream().map(Schedule.Line::knife).toList());
    SetSchedule set =
        new SetSchedule(
            schedule.basis() == Schedule.Basis.INSURANCE
                ? "Schedule for insurance"
                : "Schedule for an estate",
            schedule.title(),
            day.format(schedule.asOf()),
            schedule.method(),
            schedule.lines().stream().map(l -> line(l, likeness.get(l.knife()), locale)).toList(),
            schedule.totals().entrySet().stream()
                .map(t -> Paper.money(t.getValue(), t.getKey(), locale))
                .toList(),
            unvalued(schedule.unvalued()));
    return page.set(set);
  }

  private static @Nullable String unvalued(int knives) {
    return knives == 0
        ? null
        : knives == 1 ? "One knife has no amount." : knives + " knives have no amount.";
  }

  private SetLine line(Schedule.Line line, @Nullable Photo photo, Locale locale) {
    String about =
        Stream.of(line.maker(), line.made(), line.grade(), line.box())
            .filter(Objects::nonNull)
            .collect(Collectors.joining(". "));
    boolean isValued = line.amount() != null && line.currency() != null;
    return new SetLine(
        line.number(),
        line.name(),
        line.title(),
        about.isEmpty() ? "Nothing more is known of it." : about + ".",
        isValued ? Paper.money(line.amount(), line.currency(), locale) : "none",
        isValued
            ? "half of like sales from %s to %s, from %d %s"
                .formatted(
                    Paper.money(Objects.requireNonNull(line.low()), line.currency(), locale),
                    Paper.money(Objects.requireNonNull(line.high()), line.currency(), locale),
                    line.counted(),
                    line.counted() == 1 ? "sale" : "sales")
            : "no sale of a like knife",
        picture(photo));
  }

  private @Nullable String picture(@Nullable Photo photo) {
    if (photo == null) {
      return null;
    }
    try {
      PhotoService.Content small = photos.content(photo.id(), PhotoService.Copy.THUMBNAIL);
      return Paper.picture(small.mediaType(), small.bytes());
    } catch (LostPhotograph e) {
      return null;
    }
  }
}
