package mosaicknife.app.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import mosaicknife.app.shared.ApiProblem;
import mosaicknife.app.shared.Words;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.config.Customizer;
import org.springframework.security.config.annotation.method.configuration.EnableMethodSecurity;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.UsernamePasswordAuthenticationFilter;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfException;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Who may open which address, how one signs in, and which headers every answer carries. */
@Configuration
@EnableMethodSecurity
class SecurityRules {

  private static final String CONTENT_POLICY =
      "default-src 'self'; img-src 'self' data:; object-src 'none'; base-uri 'self';"
          + " form-action 'self'; frame-ancestors 'none'";

  @Bean
  PasswordEncoder passwordEncoder(@Value("${mosaic.password-strength}") int strength) {
    return new BCryptPasswordEncoder(strength);
  }

  /** The API: tokens, no session, no cookies, so no CSRF token is needed. */
  @Bean
  @Order(1)
  SecurityFilterChain api(HttpSecurity http, TokenIssuer tokens, ApiProblem problems, Words words) {
    return http.securityMatcher("/api/**")
        .csrf(csrf -> csrf.disable())
        .sessionManagement(s -> s.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .addFilterBefore(new BearerFilter(tokens), UsernamePasswordAuthenticationFilter.class)
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers("/api/v1/tokens", "/api/v1/openapi")
                    .permitAll()
                    .anyRequest()
                    .authenticated())
        .exceptionHandling(
            handling ->
                handling
                    .authenticationEntryPoint(
                        (request, response, e) ->
                            problems.write(
                                response,
                                HttpStatus.UNAUTHORIZED,
                                words.say("account.problem.token-missing-wrong-or-ended")))
                    .accessDeniedHandler(
                        (request, response, e) ->
                            problems.write(
                                response,
                                HttpStatus.FORBIDDEN,
                                words.say("exchange.problem.role"))))
        .build();
  }

  @Bean
  @Order(2)
  SecurityFilterChain pages(HttpSecurity http, KnownBrowsers browsers) {
    // GuardedSignIn is found as the one provider; named here as well, every failure would count
    // twice
    CookieCsrfTokenRepository csrfCookie = new CookieCsrfTokenRepository();
    csrfCookie.setCookieCustomizer(cookie -> cookie.sameSite("Lax"));
    return http.csrf(csrf -> csrf.csrfTokenRepository(csrfCookie))
        .authorizeHttpRequests(
            requests ->
                requests
                    .requestMatchers(
                        "/sign-in",
                        "/welcome",
                        "/up",
                        "/error",
                        "/webjars/**",
                        "/ui/**",
                        "/bench-worker.js")
                    .permitAll()
                    .requestMatchers(HttpMethod.GET, "/clock/feed/*")
                    .permitAll()
                    .requestMatchers("/cost/**")
                    .hasAuthority(Permission.SEE_COSTS.name())
                    .requestMatchers(
                        "/house/people/**", "/house/units", "/house/venues", "/house/upkeep")
                    .hasAuthority(Permission.MANAGE_HOUSE.name())
                    .requestMatchers("/house/**")
                    .hasAuthority(Permission.EDIT_CATALOGUE.name())
                    .requestMatchers("/buy/**")
                    .hasAuthority(Permission.BUY.name())
                    .requestMatchers("/dock/receive/**", "/catalogue/tonight")
                    .hasAuthority(Permission.RECEIVE.name())
                    .anyRequest()
                    .authenticated())
        .formLogin(
            form ->
                form.loginPage("/sign-in")
                    .usernameParameter("name")
                    .passwordParameter("password")
                    .authenticationDetailsSource(Visit::new)
                    .successHandler(
                        (request, response, who) -> {
                          if (who.getPrincipal() instanceof SignedIn person) {
                            browsers.remember(request, response, person.id());
                          }
                          response.sendRedirect(safeNext(request.getParameter("next")));
                        })
                    .failureHandler(
                        (request, response, e) ->
                            response.sendRedirect(
                                "/sign-in?problem="
                                    + SignInController.problem(e)
                                    + "&next="
                                    + encoded(safeNext(request.getParameter("next"))))))
        .logout(out -> out.logoutUrl("/sign-out").logoutSuccessUrl("/sign-in?out"))
        .exceptionHandling(
            handling ->
                handling
                    .authenticationEntryPoint(SecurityRules::askToSignIn)
                    .accessDeniedHandler(SecurityRules::refuse))
        .headers(
            headers ->
                headers
                    .contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_POLICY))
                    .referrerPolicy(r -> r.policy(ReferrerPolicy.SAME_ORIGIN))
                    .frameOptions(HeadersConfigurer.FrameOptionsConfig::deny)
                    .permissionsPolicyHeader(
                        p -> p.policy("camera=(self), microphone=(), geolocation=()")))
        .requestCache(Customizer.withDefaults())
        .build();
  }

  /**
   * Sends to the sign-in page and says where to come back to. A fragment request is told to go
   * there as a whole page, or the sign-in form would be swapped into the bench.
   */
  private static void askToSignIn(
      HttpServletRequest request, HttpServletResponse response, AuthenticationException e)
      throws IOException {
    boolean fragment = request.getHeader("HX-Request") != null;
    boolean change = !"GET".equals(request.getMethod());
    String page = fragment || change ? pageOf(request) : pathOf(request);
    String signIn = "/sign-in?next=" + encoded(page) + (fragment || change ? "&ended" : "");
    if (fragment) {
      response.setHeader("HX-Redirect", signIn);
      response.setStatus(HttpStatus.UNAUTHORIZED.value());
    } else if ("text/event-stream".equals(request.getHeader("Accept"))) {
      response.setStatus(HttpStatus.UNAUTHORIZED.value());
    } else {
      response.sendRedirect(signIn);
    }
  }

  /** A form from before the last sign-in is loaded anew; anything else is a matter of the role. */
  private static void refuse(
      HttpServletRequest request, HttpServletResponse response, AccessDeniedException e)
      throws IOException {
    if (!(e instanceof CsrfException)) {
      response.sendError(HttpStatus.FORBIDDEN.value());
    } else if (request.getHeader("HX-Request") != null) {
      response.setHeader("HX-Refresh", "true");
      response.setStatus(HttpStatus.FORBIDDEN.value());
    } else {
      String page = pageOf(request);
      response.sendRedirect(page + (page.contains("?") ? "&" : "?") + "reloaded");
    }
  }

  private static String pathOf(HttpServletRequest request) {
    String query = request.getQueryString();
    return request.getRequestURI() + (query == null ? "" : "?" + query);
  }

  /** The page that sent a change: the browser names it, as long as it is one of ours. */
  private static String pageOf(HttpServletRequest request) {
    String current = request.getHeader("HX-Current-URL");
    String from = current != null ? current : request.getHeader("Referer");
    if (from == null) {
      return "/";
    }
    try {
      return safeNext(URI.create(from).getRawPath());
    } catch (IllegalArgumentException e) {
      return "/";
    }
  }

  /** Only a path of this application may follow a sign-in, never another site. */
  private static String safeNext(String next) {
    boolean ours =
        next != null
            && next.startsWith("/")
            && !next.startsWith("//")
            && !next.startsWith("/\\")
            && !next.startsWith("/sign-in")
            && next.chars().noneMatch(c -> c < ' ');
    return ours ? next : "/";
  }

  private static String encoded(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
