package mosaicknife.app.lot;

import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Locale;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import mosaicknife.app.shared.Refusal;

/**
 * Takes only pictures and PDFs that really are such, whatever a file is called, and makes a
 * thumbnail.
 */
public final class EvidenceReader {

  public static final int MOST_BYTES = 6 * 1024 * 1024;
  private static final long MOST_PIXELS = 60_000_000;
  private static final int THUMBNAIL = 320;
  private static final int TAIL = 2048;
  private static final Semaphore DECODING = new Semaphore(1, true);
  private static final String NOT_ONE = "lot.problem.this-is-not-a-jpeg";

  private EvidenceReader() {}

  /** A file that was checked; a PDF has no thumbnail. */
  public record Checked(String mediaType, byte[] content, byte[] thumbnail) {}

  public static Checked check(byte[] content) {
    if (content.length == 0) {
      throw Refusal.ofField("file", "lot.problem.the-file-is-empty-choose");
    }
    if (content.length > MOST_BYTES) {
      throw Refusal.ofField("file", "lot.problem.the-file-is-too-large");
    }
    if (startsWith(content, "%PDF-")) {
      return pdf(content);
    }
    try {
      return picture(content);
    } catch (IOException | RuntimeException e) {
      if (e instanceof Refusal refusal) {
        throw refusal;
      }
      throw Refusal.ofField("file", NOT_ONE);
    }
  }

  private static Checked pdf(byte[] content) {
    byte[] tail = Arrays.copyOfRange(content, Math.max(0, content.length - TAIL), content.length);
    if (!new String(tail, StandardCharsets.ISO_8859_1).contains("%%EOF")) {
      throw Refusal.ofField("file", "lot.problem.the-pdf-is-cut-off");
    }
    return new Checked("application/pdf", content, null);
  }

  private static boolean startsWith(byte[] content, String mark) {
    byte[] wanted = mark.getBytes(StandardCharsets.ISO_8859_1);
    return content.length > wanted.length
        && Arrays.equals(Arrays.copyOf(content, wanted.length), wanted);
  }

  private static Checked picture(byte[] content) throws IOException {
    try (ImageInputStream stream =
        ImageIO.createImageInputStream(new ByteArrayInputStream(content))) {
      Iterator<ImageReader> readers = ImageIO.getImageReaders(stream);
      if (!readers.hasNext()) {
        throw Refusal.ofField("file", NOT_ONE);
      }
      ImageReader reader = readers.next();
      try {
        String format = reader.getFormatName().toLowerCase(Locale.ROOT);
        if (!format.equals("jpeg") && !format.equals("png")) {
          throw Refusal.ofField("file", NOT_ONE);
        }
        reader.setInput(stream, true, true);
        long pixels = (long) reader.getWidth(0) * reader.getHeight(0);
        if (pixels > MOST_PIXELS) {
          throw Refusal.ofField("file", "lot.problem.the-picture-has-more-than");
        }
        BufferedImage image = read(reader);
        return new Checked("image/" + format, content, thumbnail(image));
      } finally {
        reader.dispose();
      }
    }
  }

  /** One at a time, and only as many of its pixels as the small picture needs. */
  private static BufferedImage read(ImageReader reader) throws IOException {
    DECODING.acquireUninterruptibly();
    try {
      int step = Math.max(1, Math.max(reader.getWidth(0), reader.getHeight(0)) / (2 * THUMBNAIL));
      ImageReadParam sparse = reader.getDefaultReadParam();
      sparse.setSourceSubsampling(step, step, 0, 0);
      return reader.read(0, sparse);
    } finally {
      DECODING.release();
    }
  }

  private static byte[] thumbnail(BufferedImage image) throws IOException {
    double scale = Math.min(1, THUMBNAIL / (double) Math.max(image.getWidth(), image.getHeight()));
    int width = Math.max(1, (int) (image.getWidth() * scale));
    int height = Math.max(1, (int) (image.getHeight() * scale));
    BufferedImage small = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
    Graphics2D graphics = small.createGraphics();
    graphics.setRenderingHint(
        RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
    graphics.drawImage(image, 0, 0, width, height, null);
    graphics.dispose();
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    ImageIO.write(small, "jpeg", bytes);
    return bytes.toByteArray();
  }
}
