package snikra.server.examination;

import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import snikra.core.examination.Examiner;
import snikra.core.specimen.Specimen;
import snikra.formats.SpecimenFormat;
import tools.jackson.databind.ObjectMapper;
import tools.jackson.databind.ObjectWriter;

/**
 * Goes through the whole of an examination, from the text of a specimen to that of its verdict,
 * before anyone asks: the first times are several times slower than the later ones.
 */
public final class Rehearsal {
  // More would make the first second at the bench slower: the compilers take a core for it.
  private static final int ROUNDS = 6;

  private Rehearsal() {}

  /** Examines these knives a few times over; nothing comes of it. */
  public static void run(Examiner examiner, ObjectMapper mapper, List<Specimen> knives)
      throws IOException {
    ObjectWriter writer = mapper.writer();
    for (int round = 0; round < ROUNDS; round++) {
      for (Specimen knife : knives) {
        Specimen read =
            SpecimenFormat.read(
                SpecimenFormat.parse(SpecimenFormat.write(knife)), examiner.shelf());
        writer.writeValue(OutputStream.nullOutputStream(), examiner.examine(read));
      }
    }
  }
}
