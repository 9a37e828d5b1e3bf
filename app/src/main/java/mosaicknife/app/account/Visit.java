package mosaicknife.app.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Optional;
import org.springframework.security.web.authentication.WebAuthenticationDetails;

/** Where somebody knocks from: the address, and the secret of the browser if it has one. */
final class Visit extends WebAuthenticationDetails {

  private static final long serialVersionUID = 1L;

  /** Never stored with the session. */
  private final transient Optional<String> browser;

  Visit(HttpServletRequest request) {
    super(request.getRemoteAddr(), null);
    this.browser = KnownBrowsers.secretOf(request);
  }

  /** A visit without a browser, as programs make it. */
  Visit(String address) {
    super(address, null);
    this.browser = Optional.empty();
  }

  String address() {
    String address = getRemoteAddress();
    return address == null ? "unknown" : address.substring(0, Math.min(64, address.length()));
  }

  /** What is kept of the browser's secret. */
  Optional<String> browserHash() {
    return browser == null ? Optional.empty() : browser.map(Secrets::hash);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof Visit && super.equals(other);
  }

  @Override
  public int hashCode() {
    return super.hashCode();
  }
}
