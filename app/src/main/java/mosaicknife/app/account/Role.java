package mosaicknife.app.account;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/** What a person is in the house, and so what they may do. */
public enum Role {
  /** Owner or buyer: everything. */
  OWNER("Owner", EnumSet.allOf(Permission.class)),
  /** Sous chef: everything but the people and the house itself. */
  SOUS_CHEF("Sous chef", EnumSet.complementOf(EnumSet.of(Permission.MANAGE_HOUSE))),
  /** Butcher: receives, weighs, decides on parts and closes lots. */
  BUTCHER(
      "Butcher",
      EnumSet.of(
          Permission.RECEIVE, Permission.WEIGH, Permission.DECIDE_PURPOSE, Permission.FINISH_LOT)),
  /** Learner: weighs, and looks on. */
  LEARNER("Learner", EnumSet.of(Permission.WEIGH));

  private final String title;

  // an enum set that is never handed out changeable
  @SuppressWarnings("ImmutableEnumChecker")
  private final Set<Permission> permissions;

  Role(String title, Set<Permission> permissions) {
    this.title = title;
    this.permissions = Collections.unmodifiableSet(permissions);
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Sous chef}
   */
  public String title() {
    return title;
  }

  /**
   * Returns what the role may do.
   *
   * @return the permissions
   */
  public Set<Permission> permissions() {
    return permissions;
  }
}
