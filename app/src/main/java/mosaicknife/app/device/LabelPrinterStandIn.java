package mosaicknife.app.device;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A label printer that is not there: a small server on a loopback socket that takes jobs as a real
 * one does, and prints them at 203 dots an inch into pictures. It remembers the last labels only.
 */
final class LabelPrinterStandIn implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(LabelPrinterStandIn.class);
  private static final int DOTS_AN_INCH = 203;
  private static final int REMEMBERED = 40;
  private static final int LARGEST_JOB = 4_000_000;
  private static final Pattern NAME = Pattern.compile("@PJL JOB NAME = \"([^\"]{1,40})\"");

  private final Loopback server;
  private final Map<String, byte[]> labels =
      new LinkedHashMap<>() {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<String, byte[]> eldest) {
          return size() > REMEMBERED;
        }
      };

  LabelPrinterStandIn(int port) throws IOException {
    server =
        new Loopback(
            port,
            "label-printer-stand-in",
            client -> print(client.getInputStream().readNBytes(LARGEST_JOB)));
  }

  int port() {
    return server.port();
  }

  private void print(byte[] job) throws IOException {
    // one byte is one character here, so that places in the text are places in the job
    String text = new String(job, StandardCharsets.ISO_8859_1);
    Matcher name = NAME.matcher(text);
    int page = text.indexOf(SocketLabelPrinter.LANGUAGE);
    int end = text.lastIndexOf(SocketLabelPrinter.END + "@PJL EOJ");
    if (!name.find() || page < 0 || end < page) {
      LOG.warn("The label printer stand-in was sent something that is no job");
      return;
    }
    byte[] png = picture(Arrays.copyOfRange(job, page + SocketLabelPrinter.LANGUAGE.length(), end));
    synchronized (labels) {
      labels.remove(name.group(1));
      labels.put(name.group(1), png);
    }
  }

  private static byte[] picture(byte[] page) throws IOException {
    try (PDDocument document = Loader.loadPDF(page)) {
      BufferedImage image =
          new PDFRenderer(document).renderImageWithDPI(0, DOTS_AN_INCH, ImageType.GRAY);
      ByteArrayOutputStream png = new ByteArrayOutputStream();
      ImageIO.write(image, "png", png);
      return png.toByteArray();
    }
  }

  Optional<byte[]> last(String code) {
    synchronized (labels) {
      return Optional.ofNullable(labels.get(code)).map(byte[]::clone);
    }
  }

  @Override
  public void close() {
    server.close();
  }
}
