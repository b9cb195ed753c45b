package snikra.server.labels;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.ReaderException;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;
import snikra.formats.Json;
import snikra.server.TestApp;

/** Labels are read back from the sheet they are printed on. */
class LabelsApiTest {
  private static final List<Integer> LOOKS = List.of(300, 254, 360);

  @RegisterExtension static final TestApp APP = new TestApp();
  private final MockMvc web = APP.web();

  private String keep(String title) throws Exception {
    String kept =
        web.perform(
                post("/api/knives")
                    .contentType(MediaType.APPLICATION_JSON)
                    .content("{\"title\":\"%s\",\"frame\":\"canoe\"}".formatted(title)))
            .andExpect(status().isCreated())
            .andReturn()
            .getResponse()
            .getContentAsString();
    return Json.mapper().readTree(kept).path("id").asString("");
  }

  private PDDocument labels(String asked) throws Exception {
    return Loader.loadPDF(
        web.perform(get("/api/labels/labels.pdf?" + asked))
            .andExpect(status().isOk())
            .andReturn()
            .getResponse()
            .getContentAsByteArray());
  }

  @Test
  void theCodeOnALabelOpensItsKnife() throws Exception {
    String id = keep("Preiselbeer");
    try (PDDocument sheet = labels("paper=a4-cards&q=preiselbeer")) {
      assertThat(sheet.getNumberOfPages()).isEqualTo(1);
      assertThat(new PDFTextStripper().getText(sheet)).contains("Preiselbeer");
      assertThat(read(sheet)).isEqualTo("http://localhost/bench/" + id);
    }
  }

  // As a phone does, which looks many times: one look in a hundred reads nothing.
  private static String read(PDDocument sheet) throws Exception {
    ReaderException unread = null;
    for (int dpi : LOOKS) {
      try {
        return read(sheet, dpi);
      } catch (ReaderException e) {
        unread = e;
      }
    }
    throw unread;
  }

  private static String read(PDDocument sheet, int dpi) throws Exception {
    int mm = (int) Math.round(dpi / 25.4);
    BufferedImage first =
        new PDFRenderer(sheet)
            .renderImageWithDPI(0, dpi)
            .getSubimage(20 * mm, 13 * mm, 85 * mm, 54 * mm);
    int wide = first.getWidth();
    int high = first.getHeight();
    int[] dots = first.getRGB(0, 0, wide, high, null, 0, wide);
    return new QRCodeReader()
        .decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(wide, high, dots))))
        .getText();
  }

  @Test
  void usedPlacesAreSkippedAndWhatIsTooMuchGoesOnTheNextSheet() throws Exception {
    keep("Moosbeer one");
    keep("Moosbeer two");
    try (PDDocument one = labels("paper=a4-24&q=moosbeer&skip=22")) {
      assertThat(one.getNumberOfPages()).isEqualTo(1);
    }
    try (PDDocument two = labels("paper=a4-24&q=moosbeer&skip=23")) {
      assertThat(two.getNumberOfPages()).isEqualTo(2);
      PDFTextStripper first = new PDFTextStripper();
      first.setEndPage(1);
      assertThat(first.getText(two)).contains("Moosbeer one").doesNotContain("Moosbeer two");
    }
  }

  @Test
  void whatCannotBePrintedIsRefusedWithTheFieldNamed() throws Exception {
    keep("Rauschbeer");
    String[][] refused = {
      {"paper=a5-12", "paper"},
      {"paper=a4-24&skip=24", "skip"},
      {"paper=a4-24&skip=-1", "skip"},
      {"paper=a4-24&q=nosuchknifeanywhere", "q"},
    };
    for (String[] r : refused) {
      web.perform(get("/api/labels/labels.pdf?" + r[0]))
          .andExpect(status().isBadRequest())
          .andExpect(jsonPath("$.problems[0].field").value(r[1]));
    }
    web.perform(get("/api/labels/papers"))
        .andExpect(status().isOk())
        .andExpect(jsonPath("$[0].id").value("a4-24"));
  }
}
