package mosaicknife.app.account;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.security.core.CredentialsContainer;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** The person behind a request, as Spring Security keeps them in the session. */
final class SignedIn implements UserDetails, CredentialsContainer {

  private static final long serialVersionUID = 1L;

  private final long id;
  private final String signIn;
  private final String name;
  private final Role role;

  /** Needed for the moment of signing in, never stored with the session. */
  private transient String passwordHash;

  /** Null for every venue. */
  private final Long venue;

  private final boolean active;

  SignedIn(Person person, String passwordHash) {
    this.id = person.id();
    this.signIn = person.signIn();
    this.name = person.name();
    this.role = person.role();
    this.venue = person.venue().orElse(null);
    this.passwordHash = passwordHash;
    this.active = person.active();
  }

  long id() {
    return id;
  }

  /** Read by the layout. */
  public String getName() {
    return name;
  }

  /** Read by the layout. */
  public Role getRole() {
    return role;
  }

  Person toPerson() {
    return new Person(id, signIn, name, role, Optional.ofNullable(venue), active);
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    List<SimpleGrantedAuthority> authorities =
        role.permissions().stream().map(p -> new SimpleGrantedAuthority(p.name())).toList();
    return authorities;
  }

  @Override
  public String getPassword() {
    return passwordHash;
  }

  @Override
  public void eraseCredentials() {
    passwordHash = null;
  }

  @Override
  public String getUsername() {
    return signIn;
  }

  @Override
  public boolean isEnabled() {
    return active;
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof SignedIn that && that.id == id;
  }

  @Override
  public int hashCode() {
    return Long.hashCode(id);
  }
}
