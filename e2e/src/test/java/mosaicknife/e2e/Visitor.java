package mosaicknife.e2e;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.CookieManager;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody who speaks HTTP without a browser, signed in as a person of the demo. */
final class Visitor {

  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

  private final CookieManager cookies = new CookieManager();
  private final HttpClient client = HttpClient.newBuilder().cookieHandler(cookies).build();
  private final int port;
  private String token = "";

  /** Nobody yet, with the token of the sign-in page. */
  Visitor(int port) throws IOException, InterruptedException {
    this.port = port;
    token = tokenOf(get("/sign-in").body());
  }

  Visitor(int port, String name) throws IOException, InterruptedException {
    this(port);
    post("/sign-in", "name=" + name + "&password=port-sallow-demo", false);
    token = tokenOf(get("/me").body());
  }

  private static String tokenOf(String page) {
    Matcher matcher = TOKEN.matcher(page);
    if (!matcher.find()) {
      throw new IllegalStateException("no form on the page: " + page);
    }
    return matcher.group(1);
  }

  private URI uri(String path) {
    return URI.create("http://127.0.0.1:" + port + path);
  }

  HttpResponse<String> get(String path) throws IOException, InterruptedException {
    return client.send(
        HttpRequest.newBuilder(uri(path)).timeout(Duration.ofSeconds(30)).build(),
        BodyHandlers.ofString());
  }

  /** Sends a form, as a page does, or as the script of a page does. */
  HttpResponse<String> post(String path, String form, boolean fragment)
      throws IOException, InterruptedException {
    HttpRequest.Builder request = HttpRequest.newBuilder(uri(path)).timeout(Duration.ofSeconds(30));
    if (fragment) {
      request.header("HX-Request", "true");
    }
    return client.send(
        request
            .header("Content-Type", "application/x-www-form-urlencoded")
            .header("Accept", "text/html")
            .POST(
                BodyPublishers.ofString(
                    form + "&_csrf=" + URLEncoder.encode(token, StandardCharsets.UTF_8)))
            .build(),
        BodyHandlers.ofString());
  }

  /** Sends bytes as they are, whatever they are, and returns the status of the answer. */
  int raw(Malformed.Request request, String bearer) throws IOException {
    StringBuilder head = new StringBuilder();
    head.append(request.method()).append(' ').append(request.path()).append(" HTTP/1.1\r\n");
    head.append("Host: 127.0.0.1:").append(port).append("\r\nConnection: close\r\n");
    if (request.path().startsWith("/api/")) {
      head.append("Authorization: Bearer ").append(bearer).append("\r\n");
    } else {
      head.append("X-XSRF-TOKEN: ").append(token).append("\r\n").append(cookieLine());
    }
    if (!request.type().isEmpty()) {
      head.append("Content-Type: ").append(request.type()).append("\r\n");
    }
    if (request.method().equals("POST")) {
      head.append("Content-Length: ").append(request.body().length).append("\r\n");
    }
    head.append("\r\n");
    try (Socket socket = new Socket("127.0.0.1", port)) {
      socket.setSoTimeout(30_000);
      OutputStream out = socket.getOutputStream();
      out.write(head.toString().getBytes(StandardCharsets.ISO_8859_1));
      out.write(request.body());
      out.flush();
      return statusOf(socket.getInputStream());
    }
  }

  String token() {
    return token;
  }

  /** The cookies as a line of a request's head. */
  String cookieLine() {
    return cookies.getCookieStore().getCookies().stream()
        .map(cookie -> cookie.getName() + "=" + cookie.getValue())
        .collect(Collectors.joining("; ", "Cookie: ", "\r\n"));
  }

  /**
   * Opens a stream and leaves the reading of it to the caller; with a buffer as small as can be.
   */
  Socket stream(String path) throws IOException {
    Socket socket = new Socket();
    socket.setReceiveBufferSize(1024);
    socket.connect(new InetSocketAddress("127.0.0.1", port));
    String head =
        "GET %s HTTP/1.1\r\nHost: 127.0.0.1:%d\r\nAccept: text/event-stream\r\n%s\r\n"
            .formatted(path, port, cookieLine());
    socket.getOutputStream().write(head.getBytes(StandardCharsets.ISO_8859_1));
    return socket;
  }

  private static int statusOf(InputStream in) throws IOException {
    ByteArrayOutputStream line = new ByteArrayOutputStream();
    for (int b = in.read(); b >= 0 && b != '\n'; b = in.read()) {
      line.write(b);
    }
    String[] words = line.toString(StandardCharsets.ISO_8859_1).split(" ");
    return words.length < 2 ? 0 : Integer.parseInt(words[1]);
  }
}
