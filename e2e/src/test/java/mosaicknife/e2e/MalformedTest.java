package mosaicknife.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.app.account.TokenIssuer;
import org.testng.annotations.Test;

/** Whatever is sent to whatever address, the application never answers with a fault of its own. */
public class MalformedTest extends InBrowser {

  @Test
  public void nothingMalformedIsAFaultOfTheApplication() throws Exception {
    List<Malformed.Request> requests = Malformed.all(app);
    Visitor visitor = new Visitor(port(), "adaeze");
    String bearer =
        bean(TokenIssuer.class).issue("adaeze", "port-sallow-demo", "127.0.0.9").token();
    List<String> faults = new ArrayList<>();
    int understood = 0;
    for (Malformed.Request request : requests) {
      int status = visitor.raw(request, bearer);
      if (status >= 500 || status == 0) {
        faults.add(status + " " + request);
      }
      understood += status >= 200 && status < 400 ? 1 : 0;
    }
    assertTrue(understood > 50, "a walk that is always turned away at the door shows nothing");
    Visitor stranger = new Visitor(port());
    for (Malformed.Request request : Malformed.bySomebodySignedOut(app)) {
      int status = stranger.raw(request, "none");
      if (status >= 500 || status == 0) {
        faults.add(status + " signed out: " + request);
      }
      requests.add(request);
    }
    assertTrue(requests.size() > 3000, "only " + requests.size());
    System.out.printf(
        "drilled | malformed inputs answered without a fault | %d | %d | 0 | %s%n",
        requests.size(), faults.size(), faults.isEmpty() ? "held" : "FAILED");
    assertEquals(String.join("\n", faults), "", faults.size() + " of " + requests.size());
    // one of the inputs is long enough for a new password, which signs the visitor out
    assertEquals(visitor.get("/up").statusCode(), 200, "and it is well afterwards");
  }

  /** More than the server has workers, and none of them sends what it promised. */
  private static final int MANY = 260;

  @Test
  public void slowSendersShutNobodyOut() throws Exception {
    Visitor tobiah = new Visitor(port(), "tobiah");
    List<Socket> slow = new ArrayList<>();
    try {
      for (int i = 0; i < MANY; i++) {
        Socket socket = new Socket("127.0.0.1", port());
        slow.add(socket);
        socket.getOutputStream().write(promising(i % 2 == 0).getBytes(StandardCharsets.US_ASCII));
      }
      for (int i = 0; i < 5; i++) {
        assertEquals(tobiah.post("/dock/5/judge", "SKIN=1", true).statusCode(), 200);
      }
      int refused = 0;
      int held = 0;
      for (Socket socket : slow) {
        byte[] said = new byte[Math.min(12, socket.getInputStream().available())];
        socket.getInputStream().readNBytes(said, 0, said.length);
        String answer = new String(said, StandardCharsets.US_ASCII);
        held += answer.isEmpty() ? 1 : 0;
        refused += answer.equals("HTTP/1.1 503") || answer.equals("HTTP/1.1 401") ? 1 : 0;
      }
      assertEquals(
          held + refused, MANY, "nobody who is signed in waits until a slow one is given up");
      assertTrue(held > 0 && refused > 0, held + " held, " + refused + " refused");
    } finally {
      for (Socket socket : slow) {
        socket.close();
      }
    }
    assertEquals(new Visitor(port(), "ines").get("/").statusCode(), 200, "the door is open again");
  }

  /** The head of a form, or of an upload, and the first letters of it. */
  private String promising(boolean isForm) {
    return "POST /sign-in HTTP/1.1\r\nHost: 127.0.0.1:%d\r\nContent-Type: %s\r\nContent-Length: 5000\r\n\r\nname="
        .formatted(
            port(),
            isForm ? "application/x-www-form-urlencoded" : "multipart/form-data; boundary=x");
  }
}
