package snikra.server.sales;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Examiner;
import snikra.core.value.KeptSale;
import snikra.core.value.MarketCheck;
import snikra.core.value.Sale;
import snikra.core.value.SaleRoom;
import snikra.formats.SaleFormat;
import snikra.formats.SalesTable;
import snikra.formats.SalesTable.RowRead;
import snikra.formats.SalesTable.SalesRead;
import snikra.formats.TableField;
import snikra.server.photos.Photo;
import snikra.server.photos.PhotoService;
import snikra.server.photos.PhotoService.SalePicture;

/** {@code /api/sales}: the sales book. */
@RestController
@RequestMapping("/api/sales")
class SalesController {
  /** So many are left out in turn, so that it takes seconds and not minutes. */
  private static final int MOST_TRIED = 100;

  private static final int MOST_TOLD = 200;

  private final SalesBook book;
  private final SaleRooms rooms;
  private final PhotoService photos;
  private final Supplier<Examiner> desk;

  SalesController(SalesBook book, SaleRooms rooms, PhotoService photos, Supplier<Examiner> desk) {
    this.book = book;
    this.rooms = rooms;
    this.photos = photos;
    this.desk = desk;
  }

  /**
   * What became of a table.
   *
   * @param read the first rows, those that cannot be taken in first
   * @param rows how many there are
   * @param good how many are sales
   * @param known how many of those are in the book already, and are not taken in again
   * @param refused how many cannot be taken in
   * @param unsold how many were offered and not sold
   * @param leftover how many have something that was not understood and is kept in the note
   * @param batch by which what was taken in can be taken out again; null where it was only looked
   *     at
   */
  record TableTold(
      SalesRead read,
      List<TableField> fields,
      int rows,
      int good,
      int known,
      int refused,
      int unsold,
      int leftover,
      @Nullable String batch) {}

  /** All sales of the book. */
  @GetMapping
  List<KeptSale> all() {
    return book.all();
  }

