package mosaicknife.app.device;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.function.Function;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A label printer that takes jobs on a raw socket, as most of them do on port 9100: a few lines
 * that name the job and its language, the page, and the end of the job.
 */
final class SocketLabelPrinter implements LabelPrinter {

  /** Ends whatever went before, and begins and ends a job. */
  static final String END = "\u001b%-12345X";

  /** After this line comes the page. */
  static final String LANGUAGE = "@PJL ENTER LANGUAGE = PDF\r\n";

  private static final Logger LOG = LoggerFactory.getLogger(SocketLabelPrinter.class);
  private static final int PATIENCE_MILLIS = 5000;

  private final InetSocketAddress address;
  private final Function<String, Optional<byte[]>> seen;

  /**
   * Connects to a printer for each job.
   *
   * @param host its host
   * @param port its port
   * @param seen where what it printed can be seen
   */
  SocketLabelPrinter(String host, int port, Function<String, Optional<byte[]>> seen) {
    this.address = new InetSocketAddress(host, port);
    this.seen = seen;
  }

  /** A job as it goes over the wire. */
  static byte[] job(String code, byte[] page) {
    ByteArrayOutputStream job = new ByteArrayOutputStream();
    String before = END + "@PJL JOB NAME = \"" + code + "\"\r\n" + LANGUAGE;
    job.writeBytes(before.getBytes(StandardCharsets.US_ASCII));
    job.writeBytes(page);
    job.writeBytes((END + "@PJL EOJ\r\n" + END).getBytes(StandardCharsets.US_ASCII));
    return job.toByteArray();
  }

  @Override
  public boolean print(String code, byte[] page) {
    try (Socket socket = new Socket()) {
      socket.setSoTimeout(PATIENCE_MILLIS);
      socket.connect(address, PATIENCE_MILLIS);
      OutputStream out = socket.getOutputStream();
      out.write(job(code, page));
      out.flush();
      socket.shutdownOutput();
      // the printer closes when it has the whole job
      socket.getInputStream().readAllBytes();
      return true;
    } catch (IOException e) {
      LOG.warn("The label printer at {} did not take a label: {}", address, e.toString());
      return false;
    }
  }

  @Override
  public Optional<byte[]> last(String code) {
    return seen.apply(code);
  }
}
