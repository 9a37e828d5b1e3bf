package mosaicknife.app.device;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Labels over a real loopback socket. */
public class LabelPrinterTest {

  private LabelPrinterStandIn standIn;
  private SocketLabelPrinter printer;

  @BeforeMethod
  void plugIn() throws IOException {
    standIn = new LabelPrinterStandIn(0);
    printer = new SocketLabelPrinter("127.0.0.1", standIn.port(), standIn::last);
  }

  @AfterMethod(alwaysRun = true)
  void unplug() {
    standIn.close();
  }

  /** A page of one by two inches. */
  private static byte[] page() throws IOException {
    try (PDDocument document = new PDDocument()) {
      document.addPage(new PDPage(new PDRectangle(144, 72)));
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes);
      return bytes.toByteArray();
    }
  }

  @Test
  public void aLabelComesOutAsLargeAsItsPage() throws IOException {
    assertTrue(printer.print("K3F7Q", page()));
    BufferedImage seen = ImageIO.read(new ByteArrayInputStream(printer.last("K3F7Q").get()));
    assertEquals(seen.getWidth(), 406);
    assertEquals(seen.getHeight(), 203);
    assertFalse(printer.last("OTHER").isPresent());
  }

  @Test
  public void whatIsNoJobIsNotPrintedAndTheNextOneIs() throws IOException {
    try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), standIn.port())) {
      socket.getOutputStream().write("GET / HTTP/1.1\r\n\r\n".getBytes(StandardCharsets.US_ASCII));
      socket.shutdownOutput();
      assertEquals(socket.getInputStream().readAllBytes().length, 0);
    }
    assertTrue(printer.print("K3F7Q", page()));
    assertTrue(printer.last("K3F7Q").isPresent());
  }

  @Test
  public void aPrinterThatIsAwaySaysSo() throws IOException {
    standIn.close();
    assertFalse(printer.print("K3F7Q", page()));
    assertFalse(new NoLabelPrinter().print("K3F7Q", page()));
  }
}
