package snikra.formats;

import java.io.ByteArrayOutputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import snikra.core.dating.Span;
import snikra.core.examination.Examiner;
import snikra.core.provenance.DateWords;
import snikra.core.provenance.EdtfDate;
import snikra.core.provenance.StoryEvent;
import snikra.core.provenance.StoryEvent.Kind;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/**
 * Writes knives as records for museums, in LIDO 1.1. What was seen stands as measurement, material
 * and inscription; who made it and when as an event with its doubt in words, and what befell it
 * since as one event each. What was paid, and who had it, is not written.
 */
public final class LidoRecords {
  private static final String LIDO = "http://www.lido-schema.org";
  private static final String SCHEMA = "http://www.w3.org/2001/XMLSchema-instance";
  private static final String XML = "http://www.w3.org/XML/1998/namespace";
  private static final String SOURCE = "Snikra";
  private static final double CENT = 100;

  /** What befell a knife, by how museums name such events; what only tells of it is none. */
  private static final Map<Kind, String> EVENTS =
      Map.of(
          Kind.HELD, "Provenance",
          Kind.BOUGHT, "Acquisition",
          Kind.GIVEN, "Acquisition",
          Kind.INHERITED, "Acquisition",
          Kind.FOUND, "Finding",
          Kind.ENGRAVED, "Modification");

  private final XMLStreamWriter out;
  private final ReferenceShelf shelf;
  private final boolean isVague;

  private LidoRecords(XMLStreamWriter out, ReferenceShelf shelf, boolean isVague) {
    this.out = out;
    this.shelf = shelf;
    this.isVague = isVague;
  }

  /**
   * A knife as it is kept.
   *
   * @param listed its number in the tray stands as its inventory number
   */
  public record Kept(String id, KnivesList.Listed listed) {
    private Specimen knife() {
      return listed.knife();
    }

    private Examiner.Summary summary() {
      return listed.summary();
    }
  }

  /**
   * All of them, one record each.
   *
   * @param isVague whether of a find only the county or country is told
   */
  public static String write(ReferenceShelf shelf, List<Kept> knives, boolean isVague) {
    ByteArrayOutputStream text = new ByteArrayOutputStream();
    write(shelf, isVague, text, knives::forEach);
    return text.toString(StandardCharsets.UTF_8);
  }

  /**
   * Writes each as it comes, so that of very many no more than one is held.
   *
   * @param each hands over one after the other
   */
  public static void write(
      ReferenceShelf shelf, boolean isVague, OutputStream to, Consumer<Consumer<Kept>> each) {
    try {
      XMLStreamWriter out = XMLOutputFactory.newFactory().createXMLStreamWriter(to, "UTF-8");
      new LidoRecords(out, shelf, isVague).all(each);
      out.close();
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
  }

  /** What stands within an element. */
  private interface Within {
    void write() throws XMLStreamException;
  }

  private void all(Consumer<Consumer<Kept>> each) throws XMLStreamException {
    out.writeStartDocument("UTF-8", "1.0");
    out.setPrefix("lido", LIDO);
    out.writeStartElement(LIDO, "lidoWrap");
    out.writeNamespace("lido", LIDO);
    out.writeNamespace("xsi", SCHEMA);
    out.writeAttribute(
        "xsi", SCHEMA, "schemaLocation", LIDO + " " + LIDO + "/schema/v1.1/lido-v1.1.xsd");
    each.accept(this::record);
    out.writeEndElement();
    out.writeEndDocument();
  }

  private void record(Kept knife) {
    try {
      within("lido", () -> one(knife));
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e);
    }
  }

  private void one(Kept kept) throws XMLStreamException {
    typed("lidoRecID", "local", kept.id());
    inEnglish(
        "descriptiveMetadata",
        () -> {
          within("objectClassificationWrap", () -> classified(kept));
          within("objectIdentificationWrap", () -> identified(kept));
          within("eventWrap", () -> events(kept));
        });
    inEnglish(
        "administrativeMetadata",
        () ->
            within(
                "recordWrap",
                () -> {
                  typed("recordID", "local", kept.id());
                  within("recordType", () -> text("term", "single object"));
                  within(
                      "recordSource",
                      () -> within("legalBodyName", () -> text("appellationValue", SOURCE)));
                }));
  }

  private void classified(Kept kept) throws XMLStreamException {
    within(
        "objectWorkTypeWrap",
        () -> within("objectWorkType", () -> text("term", "slip-joint pocket knife")));
    within(
        "classificationWrap",
        () -> {
          for (String name : names(kept.summary())) {
            within("classification", () -> text("term", name));
          }
        });
  }

  private static List<String> names(Examiner.Summary summary) {
    return Stream.of(summary.title(), summary.tradeTitle()).distinct().toList();
  }

