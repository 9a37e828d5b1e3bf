package mosaicknife.app.device;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.quantity.Temperature;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * A probe behind a socket: each question is a line, {@code READ}, and is answered by a line, {@code
 * T 45.3} in degrees Celsius. A probe that says anything else, or nothing, shows nothing.
 */
final class SocketProbe implements Probe {

  private static final Logger LOG = LoggerFactory.getLogger(SocketProbe.class);
  private static final int PATIENCE_MILLIS = 1500;

  private final InetSocketAddress address;

  SocketProbe(String host, int port) {
    this.address = new InetSocketAddress(host, port);
  }

  private Optional<String> ask(String line) {
    try (Socket socket = new Socket()) {
      socket.setSoTimeout(PATIENCE_MILLIS);
      socket.connect(address, PATIENCE_MILLIS);
      PrintWriter out = new PrintWriter(socket.getOutputStream(), true, StandardCharsets.US_ASCII);
      out.println(line);
      BufferedReader in =
          new BufferedReader(
              new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII));
      return Optional.ofNullable(in.readLine());
    } catch (IOException e) {
      LOG.debug("The probe at {} does not answer: {}", address, e.toString());
      return Optional.empty();
    }
  }

  @Override
  public Optional<Temperature> read() {
    return ask("READ")
        .filter(line -> line.matches("T -?[0-9]{1,3}(\\.[0-9])?"))
        .map(line -> Temperature.parse(line.substring(2)));
  }

  @Override
  public void stands(Surroundings where) {
    ask("STAND " + where.name());
  }
}
