package mosaicknife.app.account;

import java.time.Clock;
import java.time.ZoneOffset;
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
 * Lets the first owner in: a link that works once, printed where the application was started.
 *
 * <p>It is made anew at each start for as long as the house has nobody; older links then end.
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

  WelcomeLink(
      PeopleRegister people,
      HouseSettings houses,
      JdbcClient jdbc,
      Clock clock,
      Environment environment,
      @Value("${mosaic.demo:false}") boolean demo) {
    this.people = people;
    this.houses = houses;
    this.jdbc = jdbc;
    this.clock = clock;
    this.environment = environment;
    this.demo = demo;
  }

  @Override
  public void run(ApplicationArguments args) {
    if (!demo && people.isEmpty()) {
      String port = environment.getProperty("local.server.port", "");
      LOG.info("First owner: open http://127.0.0.1:{}/welcome?link={} (works once)", port, renew());
    }
  }

  @Transactional
  String renew() {
    String link = Secrets.fresh();
    jdbc.sql("delete from welcome_link where used_at is null").update();
    jdbc.sql("insert into welcome_link (token_hash, created_at) values (?, ?)")
        .params(Secrets.hash(link), clock.instant().atOffset(ZoneOffset.UTC))
        .update();
    return link;
  }

  /** Returns whether a link still opens the door. */
  @Transactional(readOnly = true)
  boolean isOpen(String link) {
    return jdbc.sql("select count(*) from welcome_link where token_hash = ? and used_at is null")
            .param(Secrets.hash(link))
            .query(Long.class)
            .single()
        == 1;
  }

  /**
   * Founds the house and creates its first owner.
   *
   * @throws Refusal if the link does not work any more or something typed is not allowed
   */
  @Transactional
  void use(String link, WelcomeForm form) {
    int used =
        jdbc.sql("update welcome_link set used_at = ? where token_hash = ? and used_at is null")
            .params(clock.instant().atOffset(ZoneOffset.UTC), Secrets.hash(link))
            .update();
    if (used == 0) {
      throw Refusal.ofStale("account.problem.this-link-was-used-or");
    }
    houses.found(form.house(), form.venue(), form.currency(), form.zone());
    people.addFirstOwner(form.signIn(), form.name(), form.password());
  }
}
