package snikra.server.reference;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import snikra.core.examination.Examiner;
import snikra.core.examination.Sketch;
import snikra.core.glossary.Glossary;
import snikra.formats.ShippedShelf;

/** {@code GET /api/glossary}: the words of the trade, and the knife they are drawn on. */
@RestController
class GlossaryController {
  private final ReferenceDesk desk;
  private volatile @Nullable Words words;

  GlossaryController(ReferenceDesk desk) {
    this.desk = desk;
  }

  /**
   * Words with the knife they are drawn on.
   *
   * @param sketch the drawing on which they have their places
   */
  record Words(Sketch sketch, List<Glossary.Term> terms) {}

  /** The words of the trade, with their places on a drawn knife. */
  @GetMapping("/api/glossary")
  Words glossary() {
    Words read = words;
    if (read == null) {
      // When it is first asked for: a start need not wait for it.
      Examiner examiner = desk.examiner();
      Glossary glossary = ShippedShelf.glossary(examiner.shelf());
      read = new Words(examiner.sketch(glossary.knife()), glossary.terms());
      words = read;
    }
    return read;
  }
}
