package mosaicknife.app.account;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Clock;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Optional;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Lets an owner in: a link that works once, told where the application was started.
 *
 * <p>The first owner's link is made anew at each start for as long as the house has nobody; older
 * ones then end. A link for a house that lost its owner is made by {@code ./mosaic owner} and ends
 * within the hour.
 */
@Service
public class WelcomeLink implements ApplicationRunner {

  private static final Logger LOG = LoggerFactory.getLogger(WelcomeLink.class);

  private final PeopleRegister people;
  private final HouseSettings houses;
  private final JdbcClient jdbc;
  private final Clock clock;
  private final Environment environment;
  private final boolean demo;
  private final String file;

  WelcomeLink(
      PeopleRegister people,
      HouseSettings houses,
      JdbcClient jdbc,
      Clock clock,
      Environment environment,
      @Value("${mosaic.demo:false}") boolean demo,
      @Value("${mosaic.link-file}") String file) {
    this.people = people;
    this.houses = houses;
    this.jdbc = jdbc;
    this.clock = clock;
    this.environment = environment;
    this.demo = demo;
    this.file = file;
  }

  /** What a link does. */
  enum Kind {
    /** It founds the house. */
    FIRST,
    /** It makes an owner of a house that has people. */
    OWNER
  }

  @Override
  public void run(ApplicationArguments args) {
    if (demo) {
      return;
    }
    if (people.isEmpty()) {
      tell(address() + "welcome?link=" + renew());
    } else if (!file.isEmpty()) {
      forget();
    }
  }

  private String address() {
    String address = environment.getProperty("server.address", "127.0.0.1");
    String host = address.equals("0.0.0.0") || address.equals("::") ? "127.0.0.1" : address;
    return "http://%s:%s/"
        .formatted(
            host.contains(":") ? "[" + host + "]" : host,
            environment.getProperty("local.server.port", ""));
  }

  /** Into a file that only its owner may read, if there is one; a log is read by more people. */
  private void tell(String link) {
    if (file.isEmpty()) {
      LOG.info("First owner: open {} (works once)", link);
      return;
    }
    try {
      Path path = Path.of(file);
      Files.deleteIfExists(path);
      Files.createFile(
          path, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
      Files.writeString(path, link + "\n");
      LOG.info("The link of the first owner is in {}", path.getFileName());
    } catch (IOException | UnsupportedOperationException e) {
      LOG.warn("The link of the first owner could not be written into its file", e);
    }
  }

  private void forget() {
    try {
      Files.deleteIfExists(Path.of(file));
    } catch (IOException e) {
      LOG.debug("The file of a used link stays", e);
    }
  }

  @Transactional
  String renew() {
    String link = Secrets.fresh();
    jdbc.sql("delete from welcome_link where used_at is null and kind = 'FIRST'").update();
    jdbc.sql("insert into welcome_link (token_hash, created_at) values (?, ?)")
        .params(Secrets.hash(link), clock.instant().atOffset(ZoneOffset.UTC))
        .update();
    return link;
  }

  /** Returns what a link does, if it still opens the door. */
  @Transactional(readOnly = true)
  Optional<Kind> find(String link) {
    return jdbc.sql(
            "select kind from welcome_link where token_hash = ? and used_at is null"
                + " and (expires_at is null or expires_at > ?)")
        .params(Secrets.hash(link), now())
        .query(String.class)
        .optional()
        .map(Kind::valueOf);
  }

  private OffsetDateTime now() {
    return clock.instant().atOffset(ZoneOffset.UTC);
  }

  private void spend(String link, Kind kind) {
    int used =
        jdbc.sql(
                "update welcome_link set used_at = ? where token_hash = ? and used_at is null"
                    + " and kind = ? and (expires_at is null or expires_at > ?)")
            .params(now(), Secrets.hash(link), kind.name(), now())
            .update();
    if (used == 0) {
      throw Refusal.ofStale("account.problem.this-link-was-used-or");
    }
  }

  /**
   * Makes an owner of a house that lost its own.
   *
   * @throws Refusal if the link does not work any more or something typed is not allowed
   */
  @Transactional
  void useForOwner(String link, WelcomeForm form) {
    spend(link, Kind.OWNER);
    people.addOrMendOwner(form.signIn(), form.name(), form.password());
  }

  /**
   * Founds the house and creates its first owner.
   *
   * @throws Refusal if the link does not work any more or something typed is not allowed
   */
  @Transactional
  void use(String link, WelcomeForm form) {
    spend(link, Kind.FIRST);
    houses.found(form.house(), form.venue(), form.currency(), form.zone());
    people.addFirstOwner(form.signIn(), form.name(), form.password());
    if (!file.isEmpty()) {
      forget();
    }
  }
}
