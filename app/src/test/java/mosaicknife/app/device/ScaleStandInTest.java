package mosaicknife.app.device;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertNull;
import static org.testng.Assert.assertTrue;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.function.Predicate;
import mosaicknife.app.device.Scale.Numbered;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.ScaleReading;
import mosaicknife.core.scale.ScaleReading.Motion;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** The stand-in and the adapter over a real loopback socket. */
public class ScaleStandInTest {

  private final Clock clock = Clock.fixed(Instant.EPOCH, ZoneOffset.UTC);
  private ScaleStandIn standIn;
  private SocketScale scale;
  private BlockingQueue<Optional<Numbered>> heard;

  @BeforeMethod
  void plugIn() throws IOException {
    standIn = new ScaleStandIn(0);
    scale = new SocketScale("127.0.0.1", standIn.port(), clock);
    heard = new ArrayBlockingQueue<>(1000);
    scale.listen(heard::offer);
    await(reading -> reading.motion() == Motion.STEADY);
  }

  @AfterMethod(alwaysRun = true)
  void unplug() {
    scale.close();
    standIn.close();
  }

  @Test
  public void aPartPutOnMovesSettlesAndIsFoundByTheNumberOfItsReading() throws Exception {
    scale.send("LOAD 1317000");
    await(reading -> reading.motion() == Motion.MOVING);
    Numbered steady = await(reading -> reading.motion() == Motion.STEADY);
    assertEquals(steady.reading().net(), Mass.ofGrams(1318), "the step is 2 g");
    assertEquals(scale.find(steady.number()), Optional.of(steady.reading()));
    assertEquals(scale.find(steady.number() + 1_000_000), Optional.empty());
  }

  @Test
  public void tareTakesTheTrayOffAndTheStepCanBeChanged() throws Exception {
    scale.send("LOAD 212000");
    await(r -> r.motion() == Motion.STEADY && r.gross().equals(Mass.ofGrams(212)));
    scale.tare();
    await(reading -> reading.tare().equals(Mass.ofGrams(212)));
    scale.send("LOAD 1530000");
    Numbered part = await(r -> r.motion() == Motion.STEADY && r.net().isPositive());
    assertEquals(part.reading().net(), Mass.ofGrams(1318));
    scale.send("STEP 5000");
    Numbered coarse = await(r -> r.readability().equals(Mass.ofGrams(5)) && r.isTakeable());
    assertEquals(coarse.reading().gross(), Mass.ofGrams(1530));
    scale.send("ZERO");
    await(reading -> reading.tare().equals(Mass.ZERO));
  }

  @Test
  public void tooMuchIsOverloadedAndALostScaleComesBack() throws Exception {
    scale.send("LOAD 18000000");
    await(reading -> reading.motion() == Motion.OVERLOADED);
    scale.send("GONE 800");
    assertTrue(awaitLoss(), "the listeners hear that the scale is lost");
    assertEquals(scale.latest(), Optional.empty());
    await(reading -> reading.motion() == Motion.OVERLOADED);
  }

  @Test
  public void whatLiesOnThePanIsTakenOnceUntilTheFigureMoves() throws Exception {
    scale.send("LOAD 500000");
    ScaleReading half = await(ScaleReading::isTakeable).reading();
    UUID first = UUID.randomUUID();
    assertTrue(scale.claim(first, half).isPresent());
    assertTrue(scale.claim(first, half).isPresent(), "the same weighing may ask again");
    assertFalse(scale.claim(UUID.randomUUID(), half).isPresent());
    assertTrue(scale.isClaimed());
    assertEquals(scale.release(), Optional.of(first));
    assertTrue(scale.claim(UUID.randomUUID(), half).isPresent());
    scale.send("LOAD 0");
    await(reading -> reading.gross().compareTo(Mass.ofGrams(2)) < 0);
    assertTrue(scale.isClaimed(), "two taps within two seconds are one, and no time passes here");
  }

  @Test
  public void garbageFromAnotherClientDoesNotDisturbIt() throws Exception {
    try (Socket other = new Socket(InetAddress.getLoopbackAddress(), standIn.port())) {
      PrintWriter out = new PrintWriter(other.getOutputStream(), true, StandardCharsets.US_ASCII);
      out.println("LOAD minus three");
      out.println("<script>");
      out.println("STEP 99999999999999999999");
      BufferedReader in =
          new BufferedReader(
              new InputStreamReader(other.getInputStream(), StandardCharsets.US_ASCII));
      assertTrue(in.readLine().startsWith("W "));
    }
    await(reading -> reading.motion() == Motion.STEADY);
  }

  @DataProvider
  Object[][] lines() {
    return new Object[][] {
      {"W 1530000 212000 2000 steady", 1_318_000L},
      {"W -212000 0 2000 moving", -212_000L},
      {"W 1530000 212000 2000", null},
      {"W 1530000 212000 0 steady", null},
      {"W 99999999999999999999 0 2000 steady", null},
      {"hello", null},
      {"", null},
    };
  }

  @Test(dataProvider = "lines")
  public void aLineThatIsNoReadingIsPassedOver(String line, Long netMilligrams) {
    Long read = ScaleLine.read(line).map(r -> r.net().milligrams()).orElse(null);
    if (netMilligrams == null) {
      assertNull(read);
    } else {
      assertEquals(read, netMilligrams);
      assertEquals(ScaleLine.write(ScaleLine.read(line).orElseThrow()), line);
    }
  }

  private Numbered await(Predicate<ScaleReading> wanted) {
    for (int i = 0; i < 400; i++) {
      Optional<Numbered> next = poll();
      if (next.filter(n -> wanted.test(n.reading())).isPresent()) {
        return next.orElseThrow();
      }
    }
    throw new AssertionError("the scale never showed what was waited for");
  }

  private boolean awaitLoss() throws InterruptedException {
    for (int i = 0; i < 400; i++) {
      Optional<Numbered> next = heard.poll(5, TimeUnit.SECONDS);
      if (next != null && next.isEmpty()) {
        return true;
      }
    }
    return false;
  }

  private Optional<Numbered> poll() {
    try {
      Optional<Numbered> next = heard.poll(5, TimeUnit.SECONDS);
      return next == null ? Optional.empty() : next;
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new AssertionError("interrupted", e);
    }
  }
}
