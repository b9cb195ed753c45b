package snikra.server.photos;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;

/**
 * A paper that came as a PDF: a letter, a bill, a page of a catalogue. It is kept as it is and
 * never opened here: a page of it may be made to take more work than this machine has. What is
 * shown for it is a drawn sheet.
 */
final class PaperSheet {
  /** What it is called where a photograph is jpeg or png. */
  static final String TYPE = "pdf";

  private static final String MEDIA_TYPE = "application/pdf";

  private static final byte[] BEGINS = "%PDF-".getBytes(StandardCharsets.US_ASCII);
  private static final byte[] ENDS = "%%EOF".getBytes(StandardCharsets.US_ASCII);

  /** Where readers look for the end: some programs write a little after it. */
  private static final int ENDS_WITHIN = 1024;

  static final int WIDTH = 600;
  static final int HEIGHT = 848;
  private static final int FOLD = 90;
  private static final int MARGIN = 84;
  private static final int LINE = 46;
  private static final float PEN = 3;
  private static final Color GROUND = new Color(0xe4, 0xe2, 0xd8);
  private static final Color SHEET = new Color(0xfb, 0xfa, 0xf5);
  private static final Color INK = new Color(0x8a, 0x87, 0x7c);

  private PaperSheet() {}

  /** Whether it is one, where a photograph is jpeg or png. */
  static boolean is(String type) {
    return TYPE.equals(type);
  }

  /** What a file of this type is to a browser. */
  static String mediaType(String type) {
    return is(type) ? MEDIA_TYPE : "image/" + type;
  }

  static boolean is(byte[] bytes) {
    return bytes.length >= BEGINS.length
        && Arrays.equals(bytes, 0, BEGINS.length, BEGINS, 0, BEGINS.length);
  }

  /** Whether it has its end: a file that was cut off on its way has none. */
  static boolean isWhole(byte[] bytes) {
    for (int at = bytes.length - ENDS.length; at >= Math.max(0, bytes.length - ENDS_WITHIN); at--) {
      if (Arrays.equals(bytes, at, at + ENDS.length, ENDS, 0, ENDS.length)) {
        return true;
      }
    }
    return false;
  }

  /** A sheet of writing with its corner turned down. */
  static BufferedImage drawn() {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D pen = image.createGraphics();
    pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    pen.setColor(GROUND);
    pen.fillRect(0, 0, WIDTH, HEIGHT);
    Path2D sheet = new Path2D.Double();
    int edge = MARGIN / 3;
    sheet.moveTo(edge, edge);
    sheet.lineTo(WIDTH - edge - FOLD, edge);
    sheet.lineTo(WIDTH - edge, edge + FOLD);
    sheet.lineTo(WIDTH - edge, HEIGHT - edge);
    sheet.lineTo(edge, HEIGHT - edge);
    sheet.closePath();
    pen.setColor(SHEET);
    pen.fill(sheet);
    pen.setColor(INK);
    pen.setStroke(new BasicStroke(PEN));
    pen.draw(sheet);
    pen.drawLine(WIDTH - edge - FOLD, edge, WIDTH - edge - FOLD, edge + FOLD);
    pen.drawLine(WIDTH - edge - FOLD, edge + FOLD, WIDTH - edge, edge + FOLD);
    int row = 0;
    for (int y = MARGIN + FOLD; y < HEIGHT - MARGIN; y += LINE) {
      row++;
      pen.drawLine(MARGIN, y, row % 5 == 0 ? WIDTH / 2 : WIDTH - MARGIN, y);
    }
    pen.dispose();
    return image;
  }
}
