package mosaicknife.app.shared;

import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Asks the database for a sign of life. */
@Component
class DatabasePulse {

  private final JdbcClient jdbc;

  DatabasePulse(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  boolean beats() {
    try {
      return jdbc.sql("select 1").query(Integer.class).single() == 1;
    } catch (DataAccessException e) {
      return false;
    }
  }
}
