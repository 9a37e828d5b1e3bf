package mosaicknife.app.account;

import java.util.Locale;
import java.util.concurrent.Semaphore;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.authentication.dao.DaoAuthenticationProvider;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/** Checks name and password, behind the {@link SignInGuard}. Pages and the API both come here. */
@Component
class GuardedSignIn implements AuthenticationProvider {

  private final SignInGuard guard;
  private final DaoAuthenticationProvider passwords;
  private final Semaphore door =
      new Semaphore(Math.max(1, Runtime.getRuntime().availableProcessors() / 2), true);

  GuardedSignIn(SignInGuard guard, PersonRepository people, PasswordEncoder encoder) {
    this.guard = guard;
    this.passwords =
        new DaoAuthenticationProvider(
            name ->
                people
                    .findBySignIn(name.replace("\0", "").strip().toLowerCase(Locale.ROOT))
                    .map(PersonEntity::toSignedIn)
                    .orElseThrow(() -> new UsernameNotFoundException("no such person")));
    this.passwords.setPasswordEncoder(encoder);
  }

  /**
   * Checks a name and a password that came by another way than the sign-in page.
   *
   * @throws org.springframework.security.core.AuthenticationException if they are wrong, or too
   *     many tries were made
   */
  SignedIn check(String name, String password, Visit visit) {
    UsernamePasswordAuthenticationToken attempt =
        UsernamePasswordAuthenticationToken.unauthenticated(name, password);
    attempt.setDetails(visit);
    return (SignedIn) authenticate(attempt).getPrincipal();
  }

  @Override
  public Authentication authenticate(Authentication attempt) {
    Visit visit = attempt.getDetails() instanceof Visit details ? details : new Visit("unknown");
    long number =
        guard
            .admit(attempt.getName(), visit)
            .orElseThrow(() -> new LockedException("too many tries"));
    Authentication signedIn = oneAtATime(attempt);
    guard.succeeded(number);
    return signedIn;
  }

  /** A password takes a processor a while: a crowd at the door waits there, not at the bench. */
  private Authentication oneAtATime(Authentication attempt) {
    door.acquireUninterruptibly();
    try {
      return passwords.authenticate(attempt);
    } finally {
      door.release();
    }
  }

  @Override
  public boolean supports(Class<?> type) {
    return UsernamePasswordAuthenticationToken.class.isAssignableFrom(type);
  }
}
