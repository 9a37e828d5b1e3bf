package mosaicknife.app.account;

import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;

/** Tells who is behind the request that is being served. */
@Component
public class CurrentPerson {

  /**
   * Returns the person behind this request.
   *
   * @return the person
   * @throws IllegalStateException if nobody is signed in, which the security rules prevent
   */
  public Person get() {
    Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
    if (authentication != null && authentication.getPrincipal() instanceof SignedIn signedIn) {
      return signedIn.toPerson();
    }
    throw new IllegalStateException("Bug: nobody is signed in");
  }

  /**
   * Returns whether the person behind this request may do something.
   *
   * @param permission what they want to do
   * @return true if their role includes it
   */
  public boolean may(Permission permission) {
    return get().role().permissions().contains(permission);
  }
}
