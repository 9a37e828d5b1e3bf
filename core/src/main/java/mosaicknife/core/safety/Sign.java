package mosaicknife.core.safety;

import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.finding.Keyed;

/** What is looked at, pressed and smelled when a fish comes in, with its four grades. */
public enum Sign {
  /** The eyes. */
  EYES(true),
  /** The gills. */
  GILLS(true),
  /** Skin and slime. */
  SKIN(false),
  /** The flesh under the finger. */
  FLESH(false),
  /** Belly or belly cavity. */
  BELLY(false),
  /** The smell. */
  SMELL(false);

  /** The worst grade. */
  public static final int WORST = 3;

  private final boolean onTheHead;

  Sign(boolean onTheHead) {
    this.onTheHead = onTheHead;
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
   * Returns how a grade of this sign looks, feels or smells.
   *
   * @param grade the grade, 0 (best) to {@value #WORST}
   * @return the look
   */
  public Look look(int grade) {
    return new Look(this, Check.inRange(grade, 0, WORST, "grade"));
  }

  /**
   * How a sign looks, feels or smells.
   *
   * @param sign the sign
   * @param grade its grade, from 0
   */
  public record Look(Sign sign, int grade) implements Keyed {

    @Override
    public String key() {
      return Finding.of(sign).key() + "." + grade;
    }
  }
}
