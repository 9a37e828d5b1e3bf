package mosaicknife.app.account;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Reads {@code Authorization: Bearer …} on requests to the API. */
final class BearerFilter extends OncePerRequestFilter {

  static final String SCHEME = "Bearer ";

  private final TokenIssuer tokens;

  BearerFilter(TokenIssuer tokens) {
    this.tokens = tokens;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String header = request.getHeader("Authorization");
    if (header != null && header.startsWith(SCHEME)) {
      Optional<SignedIn> person = tokens.find(header.substring(SCHEME.length()).strip());
      person.ifPresent(BearerFilter::signIn);
    }
    chain.doFilter(request, response);
  }

  private static void signIn(SignedIn person) {
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
    SecurityContextHolder.setContext(context);
  }
}
