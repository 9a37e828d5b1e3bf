package mosaicknife.app.device;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import mosaicknife.core.heat.Surroundings;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** The probe over a real loopback socket. */
public class ProbeStandInTest {

  private ProbeStandIn standIn;
  private SocketProbe probe;

  @BeforeMethod
  void plugIn() throws IOException {
    standIn = new ProbeStandIn(0);
    probe = new SocketProbe("127.0.0.1", standIn.port());
  }

  @AfterMethod(alwaysRun = true)
  void unplug() {
    standIn.close();
  }

  private String say(String line) throws IOException {
    try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), standIn.port())) {
      new PrintWriter(socket.getOutputStream(), true, StandardCharsets.US_ASCII).println(line);
      return new BufferedReader(
              new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))
          .readLine();
    }
  }

  @Test
  public void aPotFreshOffTheHeatIsHot() throws IOException {
    say("HEAT 92.0");
    assertEquals(probe.read().orElseThrow().tenths(), 920, 10);
    probe.stands(Surroundings.ICE_BATH);
    assertTrue(probe.read().orElseThrow().tenths() <= 930);
  }

  @Test
  public void aSilentProbeAndOneThatIsAwayShowNothing() throws IOException {
    say("SILENT");
    assertEquals(probe.read(), Optional.empty());
    assertEquals(say("WHAT"), "?");
    say("HEAT 40");
    assertTrue(probe.read().isPresent(), "it comes back");
    standIn.close();
    assertEquals(probe.read(), Optional.empty());
    assertEquals(new NoProbe().read(), Optional.empty());
  }

  @Test
  public void aPotCoolsByItsDepthItsLidAndAPaddle() throws IOException {
    // 20 cm in a room of 22 °C: 63 degrees above it fall by exp(−60 / 160) in an hour
    assertEquals(after("LID off", "PADDLE off"), 653, 12);
    assertEquals(after("LID on", "PADDLE off"), 697, 12);
    assertEquals(after("LID off", "PADDLE on"), 539, 12);
    say("LEFT");
    assertEquals(probe.read().orElseThrow().tenths(), 40, 12, "forgotten in the fridge");
    say("HEAT 85");
    assertTrue(probe.read().orElseThrow().tenths() > 800, "put back");
  }

  private int after(String lid, String paddle) throws IOException {
    say("STAND ROOM");
    say("DEPTH 20");
    say(lid);
    say(paddle);
    say("HEAT 85");
    say("PASS 60");
    return probe.read().orElseThrow().tenths();
  }
}
