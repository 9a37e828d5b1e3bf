package mosaicknife.core.safety;

import java.util.List;

/** What is looked at, pressed and smelled when a fish comes in, with its four grades. */
public enum Sign {
  /** The eyes. */
  EYES(
      "Eyes",
      true,
      "Full and clear, black pupil",
      "Flat, a little dull",
      "Sunken, cloudy",
      "Hollow, milky"),
  /** The gills. */
  GILLS(
      "Gills",
      true,
      "Bright red, clear slime",
      "Paler red, little slime",
      "Brownish, thick slime",
      "Grey-brown, stringy slime"),
  /** Skin and slime. */
  SKIN(
      "Skin and slime",
      false,
      "Bright, tight scales, clear slime",
      "Less shine, slime a little milky",
      "Dull, loose scales, milky slime",
      "Faded, sticky yellow slime"),
  /** The flesh under the finger. */
  FLESH(
      "Flesh",
      false,
      "Firm, springs back at once",
      "Springs back slowly",
      "Soft, the dent stays a while",
      "Slack, the dent stays"),
  /** Belly or belly cavity. */
  BELLY(
      "Belly",
      false,
      "Firm and whole, clean cavity",
      "A little soft",
      "Soft, ribs begin to lift",
      "Burst, or ribs stand off"),
  /** The smell. */
  SMELL(
      "Smell",
      false,
      "Sea, seaweed, nothing",
      "Neutral to slightly fishy",
      "Fishy, sour",
      "Rank, ammonia");

  /** The worst grade. */
  public static final int WORST = 3;

  private final String title;
  private final boolean onTheHead;
  private final List<String> grades;

  Sign(String title, boolean onTheHead, String... grades) {
    this.title = title;
    this.onTheHead = onTheHead;
    this.grades = List.of(grades);
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Skin and slime}
   */
  public String title() {
    return title;
  }

  /**
   * Returns whether the sign is on the head, and so missing from a headed fish.
   *
   * @return true for eyes and gills
   */
  public boolean onTheHead() {
    return onTheHead;
  }

  /**
   * Returns what each grade looks like.
   *
   * @return four texts, from best (0) to worst (3)
   */
  public List<String> grades() {
    return grades;
  }
}
