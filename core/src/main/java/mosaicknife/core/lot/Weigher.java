package mosaicknife.core.lot;

import mosaicknife.core.check.Check;

/**
 * Who did something: known by the number, shown by the name. Two people may have the same name, and
 * one may change it.
 *
 * @param id the number
 * @param name the name on screen
 */
public record Weigher(long id, String name) {

  /** Refuses a person without name. */
  public Weigher {
    Check.text(name, "name");
  }
}
