package mosaicknife.app.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.regex.Pattern;
import org.springframework.session.web.http.DefaultCookieSerializer;
import org.springframework.stereotype.Component;

/**
 * The cookie of a session. A damaged one is as good as none: what is no session number is never
 * looked up, since the database refuses some of the letters a broken cookie can hold.
 */
@Component
class SessionCookie extends DefaultCookieSerializer {

  private static final Pattern NUMBER = Pattern.compile("[0-9a-fA-F-]{36}");

  SessionCookie() {
    setCookieName("mosaic_session");
    setSameSite("Lax");
    setUseHttpOnlyCookie(true);
  }

  @Override
  public List<String> readCookieValues(HttpServletRequest request) {
    return super.readCookieValues(request).stream()
        .filter(value -> value != null && NUMBER.matcher(value).matches())
        .toList();
  }
}
