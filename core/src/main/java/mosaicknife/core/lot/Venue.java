package mosaicknife.core.lot;

import mosaicknife.core.check.Check;

/**
 * A venue of the house: known by its number, called by its name.
 *
 * @param id its number
 * @param name its name now
 */
public record Venue(long id, String name) {

  /** Refuses a venue without name. */
  public Venue {
    Check.text(name, "venue");
  }

  /** Its name, as papers and pages write it. */
  @Override
  public String toString() {
    return name;
  }
}
