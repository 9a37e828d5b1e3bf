package mosaicknife.app.account;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/**
 * How a session is kept. That somebody was here is written once a minute, not with each weight: the
 * write waited for the disk as long as the weight itself.
 */
@Configuration
class SessionRows {

  private static final String ONCE_A_MINUTE =
      """
      update %TABLE_NAME% s
         set session_id = n.session_id, last_access_time = n.seen, max_inactive_interval = n.most,
             expiry_time = n.ends, principal_name = n.who
        from (values (cast(? as char(36)), cast(? as bigint), cast(? as int), cast(? as bigint),
                      cast(? as varchar), cast(? as char(36))))
             n (session_id, seen, most, ends, who, id)
       where s.primary_id = n.id
         and (s.session_id <> n.session_id or s.max_inactive_interval <> n.most
              or s.principal_name is distinct from n.who or n.seen - s.last_access_time > 60000)
      """;

  @Bean
  SessionRepositoryCustomizer<JdbcIndexedSessionRepository> writeOnceAMinute() {
    return sessions -> sessions.setUpdateSessionQuery(ONCE_A_MINUTE);
  }
}
