package mosaicknife.app.device;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.springframework.stereotype.Component;

/**
 * A label printer of 203 dots an inch that prints into a picture. It remembers the last labels
 * only.
 */
@Component
class LabelPrinterStandIn implements LabelPrinter {

  private static final int DOTS_AN_INCH = 203;
  private static final int REMEMBERED = 40;

  private final Map<String, byte[]> labels =
      new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, byte[]> eldest) {
          return size() > REMEMBERED;
        }
      };

  @Override
  public void print(String code, byte[] page) {
    byte[] png = picture(page);
    synchronized (labels) {
      labels.remove(code);
      labels.put(code, png);
    }
  }

  private static byte[] picture(byte[] page) {
    try (PDDocument document = Loader.loadPDF(page)) {
      BufferedImage image =
          new PDFRenderer(document).renderImageWithDPI(0, DOTS_AN_INCH, ImageType.GRAY);
      ByteArrayOutputStream png = new ByteArrayOutputStream();
      ImageIO.write(image, "png", png);
      return png.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public Optional<byte[]> last(String code) {
    synchronized (labels) {
      return Optional.ofNullable(labels.get(code)).map(byte[]::clone);
    }
  }
}
