package snikra.server.sales;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Stream;
import snikra.core.examination.Problem;
import snikra.core.reference.ReferenceShelf;
import snikra.core.value.SaleRoom;
import snikra.formats.InvalidInput;
import snikra.server.knives.KnifeService;

/** The sale rooms that can be asked what they sold. */
public final class SaleRooms {
  private static final String FOLDER = "sale-rooms";

  private final Supplier<List<SaleRoom>> rooms;
  private final Clock clock;

  /** These rooms, looked for anew each time. */
  public SaleRooms(Supplier<List<SaleRoom>> rooms, Clock clock) {
    this.rooms = rooms;
    this.clock = clock;
  }

  /**
   * The rooms of a tray: those whose reports lie in its folder, and the stand-in that ships.
   *
   * @param hasStandIn whether it is among them: nothing made up may value a real knife
   */
  public static SaleRooms of(
      Path dataFolder, boolean hasStandIn, Supplier<ReferenceShelf> shelf, Clock clock) {
    List<SaleRoom> standIns = hasStandIn ? List.of(new SimulatedRoom(shelf)) : List.of();
    return new SaleRooms(
        () ->
            Stream.concat(standIns.stream(), FolderRoom.in(dataFolder.resolve(FOLDER)).stream())
                .toList(),
        clock);
  }

  List<SaleRoom> all() {
    return rooms.get();
  }

  SaleRoom find(String id) {
    List<SaleRoom> all = all();
    return all.stream()
        .filter(r -> r.id().equals(id))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidInput(
                    List.of(
                        new Problem(
                            "room",
                            id,
                            "must be one of " + all.stream().map(SaleRoom::id).toList()))));
  }

  // What was taken out of the book is remembered so long, and so is not told as new again.
  byte[] report(SaleRoom room) {
    LocalDate today = LocalDate.now(clock);
    return room.report(today.minusDays(KnifeService.KEPT_FOR.toDays()), today)
        .getBytes(StandardCharsets.UTF_8);
  }
}
