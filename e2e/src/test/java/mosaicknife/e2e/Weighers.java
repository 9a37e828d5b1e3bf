package mosaicknife.e2e;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Benches that weigh, as fast as they are answered or at the pace of a hand, each its own lot in
 * order, and send what was not answered again under the same identifier, as the queue of a browser
 * does.
 */
final class Weighers implements AutoCloseable {

  private static final Pattern CSRF = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
  private static final String PASSWORD = "port-sallow-demo";
  private static final long AGAIN_MILLIS = 150;
  private static final long MOST_SECONDS = 150;
  private static final int FISH = 500;
  private static final List<String> PARTS = List.of("fins", "gills", "head");

  private final ObjectMapper json = new ObjectMapper();
  private final HttpClient client =
      HttpClient.newBuilder()
          .cookieHandler(new CookieManager())
          .connectTimeout(Duration.ofSeconds(2))
          .build();
  private final String address;
  private final String token;
  private final List<Bench> benches = new ArrayList<>();
  private final List<String> refusals = Collections.synchronizedList(new ArrayList<>());
  private long paceMillis;
  private AtomicLong slowest = new AtomicLong();
  private ExecutorService hands;
  private volatile boolean ending;

  /** Opens a house that is as yet nobody's, by its one-time link, and signs its owner in. */
  static void found(Path link) throws IOException, InterruptedException {
    HttpClient client = HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    URI welcome = URI.create(Files.readString(link).strip());
    String page =
        client.send(HttpRequest.newBuilder(welcome).build(), BodyHandlers.ofString()).body();
    Matcher csrf = CSRF.matcher(page);
    if (!csrf.find()) {
      throw new IOException("no form behind the link: " + page);
    }
    String form =
        "house=Saltmarsh+Row&venue=Lantern+House&currency=EUR&zone=UTC&name=Adaeze+Pell"
            + "&signIn=adaeze&password="
            + PASSWORD
            + "&_csrf="
            + URLEncoder.encode(csrf.group(1), StandardCharsets.UTF_8);
    HttpResponse<String> answer =
        client.send(
            HttpRequest.newBuilder(welcome)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(form))
                .build(),
            BodyHandlers.ofString());
    if (answer.statusCode() != 302) {
      throw new IOException("the house was not founded: " + answer.statusCode());
    }
  }

  Weighers(String address, int howMany) throws IOException, InterruptedException {
    this.address = address;
    token =
        json.readTree(
                sent(
                    "/api/v1/tokens",
                    "{\"name\":\"adaeze\",\"password\":\"%s\"}".formatted(PASSWORD),
                    200))
            .get("token")
            .asText();
    for (int i = 0; i < howMany; i++) {
      String lot =
          """
          {"id":"%s","species":"gurnard","state":"UNGUTTED","fish":"%d","invoiced":"%d kg",
           "price":"6.00/kg","supplier":"Grey Skerry Landings","venue":"1","origin":"WILD",
           "landedOn":"%s"}
          """
              .formatted(UUID.randomUUID(), FISH, FISH * 3 / 4, LocalDate.now(ZoneOffset.UTC));
      benches.add(new Bench(json.readTree(sent("/api/v1/lots", lot, 201)).get("id").asLong()));
    }
  }

  private String sent(String path, String body, int expected)
      throws IOException, InterruptedException {
    HttpResponse<String> answer = send(path, body);
    if (answer.statusCode() != expected) {
      throw new IOException(path + ": " + answer.statusCode() + " " + answer.body());
    }
    return answer.body();
  }

  private HttpResponse<String> send(String path, String body)
      throws IOException, InterruptedException {
    return client.send(
        HttpRequest.newBuilder(URI.create(address + path))
            .header("Content-Type", "application/json")
            .header("Authorization", "Bearer " + (token == null ? "" : token))
            .timeout(Duration.ofSeconds(8))
            .POST(BodyPublishers.ofString(body))
            .build(),
        BodyHandlers.ofString());
  }

  /** One bench: what was answered, in the order it was weighed. */
  final class Bench {

    private final long lot;
    private final List<UUID> answered = Collections.synchronizedList(new ArrayList<>());

    private Bench(long lot) {
      this.lot = lot;
    }

    long lot() {
      return lot;
    }

    private void weighUntilTheEnd() {
      for (int i = 0; i < FISH * PARTS.size() && !ending; i++) {
        UUID id = UUID.randomUUID();
        long began = System.nanoTime();
        String part = PARTS.get(i % PARTS.size());
        String weighing =
            "{\"id\":\"%s\",\"part\":\"%s\",\"fish\":%d,\"mass\":\"%d g\"}"
                .formatted(id, part, 1 + i / PARTS.size(), 20 + i % 30);
        if (!sendUntilAnswered(weighing)) {
          return;
        }
        answered.add(id);
        slowest.accumulateAndGet((System.nanoTime() - began) / 1_000_000, Math::max);
        pause(paceMillis);
      }
    }

    private boolean sendUntilAnswered(String weighing) {
      for (int tries = 0; tries < 600; tries++) {
        try {
          HttpResponse<String> answer = send("/api/v1/lots/" + lot + "/weighings", weighing);
          int status = answer.statusCode();
          if (status == 201) {
            return true;
          }
          if (status < 500 && status != 429) {
            refusals.add(status + " " + answer.body());
            return false;
          }
          TimeUnit.MILLISECONDS.sleep(AGAIN_MILLIS);
        } catch (IOException e) {
          // away: the same weight is sent again
          pause(AGAIN_MILLIS);
        } catch (InterruptedException e) {
          return false;
        }
      }
      refusals.add("no answer for too long");
      return false;
    }

    private void pause(long millis) {
      try {
        TimeUnit.MILLISECONDS.sleep(millis);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }

  /** How long a bench takes between two weights; a hand takes a second. */
  void pace(long millis) {
    paceMillis = millis;
  }

  /** Keeps the longest time, in ms, from a weight to its answer. */
  void onAnswer(AtomicLong keeper) {
    slowest = keeper;
  }

  /** Waits until so many weights are answered. */
  void await(int answered) throws InterruptedException {
    for (long looks = 0; answered() < answered; looks++) {
      if (!refusals.isEmpty() || looks > 20 * MOST_SECONDS) {
        throw new IllegalStateException(answered() + " of " + answered + "; " + refusals);
      }
      TimeUnit.MILLISECONDS.sleep(50);
    }
  }

  void begin() {
    ending = false;
    hands = Executors.newFixedThreadPool(benches.size());
    benches.forEach(bench -> hands.execute(bench::weighUntilTheEnd));
  }

  /** What is on its way is answered still. */
  void end() throws InterruptedException {
    ending = true;
    hands.shutdown();
    if (!hands.awaitTermination(3, TimeUnit.MINUTES)) {
      throw new IllegalStateException("the benches do not end");
    }
  }

  List<Bench> benches() {
    return benches;
  }

  int answered() {
    return benches.stream().mapToInt(bench -> bench.answered.size()).sum();
  }

  /**
   * What became of the weights.
   *
   * @param answered how many were answered as taken
   * @param lost answered and not there, or refused
   * @param doubled there more than once, or there and never answered
   * @param disordered there in another order than they were weighed
   */
  record Tally(int answered, int lost, int doubled, int disordered) {

    boolean holds() {
      return lost == 0 && doubled == 0 && disordered == 0;
    }
  }

  /**
   * Compares what was answered with what is stored.
   *
   * @param stored lot and identifier a line, in the order they were stored
   * @return the tally
   */
  Tally compare(List<String> stored) {
    int lost = refusals.size();
    int doubled = 0;
    int disordered = 0;
    for (Bench bench : benches) {
      List<UUID> there =
          stored.stream()
              .filter(line -> line.startsWith(bench.lot + "|"))
              .map(line -> UUID.fromString(line.substring(line.indexOf('|') + 1)))
              .toList();
      lost += (int) bench.answered.stream().filter(id -> !there.contains(id)).count();
      doubled += there.size() - (int) there.stream().distinct().count();
      doubled += (int) there.stream().filter(id -> !bench.answered.contains(id)).count();
      disordered += there.equals(bench.answered) ? 0 : 1;
    }
    return new Tally(answered(), lost, doubled, disordered);
  }

  @Override
  public void close() {
    ending = true;
    if (hands != null) {
      hands.shutdownNow();
    }
  }
}
