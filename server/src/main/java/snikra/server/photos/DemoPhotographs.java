package snikra.server.photos;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.ImageIO;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import snikra.core.examination.Examiner;
import snikra.core.examination.Sketch;
import snikra.core.pattern.BladeType;
import snikra.core.pattern.Frame;
import snikra.core.pattern.PatternBook;
import snikra.core.specimen.End;
import snikra.server.knives.KnifeService;
import snikra.server.knives.NoSuchKnife;
import snikra.server.knives.SavedKnife;

/** Made-up photographs for the sample tin: each knife laid on cloth beside a rule, to one scale. */
public final class DemoPhotographs {
  private static final Logger LOG = LoggerFactory.getLogger(DemoPhotographs.class);
  private static final int WIDTH = 1600;
  private static final int HEIGHT = 1000;
  private static final double PIXELS_PER_MM = 7;
  private static final int KNIVES = 4;
  private static final int RULE_MM = 150;
  private static final double OPENED_DEGREES = 26;
  private static final double FURTHER_DEGREES = 34;

  private static final Color CLOTH = new Color(0x55, 0x5f, 0x58);
  private static final Color RULE = new Color(0xd9, 0xcf, 0xb4);
  private static final Color STEEL = new Color(0xb9, 0xbd, 0xbd);
  private static final Color COVER = new Color(0x8a, 0x6d, 0x4b);
  private static final Color LINE = new Color(0x22, 0x22, 0x20);

  private DemoPhotographs() {}

  /**
   * Gives the first knives of the tray a photograph each; does nothing for those that have one, or
   * are taken out meanwhile.
   */
  public static void fill(PhotoService photos, KnifeService knives, Examiner examiner) {
    List<SavedKnife> tray = knives.all();
    for (SavedKnife knife : tray.subList(0, Math.min(KNIVES, tray.size()))) {
      try {
        fill(photos, knife, examiner);
      } catch (NoSuchKnife gone) {
        LOG.debug("Knife {} was taken out before it was photographed.", knife.number());
      }
    }
  }

  private static void fill(PhotoService photos, SavedKnife knife, Examiner examiner) {
    if (photos.of(knife.id()).isEmpty()) {
      byte[] picture = rendered(examiner.sketch(knife.specimen()), examiner.shelf().patterns());
      photos.add(knife.id(), PhotoRole.MARK_SIDE, "knife-" + knife.number() + ".png", picture);
    }
  }

  static byte[] rendered(Sketch sketch, PatternBook book) {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(CLOTH);
    g.fillRect(0, 0, WIDTH, HEIGHT);
    rule(g);
    double left = (WIDTH - sketch.closedLengthMm() * PIXELS_PER_MM) / 2;
    for (int i = sketch.blades().size() - 1; i >= 0; i--) {
      Sketch.Blade blade = sketch.blades().get(i);
      double opened = OPENED_DEGREES + FURTHER_DEGREES * i;
      book.blade(blade.type() == null ? "pen" : blade.type())
          .ifPresent(type -> blade(g, type, blade, sketch, left, opened));
    }
    book.frame(sketch.frame() == null ? "equal-end" : sketch.frame())
        .ifPresent(frame -> handle(g, frame, sketch, left));
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try {
      ImageIO.write(image, "png", out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  private static void rule(Graphics2D g) {
    int x = 100;
    int y = HEIGHT - 130;
    g.setColor(RULE);
    g.fillRect(x - 20, y, (int) (RULE_MM * PIXELS_PER_MM) + 40, 90);
    g.setColor(LINE);
    for (int mm = 0; mm <= RULE_MM; mm++) {
      int at = (int) Math.round(x + mm * PIXELS_PER_MM);
      g.drawLine(at, y, at, y + (mm % 10 == 0 ? 46 : mm % 5 == 0 ? 32 : 20));
      if (mm % 10 == 0) {
        g.drawString(Integer.toString(mm / 10), at - 4, y + 66);
      }
    }
  }

  // The main pivot is at the right, as the mark side lies.
  private static void handle(Graphics2D g, Frame frame, Sketch sketch, double left) {
    double scale = sketch.closedLengthMm() * PIXELS_PER_MM;
    Path2D outline = new Path2D.Double();
    List<List<Double>> rows = frame.profile();
    for (int i = 0; i < rows.size(); i++) {
      point(
          outline,
          i == 0,
          left + (1 - rows.get(i).get(0)) * scale,
          560 + rows.get(i).get(1) * scale);
    }
    for (int i = rows.size() - 1; i >= 0; i--) {
      point(
          outline,
          false,
          left + (1 - rows.get(i).get(0)) * scale,
          560 + rows.get(i).get(2) * scale);
    }
    paint(g, outline, COVER);
  }

  private static void blade(
      Graphics2D g, BladeType type, Sketch.Blade blade, Sketch sketch, double left, double opened) {
    double scale = blade.lengthMm() * PIXELS_PER_MM;
    Path2D outline = new Path2D.Double();
    List<List<Double>> rows = type.profile();
    for (int i = 0; i < rows.size(); i++) {
      point(outline, i == 0, 60 + rows.get(i).get(0) * scale, -rows.get(i).get(1) * scale);
    }
    for (int i = rows.size() - 1; i >= 0; i--) {
      point(outline, false, 60 + rows.get(i).get(0) * scale, -rows.get(i).get(2) * scale);
    }
    boolean atA = blade.end() == End.A;
    double pivot = atA ? left + sketch.closedLengthMm() * PIXELS_PER_MM - 60 : left + 60;
    AffineTransform lay = AffineTransform.getTranslateInstance(pivot, 555);
    lay.scale(atA ? 1 : -1, 1);
    lay.rotate(Math.toRadians(-opened));
    paint(g, lay.createTransformedShape(outline), STEEL);
  }

  private static void point(Path2D path, boolean first, double x, double y) {
    if (first) {
      path.moveTo(x, y);
    } else {
      path.lineTo(x, y);
    }
  }

  private static void paint(Graphics2D g, java.awt.Shape shape, Color colour) {
    g.setColor(colour);
    g.fill(shape);
    g.setColor(LINE);
    g.setStroke(new BasicStroke(2.4f));
    g.draw(shape);
  }
}
