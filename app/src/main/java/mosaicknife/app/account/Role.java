package mosaicknife.app.account;

import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/** What a person is in the house, and so what they may do. */
public enum Role {
  /** Owner or buyer: everything. */
  OWNER(EnumSet.allOf(Permission.class)),
  /** Sous chef: everything but the people and the house itself. */
  SOUS_CHEF(EnumSet.complementOf(EnumSet.of(Permission.MANAGE_HOUSE))),
  /** Butcher: receives, weighs, decides on parts and closes lots. */
  BUTCHER(
      EnumSet.of(
          Permission.RECEIVE, Permission.WEIGH, Permission.DECIDE_PURPOSE, Permission.FINISH_LOT)),
  /** Learner: weighs, and looks on. */
  LEARNER(EnumSet.of(Permission.WEIGH));

  // an enum set that is never handed out changeable
  @SuppressWarnings("ImmutableEnumChecker")
  private final Set<Permission> permissions;

  Role(Set<Permission> permissions) {
    this.permissions = Collections.unmodifiableSet(permissions);
  }

  /**
   * Returns what the role may do.
   *
   * @return the permissions
   */
  public Set<Permission> permissions() {
    return permissions;
  }

  /**
   * Returns whether such a person works at every venue, whatever is said of them.
   *
   * @return true for owners
   */
  public boolean worksEverywhere() {
    return this == OWNER;
  }
}
