package mosaicknife.app.device;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** A small server on a loopback socket for a stand-in: one client after the other. */
final class Loopback implements AutoCloseable {

  private static final Logger LOG = LoggerFactory.getLogger(Loopback.class);
  private static final int PATIENCE_MILLIS = 5000;

  private final ServerSocket server;
  private final Thread thread;
  private final Serve serve;

  /** What a stand-in does with a client. */
  interface Serve {

    /**
     * Serves a client; its socket is closed afterwards.
     *
     * @param client the client
     * @throws IOException if it went away
     */
    void to(Socket client) throws IOException;
  }

  Loopback(int port, String name, Serve serve) throws IOException {
    this.serve = serve;
    server = new ServerSocket(port, 5, InetAddress.getLoopbackAddress());
    thread = new Thread(this::accept, name);
    thread.setDaemon(true);
    thread.start();
  }

  int port() {
    return server.getLocalPort();
  }

  private void accept() {
    while (!server.isClosed()) {
      try (Socket client = server.accept()) {
        client.setSoTimeout(PATIENCE_MILLIS);
        serve.to(client);
      } catch (IOException e) {
        LOG.debug("{} lost a client", thread.getName(), e);
      }
    }
  }

  @Override
  public void close() {
    try {
      server.close();
      // until it wakes, the socket may still take a connection
      thread.join(PATIENCE_MILLIS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    } catch (IOException e) {
      LOG.debug("The socket of {} was closed already", thread.getName(), e);
    }
  }
}
