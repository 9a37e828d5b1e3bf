package mosaicknife.app.shared;

import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.sql.SQLTransientConnectionException;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.HttpStatus;

/**
 * What a database exception means for the person who waits: the database is away, or it refused
 * what was sent and why. The two must never be mixed up: "wait and repeat" is wrong advice for a
 * figure that can never be saved.
 */
public enum DatabaseTrouble {
  /** It cannot be reached, or it is going down. */
  AWAY(HttpStatus.SERVICE_UNAVAILABLE),
  /** The disk it writes to is full. */
  NO_ROOM(HttpStatus.INSUFFICIENT_STORAGE),
  /** The same thing was saved a moment before. */
  SAVED_ALREADY(HttpStatus.CONFLICT),
  /** Something else still needs what was to go, or what it belongs to is gone. */
  BELONGS_TOGETHER(HttpStatus.CONFLICT),
  /** Two changes met; one of them has to be repeated. */
  MET_ANOTHER(HttpStatus.CONFLICT),
  /** A value that the rules of the database do not allow. */
  NOT_ALLOWED(HttpStatus.UNPROCESSABLE_CONTENT);

  private final HttpStatus status;

  DatabaseTrouble(HttpStatus status) {
    this.status = status;
  }

  /**
   * Returns how it is answered.
   *
   * @return the status
   */
  public HttpStatus status() {
    return status;
  }

  /**
   * Finds out what an exception means, by the SQL state of its causes (PostgreSQL, appendix A).
   *
   * @param problem the exception
   * @return the trouble; empty if no cause is of the database
   */
  public static Optional<DatabaseTrouble> find(Throwable problem) {
    return Stream.iterate(problem, cause -> cause != null, Throwable::getCause)
        .limit(20)
        .filter(SQLException.class::isInstance)
        .map(SQLException.class::cast)
        .map(DatabaseTrouble::of)
        .flatMap(Optional::stream)
        .findFirst();
  }

  private static Optional<DatabaseTrouble> of(SQLException e) {
    String state = e.getSQLState();
    // without a state it is said by the pool: the connection died while it was in use
    if (state == null
        || e instanceof SQLTransientConnectionException
        || e instanceof SQLNonTransientConnectionException) {
      return Optional.of(AWAY);
    }
    return switch (state) {
      case "53100" -> Optional.of(NO_ROOM);
      case "23505" -> Optional.of(SAVED_ALREADY);
      case "23503", "23001" -> Optional.of(BELONGS_TOGETHER);
      case "40001", "40P01" -> Optional.of(MET_ANOTHER);
      default -> byClass(state.length() < 2 ? "" : state.substring(0, 2));
    };
  }

  private static Optional<DatabaseTrouble> byClass(String state) {
    return switch (state) {
      case "08", "53", "57" -> Optional.of(AWAY);
      case "22", "23" -> Optional.of(NOT_ALLOWED);
      default -> Optional.empty();
    };
  }
}
