package mosaicknife.app.device;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.random.RandomGenerator;
import java.util.random.RandomGeneratorFactory;
import mosaicknife.core.heat.Lag;
import mosaicknife.core.heat.Surroundings;

/**
 * A probe that is not there: a small server on a loopback socket with a pot behind it that cools as
 * one does. It answers {@code READ}, and takes, for the stand-in only, {@code HEAT <degrees>}, a
 * pot fresh off the heat, {@code DEPTH <centimetres>}, {@code STAND <where>}, {@code LID <on|off>},
 * {@code PADDLE <on|off>}, {@code LEFT}, the probe forgotten in the fridge, {@code PASS <minutes>},
 * which lets time pass, and {@code SILENT}.
 */
final class ProbeStandIn implements AutoCloseable {

  private static final double NOISE = 0.15;
  private static final double MINUTES_A_CENTIMETRE = 8;
  private static final double IN_ICE = 0.3;
  private static final double IN_BLAST = 0.35;
  private static final double UNDER_A_LID = 1.35;
  private static final double WITH_A_PADDLE = 0.55;
  private static final double DEEPEST = 200;

  private final Loopback server;
  private final RandomGenerator random = RandomGeneratorFactory.getDefault().create(7);

  private Surroundings where = Surroundings.ROOM;
  private double depth = 25;
  private double degrees = 85;
  private long since = System.nanoTime();
  private boolean lid;
  private boolean paddle;
  private boolean left;
  private boolean silent;

  ProbeStandIn(int port) throws IOException {
    server = new Loopback(port, "probe-stand-in", this::serve);
  }

  int port() {
    return server.port();
  }

  private void serve(Socket client) throws IOException {
    BufferedReader in =
        new BufferedReader(
            new InputStreamReader(client.getInputStream(), StandardCharsets.US_ASCII));
    PrintWriter out = new PrintWriter(client.getOutputStream(), true, StandardCharsets.US_ASCII);
    String line = in.readLine();
    out.println(line == null ? "?" : answer(line.strip().split(" ")));
  }

  private String answer(String[] words) {
    settle();
    if (words[0].equals("SILENT")) {
      silent = true;
    } else if (words[0].equals("HEAT") && words.length > 1) {
      degrees = figure(words[1]);
      silent = false;
      left = false;
    } else if (words[0].equals("DEPTH") && words.length > 1) {
      depth = Math.max(1, Math.min(DEEPEST, figure(words[1])));
    } else if (words[0].equals("STAND") && words.length > 1) {
      for (Surroundings one : Surroundings.values()) {
        where = one.name().equals(words[1]) ? one : where;
      }
    } else if (words[0].equals("LID") && words.length > 1) {
      lid = words[1].equals("on");
    } else if (words[0].equals("PADDLE") && words.length > 1) {
      paddle = words[1].equals("on");
    } else if (words[0].equals("LEFT")) {
      left = true;
    } else if (words[0].equals("PASS") && words.length > 1) {
      cool(figure(words[1]));
    } else if (!words[0].equals("READ")) {
      return "?";
    }
    double shown = (left ? Surroundings.FRIDGE.degrees() : degrees) + NOISE * random.nextGaussian();
    return silent ? "-" : String.format(Locale.ROOT, "T %.1f", shown);
  }

  private static double figure(String word) {
    return word.matches("[0-9]{1,3}(\\.[0-9]{1,2})?") ? Double.parseDouble(word) : 0;
  }

  /** Lets the pot cool since it was looked at last. */
  private void settle() {
    long now = System.nanoTime();
    cool((now - since) / 60e9);
    since = now;
  }

  private void cool(double minutes) {
    double slower =
        where == Surroundings.ICE_BATH ? IN_ICE : where == Surroundings.BLAST ? IN_BLAST : 1;
    double still = (lid ? UNDER_A_LID : 1) * (paddle ? WITH_A_PADDLE : 1);
    Lag pot =
        new Lag(
            where.degrees(),
            degrees - where.degrees(),
            depth * MINUTES_A_CENTIMETRE * slower * still,
            1);
    degrees = pot.at(minutes);
  }

  @Override
  public void close() {
    server.close();
  }
}
