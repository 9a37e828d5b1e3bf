package mosaicknife.core.clock;

import mosaicknife.core.check.Check;

/**
 * Which piece of equipment: two kettles of one name are two, and one that is renamed is the same.
 *
 * @param kind what it is
 * @param number which one of its kind: the number of the kettle, or of the venue that has one kind
 *     of it
 */
public record EquipmentId(String kind, long number) implements WayOut.Means {

  /** Refuses a kind without a name. */
  public EquipmentId {
    Check.text(kind, "kind");
  }
}