  private void identified(Kept kept) throws XMLStreamException {
    Specimen knife = kept.knife();
    String title = knife.title() == null ? kept.summary().title() : knife.title();
    within("titleWrap", () -> within("titleSet", () -> text("appellationValue", title)));
    inscriptions(knife);
    within(
        "repositoryWrap",
        () ->
            within(
                "repositorySet",
                () -> typed("workID", "inventory number", "" + kept.listed().number())));
    String note = knife.note();
    if (note != null && !note.isBlank()) {
      within(
          "objectDescriptionWrap",
          () -> within("objectDescriptionSet", () -> text("descriptiveNoteValue", note)));
    }
    if (knife.closedLength() != null) {
      within(
          "objectMeasurementsWrap", () -> within("objectMeasurementsSet", () -> measured(knife)));
    }
  }

  private void inscriptions(Specimen knife) throws XMLStreamException {
    List<String> read =
        knife.marks().stream()
            .filter(face -> !face.lines().isEmpty())
            .map(face -> String.join(" / ", face.lines()))
            .toList();
    if (read.isEmpty()) {
      return;
    }
    within(
        "inscriptionsWrap",
        () -> {
          for (String lines : read) {
            within("inscriptions", () -> text("inscriptionTranscription", lines));
          }
        });
  }

  private void measured(Specimen knife) throws XMLStreamException {
    text("displayObjectMeasurements", "closed " + knife.closedLength().written());
    within(
        "objectMeasurements",
        () ->
            within(
                "measurementSet",
                () -> {
                  text("measurementType", "length, closed");
                  text("measurementUnit", "mm");
                  text("measurementValue", hundredths(knife.closedLength().mm()));
                }));
  }

  private void events(Kept kept) throws XMLStreamException {
    within("eventSet", () -> within("event", () -> made(kept)));
    for (StoryEvent e : kept.knife().story()) {
      String type = EVENTS.get(e.kind());
      if (type != null && e.date() != null) {
        within("eventSet", () -> within("event", () -> befell(type, e)));
      }
    }
  }

  // Where it was sold or lay would tell who had it; where it was found does not.
  private void befell(String type, StoryEvent e) throws XMLStreamException {
    within("eventType", () -> text("term", type));
    within("eventDate", () -> dated(e.date()));
    String place = isVague ? e.vaguePlace() : e.place();
    if (e.kind() == Kind.FOUND && place != null) {
      within("eventPlace", () -> text("displayPlace", place));
    }
  }

  // An open end is left out: nothing is known of it.
  private void dated(EdtfDate date) throws XMLStreamException {
    text("displayDate", DateWords.of(date));
    within(
        "date",
        () -> {
          if (!date.isOpenBefore()) {
            text("earliestDate", year(date.earliestYear()));
          }
          if (!date.isOpenAfter()) {
            text("latestDate", year(date.latestYear()));
          }
        });
  }

  private static String year(int year) {
    return String.format(Locale.ROOT, "%04d", year);
  }

  private void made(Kept kept) throws XMLStreamException {
    within("eventType", () -> text("term", "Production"));
    String maker = kept.summary().maker();
    if (maker != null) {
      within(
          "eventActor",
          () -> {
            text("displayActorInRole", maker + " (maker)");
            within(
                "actorInRole",
                () -> {
                  within(
                      "actor", () -> within("nameActorSet", () -> text("appellationValue", maker)));
                  within("roleActor", () -> text("term", "maker"));
                });
          });
    }
    Span span = kept.summary().span();
    if (span != null) {
      within("eventDate", () -> dated(span));
    }
    if (kept.listed().country() != null) {
      within("eventPlace", () -> text("displayPlace", kept.listed().country()));
    }
    String handle = KnivesList.handle(kept.knife(), shelf);
    if (handle != null) {
      within("eventMaterialsTech", () -> text("displayMaterialsTech", "handle: " + handle));
    }
  }

  private void dated(Span span) throws XMLStreamException {
    text(
        "displayDate",
        "%s (%d chances in 100)".formatted(span.written(), Math.round(CENT * span.share())));
    within(
        "date",
        () -> {
          text("earliestDate", "" + span.from());
          text("latestDate", "" + span.to());
        });
  }

  private static String hundredths(double mm) {
    return String.format(Locale.ROOT, "%.2f", mm);
  }

  private void within(String name, Within rest) throws XMLStreamException {
    out.writeStartElement(LIDO, name);
    rest.write();
    out.writeEndElement();
  }

  private void inEnglish(String name, Within rest) throws XMLStreamException {
    out.writeStartElement(LIDO, name);
    out.writeAttribute("xml", XML, "lang", "en");
    rest.write();
    out.writeEndElement();
  }

  private void typed(String name, String type, String text) throws XMLStreamException {
    out.writeStartElement(LIDO, name);
    out.writeAttribute("lido", LIDO, "type", type);
    out.writeCharacters(NoField.seen(text));
    out.writeEndElement();
  }

  private void text(String name, String text) throws XMLStreamException {
    out.writeStartElement(LIDO, name);
    out.writeCharacters(NoField.seen(text));
    out.writeEndElement();
  }
}
