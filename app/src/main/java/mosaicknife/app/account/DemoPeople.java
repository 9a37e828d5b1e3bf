package mosaicknife.app.account;

import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Service;

/** Makes the people of the demo and works in their name. Exists in demo mode only. */
@Service
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
public class DemoPeople {

  private final PeopleRegister people;
  private final PersonRepository rows;

  DemoPeople(PeopleRegister people, PersonRepository rows) {
    this.people = people;
    this.rows = rows;
  }

  /**
   * Returns whether somebody is there already.
   *
   * @return true once the demo was loaded
   */
  public boolean areThere() {
    return !people.isEmpty();
  }

  /** Adds the four people of Saltmarsh Row. */
  public void add() {
    people.addFirstOwner("adaeze", "Adaeze Pell", DemoAccounts.PASSWORD);
    as(
        "adaeze",
        () -> {
          people.add("ines", "Ines Varga", Role.SOUS_CHEF, DemoAccounts.PASSWORD);
          people.add("tobiah", "Tobiah Lund", Role.BUTCHER, DemoAccounts.PASSWORD);
          people.add("maren", "Maren Oake", Role.LEARNER, DemoAccounts.PASSWORD);
        });
  }

  /**
   * Returns the number of a person of the demo.
   *
   * @param signIn the sign-in name
   * @return the number
   */
  public long idOf(String signIn) {
    return find(signIn).id();
  }

  /**
   * Does some work in the name of a person, with their rights.
   *
   * @param signIn the sign-in name
   * @param work the work
   */
  public void as(String signIn, Runnable work) {
    SecurityContext before = SecurityContextHolder.getContext();
    SecurityContext context = SecurityContextHolder.createEmptyContext();
    SignedIn person = find(signIn);
    context.setAuthentication(
        UsernamePasswordAuthenticationToken.authenticated(person, null, person.getAuthorities()));
    SecurityContextHolder.setContext(context);
    try {
      work.run();
    } finally {
      SecurityContextHolder.setContext(before);
    }
  }

  private SignedIn find(String signIn) {
    return rows.findBySignIn(signIn).orElseThrow().toSignedIn();
  }
}
