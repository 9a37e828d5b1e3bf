package mosaicknife.app.account;

import java.time.Clock;
import java.util.Collection;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Which sessions still stand: not signed out, not ended by the owner, not run out. */
@Component
public class Sessions {

  private final JdbcClient jdbc;
  private final Clock clock;

  Sessions(JdbcClient jdbc, Clock clock) {
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * Finds those that stand, on whichever instance they were ended.
   *
   * @param ids the numbers of sessions
   * @return those of them that still open the door
   */
  @Transactional(readOnly = true)
  public Set<String> standing(Collection<String> ids) {
    return jdbc
        .sql(
            "select session_id from spring_session where session_id in (:ids) and expiry_time > :now")
        .param("ids", ids)
        .param("now", clock.millis())
        .query(String.class)
        .list()
        .stream()
        .map(String::strip)
        .collect(Collectors.toSet());
  }
}
