package snikra.server;

import snikra.core.specimen.Specimen;
import snikra.formats.SpecimenFormat;
import snikra.server.reference.ReferenceDesk;

/** Knives that several tests lay in the tray. */
public final class Samples {
  private Samples() {}

  /** A knife in the mark ok-straight, with these fields besides. */
  public static Specimen okkerby(ReferenceDesk desk, String fields) {
    String json =
        """
        {%s,"marks":[{"blade":1,"face":"mark","state":"read","lines":["OKKERBY","KNIFE CO.","LARKFEN FERRY"]}]}"""
            .formatted(fields);
    return SpecimenFormat.read(json, desk.examiner().shelf());
  }
}
