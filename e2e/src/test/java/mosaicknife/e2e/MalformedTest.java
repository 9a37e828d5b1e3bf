package mosaicknife.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

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
}
