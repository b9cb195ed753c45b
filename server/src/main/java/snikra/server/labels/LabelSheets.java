package snikra.server.labels;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;
import snikra.core.examination.Examiner;
import snikra.formats.LabelPaper;
import snikra.server.knives.TrayEntry;
import snikra.server.paper.Paper;

/** Sets labels on sheets: each with a code that opens its knife. */
final class LabelSheets {
  private static final int DOTS = 4;
  private static final int WHITE = 0xffffff;
  private static final double ROOM_MM = 2.5;

  /** The code takes so much of a label's width at most. */
  private static final double CODE = 0.36;

  private static final Paper PAGE = new Paper(LabelSheets.class, "labels.html");

  private LabelSheets() {}

  /** A label as it is set, in millimetres from the corner of its sheet. */
  record SetLabel(
      String left,
      String top,
      int number,
      String name,
      @Nullable String title,
      @Nullable String maker,
      @Nullable String made,
      String code) {}

  /** A sheet as it is set. */
  record SetSheet(List<SetLabel> labels) {}

  /** All as it is set. */
  record SetLabels(
      String page,
      String width,
      String height,
      String room,
      String code,
      String text,
      List<SetSheet> sheets) {}

  /**
   * Labels for these knives.
   *
   * @param skip places on the first sheet that are used already
   * @param address where a knife is opened, by its id
   */
  static byte[] of(
      LabelPaper paper, int skip, List<TrayEntry> knives, Function<String, String> address) {
    List<SetSheet> sheets = new ArrayList<>();
    List<SetLabel> on = new ArrayList<>();
    int place = skip;
    for (TrayEntry knife : knives) {
      if (place == paper.perSheet()) {
        sheets.add(new SetSheet(on));
        on = new ArrayList<>();
        place = 0;
      }
      on.add(label(paper, place++, knife, address.apply(knife.id())));
    }
    sheets.add(new SetSheet(on));
    double code = Math.min(paper.height() - 2 * ROOM_MM, CODE * paper.width());
    return PAGE.set(
        new SetLabels(
            paper.page(),
            mm(paper.width()),
            mm(paper.height()),
            mm(ROOM_MM),
            mm(code),
            mm(paper.width() - code - 3 * ROOM_MM),
            sheets));
  }

  private static SetLabel label(LabelPaper paper, int place, TrayEntry knife, String address) {
    Examiner.Summary of = Objects.requireNonNull(knife.summary());
    int column = place % paper.columns();
    int row = place / paper.columns();
    return new SetLabel(
        mm(paper.left() + column * paper.across()),
        mm(paper.top() + row * paper.down()),
        knife.number(),
        of.title(),
        knife.title(),
        of.maker(),
        of.span() == null ? null : of.span().written(),
        Paper.picture("image/png", code(address)));
  }

  private static String mm(double length) {
    return Math.round(100 * length) / 100.0 + "mm";
  }

  private static byte[] code(String address) {
    try {
      BitMatrix squares =
          new QRCodeWriter()
              .encode(address, BarcodeFormat.QR_CODE, 0, 0, Map.of(EncodeHintType.MARGIN, 0));
      int size = squares.getWidth() * DOTS;
      BufferedImage drawn = new BufferedImage(size, size, BufferedImage.TYPE_BYTE_BINARY);
      for (int y = 0; y < size; y++) {
        for (int x = 0; x < size; x++) {
          drawn.setRGB(x, y, squares.get(x / DOTS, y / DOTS) ? 0 : WHITE);
        }
      }
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      ImageIO.write(drawn, "png", out);
      return out.toByteArray();
    } catch (WriterException e) {
      throw new IllegalStateException(e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
