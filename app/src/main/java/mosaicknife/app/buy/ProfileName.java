package mosaicknife.app.buy;

import mosaicknife.core.buying.Demand.Profile;

/** When the guests come. */
public enum ProfileName {
  /** Four quiet days with one service each. */
  MIDWEEK(new Profile(1, 4)),
  /** Three full days with two services each. */
  WEEKEND(new Profile(2, 3)),
  /** One event. */
  FUNCTION(new Profile(1, 1));

  private final Profile profile;

  ProfileName(Profile profile) {
    this.profile = profile;
  }

  /**
   * Returns its days and services as numbers.
   *
   * @return the profile
   */
  public Profile profile() {
    return profile;
  }
}
