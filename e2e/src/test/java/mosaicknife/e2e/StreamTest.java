package mosaicknife.e2e;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertNotNull;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.app.TestLots;
import mosaicknife.core.anatomy.State;
import org.testng.annotations.Test;

/** The live streams of the benches: none holds up another, and each ends with its session. */
public class StreamTest extends InBrowser {

  private static final int SILENT = 12;
  private static final String NEWS = "select cast(pg_notify('lot_changed', ?) as text)";

  @Override
  boolean sharesAHouse() {
    return true;
  }

  private long lot() {
    return new TestLots(app).receive("gurnard", State.UNGUTTED, 1, "0.800");
  }

  private static String stream(long lot) {
    return "/bench/" + lot + "/stream";
  }

  /** Enough to fill the buffers between server and browser, so that writing to it hangs. */
  private void flood(long lot) {
    for (int i = 0; i < 1500; i++) {
      notify(lot + " " + "x".repeat(7000));
    }
  }

  private void notify(String news) {
    jdbc().sql(NEWS).param(news).query(String.class).single();
  }

  private static BufferedReader reader(Socket socket) throws IOException {
    socket.setSoTimeout(Patience.MILLIS);
    return new BufferedReader(
        new InputStreamReader(socket.getInputStream(), StandardCharsets.UTF_8));
  }

  private static void waitFor(BufferedReader reader, String wanted) throws IOException {
    String line = reader.readLine();
    while (line != null && !line.contains(wanted)) {
      line = reader.readLine();
    }
    assertNotNull(line, "the stream ended before " + wanted);
  }

  @Test
  public void benchesThatNeverReadHoldUpNobody() throws Exception {
    Visitor visitor = new Visitor(port(), "tobiah");
    long quiet = lot();
    long loud = lot();
    List<Socket> silent = new ArrayList<>();
    try (Socket open = visitor.stream(stream(quiet))) {
      BufferedReader reader = reader(open);
      waitFor(reader, "event:reading");
      for (int i = 0; i < SILENT; i++) {
        Socket one = visitor.stream(stream(loud));
        one.getInputStream().read();
        silent.add(one);
      }
      flood(loud);
      for (int i = 0; i < 20; i++) {
        notify(quiet + " mark-" + i);
        waitFor(reader, "mark-" + i);
        waitFor(reader, "event:reading");
      }
    } finally {
      for (Socket one : silent) {
        one.close();
      }
    }
  }

  @Test
  public void aStreamEndsWithItsSession() throws Exception {
    Visitor leaving = new Visitor(port(), "maren");
    Visitor staying = new Visitor(port(), "tobiah");
    long lot = lot();
    try (Socket ends = leaving.stream(stream(lot));
        Socket stays = staying.stream(stream(lot))) {
      BufferedReader left = reader(ends);
      BufferedReader stayed = reader(stays);
      waitFor(left, "event:reading");
      waitFor(stayed, "event:reading");
      leaving.post("/sign-out", "", false);
      String line = left.readLine();
      while (line != null && !line.equals("0")) {
        line = left.readLine();
      }
      assertEquals(line, "0", "the last chunk: the stream was ended, not cut off");
      notify(lot + " still-here");
      waitFor(stayed, "still-here");
    }
  }
}
