package snikra.core.examination;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import snikra.core.code.CodeRates;
import snikra.core.code.CodeScheme;
import snikra.core.code.SeenCode;
import snikra.core.code.SeenHallmark;
import snikra.core.code.SeenNumber;
import snikra.core.dating.DatingVerdict;
import snikra.core.examination.Verdict.CodeReading;
import snikra.core.examination.Verdict.CodeVerdict;
import snikra.core.examination.Verdict.HallmarkVerdict;
import snikra.core.examination.Verdict.RegisteredVerdict;
import snikra.core.reference.Maker;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;

/** Date codes and registered numbers, read by the shelf. */
final class Codes {
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
        .map(code -> new CodeVerdict(code, readings(code, order, CodeRates.of(shelf.judgement()))))
        .toList();
  }

  private static List<CodeReading> readings(SeenCode code, List<Maker> makers, CodeRates rates) {
    List<CodeReading> readings = new ArrayList<>();
    for (Maker maker : makers) {
      for (CodeScheme scheme : maker.codes()) {
        if (!code.tellsOfNone() && scheme.reads(code) && readings.size() < READINGS) {
          readings.add(
              new CodeReading(
                  maker.id(),
                  maker.name(),
                  scheme.id(),
                  scheme.label(),
                  scheme.note(),
                  scheme.years(code, rates)));
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
                          seen, t.label(), seen.notBefore(t), t.why(), t.note())));
    }
    return out;
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
}
