package mosaicknife.app.buy;

import mosaicknife.core.buying.Demand.Profile;

/** When the guests come. */
public enum ProfileName {
  /** Four quiet days with one service each. */
  MIDWEEK("Midweek", "4 days, 1 service a day", new Profile(1, 4)),
  /** Three full days with two services each. */
  WEEKEND("Weekend", "3 days, 2 services a day", new Profile(2, 3)),
  /** One event. */
  FUNCTION("Function", "one service", new Profile(1, 1));

  private final String title;
  private final String meaning;
  private final Profile profile;

  ProfileName(String title, String meaning, Profile profile) {
    this.title = title;
    this.meaning = meaning;
    this.profile = profile;
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Weekend}
   */
  public String title() {
    return title;
  }

  /**
   * Returns how many days and services it has.
   *
   * @return a few words
   */
  public String meaning() {
    return meaning;
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