  /**
   * Keeps a sale.
   *
   * @param id an id of the sender's own, so that what is sent twice is kept once
   */
  @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
  @ResponseStatus(HttpStatus.CREATED)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = Sale.class)))
  KeptSale add(@RequestParam UUID id, @RequestBody String body) {
    return book.add(id.toString(), read(body));
  }

  /** Changes a sale. */
  @PutMapping(path = "/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
  @io.swagger.v3.oas.annotations.parameters.RequestBody(
      required = true,
      content = @Content(schema = @Schema(implementation = Sale.class)))
  KeptSale change(@PathVariable String id, @RequestBody String body) {
    return book.change(id, read(body));
  }

  private Sale read(String body) {
    return SaleFormat.read(body, desk.get().shelf());
  }

  /** Takes a sale out; it can be put back. */
  @DeleteMapping("/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable String id) {
    book.remove(id, true);
  }

  /** The pictures of all sales, each by the sale it is of. */
  @GetMapping("/pictures")
  List<SalePicture> pictures() {
    Set<String> inTheBook = book.all().stream().map(KeptSale::id).collect(Collectors.toSet());
    return photos.ofSales().stream().filter(p -> inTheBook.contains(p.sale())).toList();
  }

  /**
   * Keeps a picture of what was sold, or a page that tells of it; the body is the file as it is.
   */
  @PostMapping(
      path = "/{id}/pictures",
      consumes = {MediaType.APPLICATION_OCTET_STREAM_VALUE, "image/*", "application/pdf"})
  @ResponseStatus(HttpStatus.CREATED)
  Photo addPicture(
      @PathVariable String id,
      @RequestParam(defaultValue = "") String name,
      @RequestBody(required = false) byte @Nullable [] file) {
    book.require(id);
    return photos.addToSale(id, name, file == null ? new byte[0] : file);
  }

  /** Puts a sale back that was taken out. */
  @PostMapping("/{id}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable String id) {
    book.remove(id, false);
  }

  /**
   * Takes in a table of any shape, or only looks at it.
   *
   * @param currency of amounts that do not say
   * @param columns what each column is, where the collector said so
   * @param keep whether it is taken in
   */
  @PostMapping(path = "/table", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
  TableTold table(
      @RequestParam(defaultValue = "the table") String name,
      @RequestParam String currency,
      @RequestParam(required = false) @Nullable List<String> columns,
      @RequestParam(defaultValue = "false") boolean keep,
      @RequestBody(required = false) byte @Nullable [] body) {
    return tell(name, body == null ? new byte[0] : body, currency, columns, keep, Set.of());
  }

  private TableTold tell(
      String name,
      byte[] table,
      String currency,
      @Nullable List<String> columns,
      boolean keep,
      Set<Sale.Told> letGo) {
    SalesRead read =
        new SalesTable(desk.get().shelf(), currency)
            .read(name, table, columns == null ? List.of() : columns);
    Set<Sale.Told> known = new HashSet<>(letGo);
    book.all().forEach(kept -> known.add(kept.sale().told()));
    List<Sale> good = read.rows().stream().map(RowRead::sale).filter(Objects::nonNull).toList();
    List<Sale> anew = good.stream().filter(sale -> known.add(sale.told())).toList();
    String batch = keep && !anew.isEmpty() ? book.addAll(anew) : null;
    return new TableTold(
        told(read),
        SalesTable.fields(),
        read.rows().size(),
        good.size(),
        good.size() - anew.size(),
        (int) read.rows().stream().filter(r -> !r.problems().isEmpty()).count(),
        (int) read.rows().stream().filter(RowRead::unsold).count(),
        (int) read.rows().stream().filter(r -> !r.leftover().isEmpty()).count(),
        batch);
  }

  private static SalesRead told(SalesRead read) {
    List<RowRead> rows =
        read.rows().stream()
            .sorted(java.util.Comparator.comparing(r -> r.problems().isEmpty()))
            .limit(MOST_TOLD)
            .toList();
    return new SalesRead(read.encoding(), read.separator(), read.headed(), read.columns(), rows);
  }

  /** Takes out all that one table brought. */
  @DeleteMapping("/table/{batch}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void removeTable(@PathVariable String batch) {
    book.removeBatch(batch, true);
  }

  /** Puts back all that one table brought. */
  @PostMapping("/table/{batch}/restore")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restoreTable(@PathVariable String batch) {
    book.removeBatch(batch, false);
  }

  /**
   * A sale room that can be asked.
   *
   * @param standIn whether what it tells is made up
   */
  record Room(String id, String label, boolean standIn) {}

  /** The sale rooms that can be asked what they sold. */
  @GetMapping("/rooms")
  List<Room> rooms() {
    return rooms.all().stream().map(r -> new Room(r.id(), r.label(), r.isStandIn())).toList();
  }

  /**
   * Asks a sale room what it sold of late, and takes it in or only looks at it. A sale that was
   * taken out of the book by itself is not new to it.
   *
   * @param currency of amounts that do not say
   * @param columns what each field of its lines is, where the collector said so
   * @param keep whether it is taken in
   */
  @PostMapping("/rooms/{room}")
  TableTold ask(
      @PathVariable String room,
      @RequestParam String currency,
      @RequestParam(required = false) @Nullable List<String> columns,
      @RequestParam(defaultValue = "false") boolean keep) {
    SaleRoom asked = rooms.find(room);
    return tell(asked.label(), rooms.report(asked), currency, columns, keep, book.letGo());
  }

  @ExceptionHandler(SaleRoom.Silent.class)
  ProblemDetail silent(SaleRoom.Silent e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
  }

  /** The book as a table, to save. */
  @GetMapping(path = "/table", produces = "text/csv")
  ResponseEntity<String> csv() {
    String file = ContentDisposition.attachment().filename("sales.csv").build().toString();
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, file)
        .contentType(MediaType.parseMediaType("text/csv;charset=UTF-8"))
        .body(SalesTable.write(book.all().stream().map(KeptSale::sale).toList()));
  }

  /** How well the sales tell one another's prices: each of some is left out in turn. */
  @PostMapping("/check")
  MarketCheck.Found check() {
    return desk.get().trySales(MOST_TRIED);
  }
}
