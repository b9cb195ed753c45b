package snikra.core.examination;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import snikra.core.code.CodeScheme;
import snikra.core.code.NumberTable;
import snikra.core.code.SeenCode;
import snikra.core.code.SeenHallmark;
import snikra.core.code.SeenNumber;
import snikra.core.dating.DatingVerdict;
import snikra.core.dating.Evidence.Statement;
import snikra.core.examination.Verdict.CodeReading;
import snikra.core.examination.Verdict.CodeVerdict;
import snikra.core.examination.Verdict.HallmarkVerdict;
import snikra.core.examination.Verdict.RegisteredVerdict;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/** Date codes and registered numbers, read by the shelf. */
final class Codes {
  /** A number cut in steel is seldom misread and seldom on a part of another knife. */
  private static final double RELIABILITY = 0.985;

  /** A silver blade may be of another knife, and hallmarks were let in. */
  private static final double HALLMARK = 0.96;

  private static final int READINGS = 6;

  private Codes() {}

  /** What each code says; the schemes of likelier makers come first. */
  static List<CodeVerdict> read(Specimen knife, DatingVerdict dated, ReferenceShelf shelf) {
    List<Maker> order = new ArrayList<>();
    dated
        .makers()
        .forEach(m -> Optional.ofNullable(m.maker()).flatMap(shelf::maker).ifPresent(order::add));
    for (Maker maker : shelf.makers()) {
      if (order.stream().noneMatch(m -> m.id().equals(maker.id()))) {
        order.add(maker);
      }
    }
    return knife.codes().stream()
        .map(code -> new CodeVerdict(code, readings(code, order)))
        .toList();
  }

  private static List<CodeReading> readings(SeenCode code, List<Maker> makers) {
    List<CodeReading> readings = new ArrayList<>();
    for (Maker maker : makers) {
      for (CodeScheme scheme : maker.codes()) {
        if (scheme.reads(code) && readings.size() < READINGS) {
          readings.add(
              new CodeReading(
                  maker.id(),
                  maker.name(),
                  scheme.id(),
                  scheme.label(),
                  scheme.note(),
                  scheme.years(code)));
        }
      }
    }
    return readings;
  }

  /** What each number says. */
  static List<RegisteredVerdict> registered(Specimen knife, ReferenceShelf shelf) {
    List<RegisteredVerdict> out = new ArrayList<>();
    for (SeenNumber seen : knife.registered()) {
      shelf
          .numberTable(seen.table())
          .ifPresent(
              t ->
                  out.add(
                      new RegisteredVerdict(
                          seen, t.label(), notBefore(seen, t), t.why(), t.note())));
    }
    return out;
  }

  private static int notBefore(SeenNumber seen, NumberTable table) {
    return Optional.ofNullable(seen.number())
        .flatMap(NumberTable::parse)
        .map(table::notBefore)
        .orElse(table.begins());
  }

  /** What each hallmark says. */
  static List<HallmarkVerdict> hallmarks(Specimen knife, ReferenceShelf shelf) {
    List<HallmarkVerdict> out = new ArrayList<>();
    for (SeenHallmark seen : knife.hallmarks()) {
      shelf
          .assayOffice(seen.office())
          .ifPresent(
              office ->
                  out.add(
                      new HallmarkVerdict(
                          seen, office.label(), office.years(seen), office.note())));
    }
    return out;
  }

  // The letter changed within the year, and the silver was worked up after it was tested.
  private static Set<Integer> made(List<Integer> assayed) {
    Set<Integer> years = new TreeSet<>();
    assayed.forEach(
        year -> {
          years.add(year);
          years.add(year + 1);
        });
    return years;
  }

  /** The same as statements to date by. */
  static List<Statement> statements(Specimen knife, ReferenceShelf shelf) {
    List<Statement> out = new ArrayList<>();
    for (HallmarkVerdict h : hallmarks(knife, shelf)) {
      if (!h.years().isEmpty()) {
        out.add(
            new Statement(
                "hallmark-" + (out.size() + 1),
                "number",
                "Silver",
                h.label() + ", letter " + h.seen().letter(),
                h.years().get(0),
                h.years().get(h.years().size() - 1) + 1,
                made(h.years()),
                HALLMARK,
                h.note()));
      }
    }
    for (RegisteredVerdict r : registered(knife, shelf)) {
      String number = r.seen().number() == null ? "" : " " + r.seen().number();
      out.add(
          new Statement(
              "registered-" + (out.size() + 1),
              "number",
              "Number",
              r.label() + number,
              r.notBefore(),
              null,
              RELIABILITY,
              r.why()));
    }
    return out;
  }
}
