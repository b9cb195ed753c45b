package snikra.server.photos;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.CRC32;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import snikra.formats.InvalidInput;

class PictureTest {

  // Red at the left, blue at the right.
  static byte[] picture(String format, int width, int height) throws IOException {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setColor(Color.RED);
    g.fillRect(0, 0, width / 2, height);
    g.setColor(Color.BLUE);
    g.fillRect(width / 2, 0, width, height);
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, format, out);
    return out.toByteArray();
  }

  // A camera's note of how it was held and, as a second entry, its make.
  private static byte[] heldAs(int orientation, byte[] jpeg) {
    ByteBuffer exif = ByteBuffer.allocate(64);
    exif.put("Exif\0\0MM\0*".getBytes(StandardCharsets.ISO_8859_1)).putInt(8).putShort((short) 2);
    exif.putShort((short) 0x010F)
        .putShort((short) 2)
        .putInt(4)
        .put("Cam\0".getBytes(StandardCharsets.ISO_8859_1));
    exif.putShort((short) 0x0112).putShort((short) 3).putInt(1).putShort((short) orientation);
    exif.putShort((short) 0).putInt(0);
    byte[] body = Arrays.copyOf(exif.array(), exif.position());
    ByteBuffer out = ByteBuffer.allocate(jpeg.length + body.length + 4);
    out.put(jpeg, 0, 2).putShort((short) 0xFFE1).putShort((short) (body.length + 2)).put(body);
    return out.put(jpeg, 2, jpeg.length - 2).array();
  }

  @Test
  void theOriginalIsKeptByteForByteAndWhatIsShownIsSmallerAndSaysNothingOfTheCamera()
      throws IOException {
    byte[] original = heldAs(1, picture("jpg", 3000, 1000));
    Picture taken = Picture.of("knife.jpg", original);

    assertThat(taken.original()).isEqualTo(original);
    assertThat(taken.width()).isEqualTo(2000);
    assertThat(ImageIO.read(new ByteArrayInputStream(taken.thumbnail())).getWidth()).isEqualTo(320);
    assertThat(new String(taken.view(), StandardCharsets.ISO_8859_1)).doesNotContain("Exif");
  }

  @Test
  void aPictureTakenOnItsSideIsSetUpright() throws IOException {
    Picture taken = Picture.of("knife.jpg", heldAs(6, picture("jpg", 800, 400)));
    BufferedImage view = ImageIO.read(new ByteArrayInputStream(taken.view()));

    assertThat(view.getWidth()).isEqualTo(400);
    assertThat(view.getHeight()).isEqualTo(800);
    assertThat(new Color(view.getRGB(200, 100)).getRed()).isGreaterThan(200);
    assertThat(new Color(view.getRGB(200, 700)).getBlue()).isGreaterThan(200);
  }

  @Test
  void whatItIsIsReadFromItsBytesNotItsName() throws IOException {
    assertThat(Picture.of("really-a.jpg", picture("png", 200, 100)).type()).isEqualTo("png");
    refused("page.jpg", "<script>alert(1)</script>".getBytes(StandardCharsets.UTF_8));
    refused("moving.jpg", picture("gif", 100, 100));
    refused("empty.jpg", new byte[0]);
  }

  @Test
  void aPictureThatIsCutOffIsRefused() throws IOException {
    byte[] jpeg = picture("jpg", 900, 600);
    byte[] png = picture("png", 900, 600);
    refused("half.jpg", Arrays.copyOf(jpeg, jpeg.length / 2));
    refused("half.png", Arrays.copyOf(png, png.length / 2));
  }

  @Test
  void fortyMillionPixelsAreTakenAndABombIsRefusedByItsHeaderAlone() throws IOException {
    assertThat(Picture.of("large.jpg", picture("jpg", 8000, 5000)).width())
        .isLessThanOrEqualTo(2000);

    byte[] bomb = picture("png", 32, 32);
    ByteBuffer header = ByteBuffer.wrap(bomb);
    header.putInt(16, 60_000).putInt(20, 60_000);
    CRC32 sum = new CRC32();
    sum.update(bomb, 12, 17);
    header.putInt(29, (int) sum.getValue());
    assertThatThrownBy(() -> Picture.of("bomb.png", bomb))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("60000 by 60000 pixels");
  }

  private static void refused(String name, byte[] bytes) {
    assertThatThrownBy(() -> Picture.of(name, bytes))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining(name)
        .hasMessageContaining("whole JPEG or PNG");
  }

  @Test
  void aPictureOfHundredsOfScansIsRefusedBeforeItIsOpened() throws IOException {
    byte[] jpeg = picture("jpg", 64, 64);
    ByteArrayOutputStream many = new ByteArrayOutputStream();
    many.write(jpeg, 0, jpeg.length - 2);
    for (int i = 0; i < 200; i++) {
      many.write(new byte[] {(byte) 0xFF, (byte) 0xDA, 0, 8, 1, 1, 0, 0, 63, 0});
    }
    many.write(new byte[] {(byte) 0xFF, (byte) 0xD9});
    assertThatThrownBy(() -> Picture.of("scans.jpg", many.toByteArray()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("201 scans");
  }

  @Test
  void textsThatSwellAreNotOpened() throws IOException {
    byte[] png = picture("png", 40, 40);
    ByteArrayOutputStream text = new ByteArrayOutputStream();
    text.write("Comment\0\0".getBytes(StandardCharsets.ISO_8859_1));
    try (var deflated = new java.util.zip.DeflaterOutputStream(text)) {
      byte[] nothing = new byte[1 << 20];
      for (int i = 0; i < 200; i++) {
        deflated.write(nothing);
      }
    }
    ByteArrayOutputStream swelling = new ByteArrayOutputStream();
    swelling.write(png, 0, 33);
    swelling.write(chunk("zTXt", text.toByteArray()));
    swelling.write(png, 33, png.length - 33);

    long begun = System.nanoTime();
    Picture taken = Picture.of("swells.png", swelling.toByteArray());
    assertThat(taken.width()).isEqualTo(40);
    assertThat(taken.original()).isEqualTo(swelling.toByteArray());
    assertThat(PictureCost.withoutTexts(swelling.toByteArray())).isEqualTo(png);
    assertThat((System.nanoTime() - begun) / 1e9).isLessThan(3);
  }

  private static byte[] chunk(String type, byte[] data) {
    byte[] named = new byte[data.length + 4];
    System.arraycopy(type.getBytes(StandardCharsets.US_ASCII), 0, named, 0, 4);
    System.arraycopy(data, 0, named, 4, data.length);
    CRC32 crc = new CRC32();
    crc.update(named);
    return ByteBuffer.allocate(named.length + 8)
        .putInt(data.length)
        .put(named)
        .putInt((int) crc.getValue())
        .array();
  }
}
