package mosaicknife.app.device;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.io.PrintWriter;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import mosaicknife.app.device.Scale.Numbered;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.Claim;
import mosaicknife.core.scale.ScaleReading;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeMethod;
import org.testng.annotations.Test;

/** Scales of other habits than the stand-in, over a real socket: the test says what they send. */
public class ScaleHabitsTest {

  private ServerSocket server;
  private PrintWriter sends;
  private SocketScale scale;
  private HandClock clock;
  private BlockingQueue<Optional<Numbered>> heard;

  /** A clock that the test moves. */
  private static final class HandClock extends Clock {

    private volatile Instant now = Instant.parse("2026-11-25T12:00:00Z");

    @Override
    public ZoneId getZone() {
      return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
      return this;
    }

    @Override
    public Instant instant() {
      return now;
    }
  }

  @BeforeMethod
  void plugIn() throws IOException {
    server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress());
    clock = new HandClock();
    heard = new ArrayBlockingQueue<>(100);
    scale = new SocketScale("127.0.0.1", server.getLocalPort(), clock);
    scale.listen(heard::offer);
    accept();
  }

  private void accept() throws IOException {
    Socket client = server.accept();
    sends = new PrintWriter(client.getOutputStream(), true, StandardCharsets.US_ASCII);
  }

  @AfterMethod(alwaysRun = true)
  void unplug() throws IOException {
    scale.close();
    server.close();
  }

  /** A steady figure in grams, and it is heard. */
  private ScaleReading shows(long grams) throws InterruptedException {
    sends.println("W " + grams * 1000 + " 0 1000 steady");
    for (Optional<Numbered> next = next(); ; next = next()) {
      if (next.filter(n -> n.reading().gross().equals(Mass.ofGrams(grams))).isPresent()) {
        return next.orElseThrow().reading();
      }
    }
  }

  private Optional<Numbered> next() throws InterruptedException {
    Optional<Numbered> next = heard.poll(20, TimeUnit.SECONDS);
    assertTrue(next != null, "nothing was heard");
    return next;
  }

  private Optional<Claim> take(ScaleReading reading) {
    return scale.claim(UUID.randomUUID(), reading);
  }

  private void seconds(long some) {
    clock.now = clock.now.plusSeconds(some);
  }

  @Test
  public void aScaleThatIsNeverSeenToMoveGoesFromOnePartToTheNext() throws Exception {
    assertTrue(take(shows(393)).isPresent());
    seconds(3);
    assertTrue(scale.isClaimed(), "it still lies there");
    assertFalse(take(shows(393)).isPresent());
    ScaleReading next = shows(842);
    assertFalse(scale.isClaimed(), "there was no zero and no swing between");
    assertTrue(take(next).isPresent());
  }

  @Test
  public void aFigureThatDriftsByAStepIsTheSamePart() throws Exception {
    assertTrue(take(shows(393)).isPresent());
    seconds(3);
    for (long grams : new long[] {392, 393, 394, 395, 391, 393}) {
      assertFalse(take(shows(grams)).isPresent(), grams + " g");
    }
  }

  @Test
  public void twoTapsWithinTwoSecondsAreOneAndAnEmptyPanEndsIt() throws Exception {
    assertTrue(take(shows(393)).isPresent());
    shows(0);
    ScaleReading again = shows(393);
    seconds(1);
    assertFalse(take(again).isPresent(), "the pan was shaken");
    seconds(1);
    assertTrue(take(again).isPresent(), "an equal part");
  }

  @Test
  public void oneThatSpeaksOnlyWhenItStandsStillIsNotLostWhileItIsSilent() throws Exception {
    shows(393);
    // longer than a scale that goes on and on may be silent
    assertEquals(heard.poll(4, TimeUnit.SECONDS), null, "nothing is said of a loss");
    assertEquals(scale.latest().map(n -> n.reading().gross()), Optional.of(Mass.ofGrams(393)));
    shows(842);
  }

  @Test
  public void oneThatSaysTheSameAgainAndAgainIsLostWhenItFallsSilent() throws Exception {
    shows(393);
    shows(393);
    while (next().isPresent()) {
      // what was still on its way
    }
    assertEquals(scale.latest(), Optional.empty());
  }

  @Test
  public void whatAnotherInstanceTookIsTakenUntilThisOneSeesItGo() throws Exception {
    ScaleReading reading = shows(393);
    Claim other = Claim.of(new UUID(7, 7), reading, clock.instant());
    seconds(3);
    assertTrue(scale.learn(other), "it lies there still");
    assertFalse(take(reading).isPresent());
    ScaleReading next = shows(842);
    assertEquals(scale.ended(), Optional.of(other.weighing()));
    assertTrue(take(next).isPresent());
    assertFalse(scale.learn(Claim.of(new UUID(8, 8), reading, clock.instant().minusSeconds(9))));
  }
}
