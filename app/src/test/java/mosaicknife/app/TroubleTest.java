package mosaicknife.app;

import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.redirectedUrlPattern;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.zaxxer.hikari.HikariDataSource;
import jakarta.servlet.http.Cookie;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import mosaicknife.app.shared.DatabaseTrouble;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.context.ApplicationContext;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.mock.web.MockHttpServletResponse;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What is said when the database refuses, is short of connections, or a cookie is broken. */
public class TroubleTest extends WithPages {

  @Autowired private ApplicationContext app;
  @Autowired private JdbcClient jdbc;

  /** Takes all connections but some, and gives them back. */
  private final class Crowd implements AutoCloseable {

    private final List<Connection> taken = new ArrayList<>();

    Crowd(int left) throws Exception {
      for (HikariDataSource way : app.getBeansOfType(HikariDataSource.class).values()) {
        for (int i = left; i < way.getMaximumPoolSize(); i++) {
          taken.add(way.getConnection());
        }
      }
    }

    @Override
    public void close() throws Exception {
      for (Connection connection : taken) {
        connection.close();
      }
    }
  }

  @Test
  public void aTokenNeedsOneConnectionAtATime() throws Exception {
    try (Crowd crowd = new Crowd(1)) {
      mvc.perform(
              post("/api/v1/tokens")
                  .contentType(MediaType.APPLICATION_JSON)
                  .content("{\"name\":\"ines\",\"password\":\"port-sallow-demo\"}"))
          .andExpect(status().isOk())
          .andExpect(content().string(containsString("token")));
    }
  }

  @Test
  public void withoutAConnectionTheSentenceIsOfTheDatabase() throws Exception {
    try (Crowd crowd = new Crowd(0)) {
      mvc.perform(get("/api/v1/lots").header("Authorization", "Bearer x"))
          .andExpect(status().isServiceUnavailable())
          .andExpect(content().contentType("application/problem+json"))
          .andExpect(content().string(containsString("The database did not answer.")));
      mvc.perform(get("/").cookie(sessionCookie("11111111-2222-3333-4444-555555555555")))
          .andExpect(status().isServiceUnavailable())
          .andExpect(content().string(containsString("The database did not answer.")))
          .andExpect(content().string(containsString("<!DOCTYPE html>")));
      mvc.perform(
              get("/bench/3")
                  .header("HX-Request", "true")
                  .cookie(sessionCookie("11111111-2222-3333-4444-555555555555")))
          .andExpect(status().isServiceUnavailable())
          .andExpect(content().string(org.hamcrest.Matchers.startsWith("<p class=\"alert")));
    }
  }

  private static Cookie sessionCookie(String text) {
    return new Cookie(
        "mosaic_session",
        Base64.getEncoder().encodeToString(text.getBytes(java.nio.charset.StandardCharsets.UTF_8)));
  }

  @DataProvider
  Object[][] damaged() {
    return new Object[][] {
      {"a\u0000b"}, {""}, {"x".repeat(4000)}, {"' or 1=1 --"}, {"\uFFFF\uD800"}
    };
  }

  @Test(dataProvider = "damaged")
  public void aDamagedCookieIsANewSession(String text) throws Exception {
    mvc.perform(get("/dock").accept("text/html").cookie(sessionCookie(text)))
        .andExpect(status().isFound())
        .andExpect(redirectedUrlPattern("/sign-in?next=*"));
    mvc.perform(get("/dock").accept("text/html").cookie(new Cookie("mosaic_session", "%%%")))
        .andExpect(status().isFound());
  }

  @DataProvider
  Object[][] refused() {
    return new Object[][] {
      {"insert into venue (name) values (' ')", DatabaseTrouble.NOT_ALLOWED},
      {"insert into venue (name) select name from venue limit 1", DatabaseTrouble.SAVED_ALREADY},
      {"insert into venue (name) values (repeat('x', 81))", DatabaseTrouble.NOT_ALLOWED},
      {"delete from person where sign_in = 'tobiah'", DatabaseTrouble.BELONGS_TOGETHER},
      {"do $$ begin raise exception using errcode = '57P01'; end $$", DatabaseTrouble.AWAY},
      {"do $$ begin raise exception using errcode = '40001'; end $$", DatabaseTrouble.MET_ANOTHER},
    };
  }

  @Test(dataProvider = "refused")
  public void aRefusalOfTheDatabaseIsNeverCalledAnOutage(String sql, DatabaseTrouble expected) {
    Optional<DatabaseTrouble> found = Optional.empty();
    try {
      jdbc.sql(sql).update();
    } catch (RuntimeException e) {
      found = DatabaseTrouble.find(e);
    }
    assertEquals(found, Optional.of(expected));
  }

  /** Whatever it was at: reading a session, a lot, or writing the answer of a form. */
  @Test
  public void aConnectionThatDiesInTheMiddleIsADatabaseThatIsAway() throws Exception {
    String name = jdbc.sql("select current_database()").query(String.class).single();
    Cookie ines = session("ines");
    List<String> wrong = new ArrayList<>();
    int killed = 0;
    ExecutorService visitor = Executors.newSingleThreadExecutor();
    try (Connection other =
            DriverManager.getConnection(
                TestDatabase.url("postgres"), TestDatabase.user(), TestDatabase.password());
        PreparedStatement kill =
            other.prepareStatement(
                "select count(pg_terminate_backend(pid)) from pg_stat_activity"
                    + " where datname = ? and state <> 'idle'")) {
      kill.setString(1, name);
      for (int i = 0; i < 60; i++) {
        String path = List.of("/", "/bench/3", "/cost/1", "/buy", "/uses/1").get(i % 5);
        Future<MockHttpServletResponse> answer =
            visitor.submit(() -> mvc.perform(get(path).cookie(ines)).andReturn().getResponse());
        while (!answer.isDone()) {
          try (ResultSet ended = kill.executeQuery()) {
            ended.next();
            killed += ended.getInt(1);
          }
        }
        try {
          int status = answer.get().getStatus();
          if (status != 200 && status != 503) {
            wrong.add(status + " " + path);
          }
        } catch (ExecutionException e) {
          wrong.add(path + ": " + e.getCause());
        }
      }
    } finally {
      visitor.shutdown();
    }
    assertTrue(killed > 30, "only " + killed + " died");
    assertEquals(wrong.toString(), "[]");
  }

  @Test
  public void aFullDiskIsNoDatabaseThatIsAway() {
    assertEquals(
        DatabaseTrouble.find(
            new IllegalStateException(new java.sql.SQLException("could not extend file", "53100"))),
        java.util.Optional.of(DatabaseTrouble.NO_ROOM));
    assertEquals(DatabaseTrouble.NO_ROOM.status().value(), 507);
  }
}
