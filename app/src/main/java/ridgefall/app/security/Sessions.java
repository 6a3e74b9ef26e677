package ridgefall.app.security;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;

/** How sessions are kept in the database. */
@Configuration
class Sessions {
    /** Spring Session's own update, left out where nothing but the time of a look is new, and that by less than a minute. */
    private static final String TOUCH_ONCE_A_MINUTE = """
            with given (id, accessed, idle, expires, principal, key) as (values
                (cast(? as char(36)), cast(? as bigint), cast(? as integer), cast(? as bigint), cast(? as text),
                    cast(? as char(36))))
            update %TABLE_NAME% s set session_id = given.id, last_access_time = given.accessed,
                max_inactive_interval = given.idle, expiry_time = given.expires, principal_name = given.principal
            from given where s.primary_id = given.key
                and (s.session_id <> given.id or s.max_inactive_interval <> given.idle
                    or s.principal_name is distinct from given.principal
                    or s.last_access_time < given.accessed - 60000)
            """;

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> touchedOnceAMinute() {
        return sessions -> sessions.setUpdateSessionQuery(TOUCH_ONCE_A_MINUTE);
    }
}
