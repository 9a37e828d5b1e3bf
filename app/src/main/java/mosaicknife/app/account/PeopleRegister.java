package mosaicknife.app.account;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the people of the house. */
@Service
@Transactional
public class PeopleRegister {

  private static final int SHORTEST_PASSWORD = 10;
  // bcrypt reads no more than 72 bytes; a longer password would be cut silently
  private static final int LONGEST_PASSWORD_BYTES = 72;
  private static final Pattern SIGN_IN = Pattern.compile("[a-z0-9][a-z0-9._-]{0,39}");

  private final PersonRepository people;
  private final PasswordEncoder encoder;
  private final SignInGuard guard;
  private final KnownBrowsers browsers;
  private final JdbcClient jdbc;
  private final Clock clock;

  PeopleRegister(
      PersonRepository people,
      PasswordEncoder encoder,
      SignInGuard guard,
      KnownBrowsers browsers,
      JdbcClient jdbc,
      Clock clock) {
    this.people = people;
    this.encoder = encoder;
    this.guard = guard;
    this.browsers = browsers;
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * Adds a person.
   *
   * @param signIn the name to sign in with: letters, figures, point, hyphen
   * @param name the name on screen
   * @param role the role
   * @param password the first password
   * @return the person
   * @throws Refusal if a name is missing or taken or the password is too short
   */
  @PreAuthorize("hasAuthority('MANAGE_HOUSE')")
  public Person add(String signIn, String name, Role role, String password) {
    return store(signIn, name, role, password);
  }

  /** Adds the first owner, when nobody is there who could. */
  Person addFirstOwner(String signIn, String name, String password) {
    if (people.count() > 0) {
      throw Refusal.ofStale("account.problem.the-house-has-its-owner");
    }
    return store(signIn, name, Role.OWNER, password);
  }

  private Person store(String signIn, String name, Role role, String password) {
    String key = signIn == null ? "" : signIn.strip().toLowerCase(Locale.ROOT);
    if (!SIGN_IN.matcher(key).matches()) {
      throw Refusal.ofField("signIn", "account.problem.a-sign-in-name-has");
    }
    if (people.findBySignIn(key).isPresent()) {
      throw Refusal.ofField("signIn", "account.problem.is-taken-choose-another-name", key);
    }
    String shown = PlainText.needed(name, 80, "name", FieldName.NAME);
    return people
        .save(new PersonEntity(key, shown, role, hash(password), clock.instant()))
        .toPerson();
  }

  /**
   * Gives a person another role.
   *
   * @param id the person
   * @param role the new role
   * @throws Refusal if nobody would be left as owner
   */
  @PreAuthorize("hasAuthority('MANAGE_HOUSE')")
  public void changeRole(long id, Role role) {
    PersonEntity person = get(id);
    if (role != Role.OWNER) {
      keepAnOwner(person);
    }
    person.changeRole(role);
    signOutEverywhere(person);
  }

  /**
   * Says at which venue a person works: what is kept at others they change no more.
   *
   * @param id the person
   * @param venue the number of the venue; empty for all of them
   * @throws Refusal if there is no such venue, or the person is an owner
   */
  @PreAuthorize("hasAuthority('MANAGE_HOUSE')")
  public void workAt(long id, Optional<Long> venue) {
    PersonEntity person = get(id);
    if (venue.isPresent() && person.role().worksEverywhere()) {
      throw Refusal.ofInput("account.problem.owner-everywhere", person.toPerson().name());
    }
    person.worksAt(venue);
    signOutEverywhere(person);
  }

  /**
   * Gives a person a new password and signs them out everywhere.
   *
   * @param id the person
   * @param password the new password
   * @throws Refusal if the password is too short
   */
  @PreAuthorize("hasAuthority('MANAGE_HOUSE')")
  public void changePassword(long id, String password) {
    PersonEntity person = get(id);
    person.changePassword(hash(password));
    signOutEverywhere(person);
    browsers.forget(id);
    guard.forgive(person.toPerson().signIn());
  }

  /**
   * Gives the person who is signed in a new password; every other session and token of theirs ends.
   *
   * @param id the person
   * @param password the new password
   * @param session the session that goes on
   * @throws Refusal if the password is too short
   */
  void changeOwnPassword(long id, String password, String session) {
    PersonEntity person = get(id);
    person.changePassword(hash(password));
    signOut(person, session);
  }

  /**
   * Makes an owner by the one-time link of whoever runs the machine: a new person, or one who is
   * there already and gets a new password.
   *
   * @throws Refusal if a name is missing or the password too short
   */
  Person addOrMendOwner(String signIn, String name, String password) {
    String key = signIn == null ? "" : signIn.strip().toLowerCase(Locale.ROOT);
    Optional<PersonEntity> there = people.findBySignIn(key);
    if (there.isEmpty()) {
      return store(signIn, name, Role.OWNER, password);
    }
    PersonEntity person = there.get();
    person.changePassword(hash(password));
    person.changeRole(Role.OWNER);
    person.switchOn();
    signOutEverywhere(person);
    guard.forgive(key);
    return person.toPerson();
  }

  /**
   * Lets a person in no more. What they weighed stays theirs.
   *
   * @param id the person
   * @throws Refusal if nobody would be left as owner
   */
  @PreAuthorize("hasAuthority('MANAGE_HOUSE')")
  public void switchOff(long id) {
    PersonEntity person = get(id);
    keepAnOwner(person);
    person.switchOff();
    signOutEverywhere(person);
    browsers.forget(id);
  }

  /**
   * Lets a person in again.
   *
   * @param id the person
   */
  @PreAuthorize("hasAuthority('MANAGE_HOUSE')")
  public void switchOn(long id) {
    get(id).switchOn();
  }

  /**
   * Returns everybody by name.
   *
   * @return the people
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public List<Person> everybody() {
    return people.findAllByOrderByName().stream().map(PersonEntity::toPerson).toList();
  }

  /**
   * Returns the names of everybody by number, for records.
   *
   * @return the names
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public Map<Long, String> names() {
    return everybody().stream().collect(Collectors.toMap(Person::id, Person::name));
  }

  /**
   * Returns whether nobody is there yet.
   *
   * @return true before the first owner is created
   */
  @Transactional(readOnly = true)
  public boolean isEmpty() {
    return people.count() == 0;
  }

  private PersonEntity get(long id) {
    return people
        .findById(id)
        .orElseThrow(() -> Refusal.ofMissing("account.problem.there-is-no-person-with", id));
  }

  private void keepAnOwner(PersonEntity person) {
    // the rows stay locked: two owners who demote each other at once come one after the other
    List<Long> owners = people.lockOwners();
    if (owners.equals(List.of(person.id()))) {
      throw Refusal.ofInput("account.problem.a-house-has-at-least");
    }
  }

  /** Sessions and tokens carry the old rights, so they end. */
  private void signOutEverywhere(PersonEntity person) {
    signOut(person, "");
  }

  private void signOut(PersonEntity person, String exceptSession) {
    jdbc.sql("delete from spring_session where principal_name = ? and session_id <> ?")
        .params(person.toPerson().signIn(), exceptSession)
        .update();
    jdbc.sql("delete from api_token where person_id = ?").param(person.id()).update();
  }

  private String hash(String password) {
    String text = password == null ? "" : password;
    if (text.length() < SHORTEST_PASSWORD) {
      throw Refusal.ofField(
          "password", "account.problem.a-password-has-at-least", SHORTEST_PASSWORD);
    }
    if (text.getBytes(StandardCharsets.UTF_8).length > LONGEST_PASSWORD_BYTES) {
      throw Refusal.ofField(
          "password", "account.problem.a-password-has-at-most", LONGEST_PASSWORD_BYTES);
    }
    if (GuessedFirst.is(text)) {
      throw Refusal.ofField("password", "account.problem.a-password-that-is-guessed");
    }
    return encoder.encode(text);
  }
}
