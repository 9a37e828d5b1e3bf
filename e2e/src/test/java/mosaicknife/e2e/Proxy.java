package mosaicknife.e2e;

import java.io.IOException;
import java.net.Socket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;

/**
 * Debian's nginx with the configuration of the guide, on ports and with a certificate of its own.
 */
final class Proxy implements AutoCloseable {

  private static final Path PROGRAM = Path.of("/usr/sbin/nginx");

  private final Path folder;
  private final int plainPort;
  private final int safePort;
  private final Process process;

  static boolean isThere() {
    return Files.isExecutable(PROGRAM);
  }

  Proxy(List<Integer> instances) throws IOException, InterruptedException {
    folder = Files.createTempDirectory(Path.of("/tmp"), "mosaic-proxy");
    Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
    plainPort = Houses.freePort();
    safePort = Houses.freePort();
    run(
        "openssl",
        "req",
        "-x509",
        "-newkey",
        "rsa:2048",
        "-nodes",
        "-days",
        "2",
        "-subj",
        "/CN=127.0.0.1",
        "-keyout",
        folder.resolve("key.pem").toString(),
        "-out",
        folder.resolve("certificate.pem").toString());
    String servers =
        instances.stream()
            .map(port -> "server 127.0.0.1:%d max_fails=1 fail_timeout=2s;".formatted(port))
            .collect(Collectors.joining("\n"));
    String guide =
        Files.readString(Path.of("../docs/guide/nginx.conf"))
            .replaceFirst("server 127\\.0\\.0\\.1:8080 [^;]*;", servers)
            .replace(
                "listen 443 ssl;",
                "listen 127.0.0.1:%d ssl; listen 127.0.0.1:%d;".formatted(safePort, plainPort))
            .replace("/etc/ssl/mosaic", folder.toString());
    Path whole = folder.resolve("nginx.conf");
    Files.writeString(
        whole,
        """
        worker_processes 1; daemon off; pid %1$s/pid; error_log %1$s/error.log;
        events { worker_connections 1024; }
        http { access_log off;
          client_body_temp_path %1$s/b; proxy_temp_path %1$s/p; fastcgi_temp_path %1$s/f;
          uwsgi_temp_path %1$s/u; scgi_temp_path %1$s/s;
          %2$s
        }
        """
            .formatted(folder, guide));
    run(PROGRAM.toString(), "-t", "-c", whole.toString());
    process =
        new ProcessBuilder(PROGRAM.toString(), "-c", whole.toString())
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("said.log").toFile())
            .start();
    awaitOpen();
  }

  private void awaitOpen() throws IOException, InterruptedException {
    for (int tries = 0; tries < 100 && process.isAlive(); tries++) {
      try (Socket open = new Socket("127.0.0.1", plainPort)) {
        return;
      } catch (IOException e) {
        TimeUnit.MILLISECONDS.sleep(100);
      }
    }
    throw new IOException("nginx: " + Files.readString(folder.resolve("said.log")));
  }

  private void run(String... command) throws IOException, InterruptedException {
    Process one =
        new ProcessBuilder(command)
            .redirectErrorStream(true)
            .redirectOutput(folder.resolve("run.log").toFile())
            .start();
    if (one.waitFor() != 0) {
      throw new IOException(
          String.join(" ", command) + ": " + Files.readString(folder.resolve("run.log")));
    }
  }

  int plainPort() {
    return plainPort;
  }

  int safePort() {
    return safePort;
  }

  @Override
  public void close() {
    try {
      process.destroy();
      process.waitFor(10, TimeUnit.SECONDS);
      new ProcessBuilder("rm", "-rf", folder.toString()).start().waitFor();
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }
}
