package mosaicknife.core.anatomy;

import mosaicknife.core.check.Check;

/**
 * What a fish is called on the market of a region.
 *
 * @param region an ISO country code in capitals, or {@code xx} for a word used in many regions
 * @param name the name as written there, in its script
 */
public record MarketName(String region, String name) {

  /** The region of a word that is used in many regions. */
  public static final String MANY_REGIONS = "xx";

  /** Refuses a blank name and a region that is not two letters. */
  public MarketName {
    Check.that(
        region != null && region.matches("[A-Z]{2}|" + MANY_REGIONS),
        "Expected a region of two capitals or xx, found '" + region + "'");
    Check.text(name, "name");
  }

  /**
   * Reads a name written as {@code ES:merluza}.
   *
   * @param text the text; without a region the word counts for many regions
   * @return the name
   * @throws IllegalArgumentException if the region is not two letters or the name is blank
   */
  public static MarketName parse(String text) {
    int colon = text.indexOf(':');
    return colon < 0
        ? new MarketName(MANY_REGIONS, text.strip())
        : new MarketName(text.substring(0, colon).strip(), text.substring(colon + 1).strip());
  }

  /**
   * Writes the name so that {@link #parse} reads it.
   *
   * @return such as {@code ES:merluza}
   */
  @Override
  public String toString() {
    return region + ":" + name;
  }
}
