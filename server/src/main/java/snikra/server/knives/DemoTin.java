package snikra.server.knives;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.springframework.core.io.ClassPathResource;
import snikra.core.reference.ReferenceShelf;
import snikra.core.specimen.Specimen;
import snikra.formats.Json;
import snikra.formats.SpecimenFormat;
import tools.jackson.databind.JsonNode;

/** The sample tin of the canal museum at Overwater, for a first look. All of it is invented. */
public final class DemoTin {
  private DemoTin() {}

  /** Puts the sample knives in an empty tray; none where there are knives already. */
  public static List<SavedKnife> fill(KnifeService knives, ReferenceShelf shelf)
      throws IOException {
    if (knives.count() > 0) {
      return List.of();
    }
    return specimens(shelf).stream().map(knives::add).toList();
  }

  /** The sample knives. */
  public static List<Specimen> specimens(ReferenceShelf shelf) throws IOException {
    List<Specimen> specimens = new ArrayList<>();
    try (var in = new ClassPathResource("snikra/overwater-tin.json").getInputStream()) {
      for (JsonNode knife : Json.mapper().readTree(in)) {
        specimens.add(SpecimenFormat.read(knife, shelf));
      }
    }
    return specimens;
  }
}
