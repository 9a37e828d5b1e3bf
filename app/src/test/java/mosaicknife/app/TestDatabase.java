package mosaicknife.app;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;

/** The throw-away PostgreSQL of the tests, started by {@code ./mosaic test}. */
public final class TestDatabase {

  private TestDatabase() {}

  /**
   * Makes an empty database; one at a time, for two cannot copy the template at once.
   *
   * @param name its name; an older one of that name is dropped
   * @return its JDBC address
   */
  public static String fresh(String name) {
    return copy(name, "template1");
  }

  /**
   * Makes a copy of a database that nobody is connected to.
   *
   * @param name its name; an older one of that name is dropped
   * @param of the one to copy
   * @return its JDBC address
   */
  public static synchronized String copy(String name, String of) {
    try (Connection connection = DriverManager.getConnection(url("postgres"), user(), password());
        Statement statement = connection.createStatement()) {
      statement.execute("drop database if exists " + name + " with (force)");
      statement.execute("create database " + name + " template " + of);
    } catch (SQLException e) {
      throw new IllegalStateException("The test database does not answer at " + url(name), e);
    }
    return url(name);
  }

  /** Its user. */
  public static String user() {
    return needed("MOSAIC_TEST_DB_USER");
  }

  /** Its password, made up for this run. */
  public static String password() {
    return needed("MOSAIC_TEST_DB_PASSWORD");
  }

  /**
   * Where a database is.
   *
   * @param name its name
   * @return its JDBC address
   */
  public static String url(String name) {
    return "jdbc:postgresql://" + needed("MOSAIC_TEST_DB_HOST") + "/" + name;
  }

  private static String needed(String variable) {
    String value = System.getenv(variable);
    if (value == null) {
      throw new IllegalStateException(
          variable + " is not set: run the tests by ./mosaic test, which starts a database");
    }
    return value;
  }
}
