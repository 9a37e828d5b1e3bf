package mosaicknife.e2e;

import java.io.BufferedInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;

/**
 * One connection that is kept open, as a browser keeps it, with nothing between the thread that
 * asks and the socket: what is measured is the server.
 */
final class KeptLine implements AutoCloseable {

  private final int port;
  private Socket socket;
  private InputStream in;

  /** It is opened with the first request. */
  KeptLine(int port) {
    this.port = port;
  }

  private void open() throws IOException {
    if (socket == null) {
      socket = new Socket("127.0.0.1", port);
      socket.setTcpNoDelay(true);
      socket.setSoTimeout(Patience.MILLIS);
      in = new BufferedInputStream(socket.getInputStream());
    }
  }

  /**
   * An answer.
   *
   * @param status its status
   * @param head its lines of headers
   * @param body its text
   */
  record Answer(int status, String head, String body) {}

  Answer send(String method, String path, String headers, String form) throws IOException {
    open();
    byte[] body = form.getBytes(StandardCharsets.UTF_8);
    String head =
        "%s %s HTTP/1.1\r\nHost: 127.0.0.1:%d\r\n%sContent-Length: %d\r\n\r\n"
            .formatted(method, path, port, headers, body.length);
    ByteArrayOutputStream whole = new ByteArrayOutputStream();
    whole.write(head.getBytes(StandardCharsets.ISO_8859_1));
    whole.write(body);
    socket.getOutputStream().write(whole.toByteArray());
    int status = Integer.parseInt(line().split(" ")[1]);
    int length = 0;
    boolean chunked = false;
    StringBuilder lines = new StringBuilder();
    for (String line = line(); !line.isEmpty(); line = line()) {
      lines.append(line).append('\n');
      String lower = line.toLowerCase(Locale.ROOT);
      if (lower.startsWith("content-length:")) {
        length = Integer.parseInt(lower.substring(15).strip());
      }
      chunked |= lower.equals("transfer-encoding: chunked");
    }
    return new Answer(status, lines.toString(), chunked ? chunks() : text(length));
  }

  private String chunks() throws IOException {
    StringBuilder all = new StringBuilder();
    int length = Integer.parseInt(line().strip(), 16);
    while (length > 0) {
      all.append(text(length));
      line();
      length = Integer.parseInt(line().strip(), 16);
    }
    line();
    return all.toString();
  }

  private String text(int length) throws IOException {
    return new String(in.readNBytes(length), StandardCharsets.UTF_8);
  }

  private String line() throws IOException {
    ByteArrayOutputStream line = new ByteArrayOutputStream();
    for (int b = in.read(); b != '\n'; b = in.read()) {
      if (b < 0) {
        throw new IOException("the server ended the connection");
      }
      if (b != '\r') {
        line.write(b);
      }
    }
    return line.toString(StandardCharsets.ISO_8859_1);
  }

  @Override
  public void close() throws IOException {
    if (socket != null) {
      socket.close();
    }
  }
}
