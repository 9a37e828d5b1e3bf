package mosaicknife.core.use;

import mosaicknife.core.check.Check;

/** Which part on hand: one at the board, some of it under a label, or one that is ordered. */
public sealed interface HandId {

  /**
   * Returns it as forms send it.
   *
   * @return its fields with colons between
   */
  String text();

  /** A part that is here. */
  sealed interface Here extends HandId {

    /**
     * Returns the lot it is of.
     *
     * @return its number
     */
    long lot();

    /**
     * Returns where in the fish it was.
     *
     * @return the slot
     */
    String slot();
  }

  /**
   * A part at the board, cut or still to be cut.
   *
   * @param lot the number of its lot
   * @param slot its slot
   */
  record Cut(long lot, String slot) implements Here {

    /** Refuses a part without slot. */
    public Cut {
      Check.text(slot, "slot");
    }

    @Override
    public String text() {
      return lot + ":" + slot;
    }
  }

  /**
   * Something on a shelf.
   *
   * @param lot the number of a lot in it
   * @param slot the slot of the part of that lot
   * @param label the code of its label
   */
  record Kept(long lot, String slot, String label) implements Here {

    /** Refuses one without slot or label. */
    public Kept {
      Check.text(slot, "slot");
      Check.text(label, "label");
    }

    @Override
    public String text() {
      return lot + ":" + slot + ":" + label;
    }
  }

  /**
   * A part of fish that is ordered.
   *
   * @param line the identifier of the line of the order
   * @param slot its slot
   */
  record Coming(String line, String slot) implements HandId {

    /** Refuses a part without line or slot. */
    public Coming {
      Check.text(line, "line");
      Check.text(slot, "slot");
    }

    @Override
    public String text() {
      return line + ":" + slot;
    }
  }

  /**
   * Reads a part that is here.
   *
   * @param text what {@link #text} returned
   * @return the part
   * @throws IllegalArgumentException if that is none
   */
  static Here parse(String text) {
    String[] fields = text.split(":", -1);
    Check.that(fields.length == 2 || fields.length == 3, "Expected a part on hand, found ", text);
    long lot = Long.parseLong(fields[0]);
    return fields.length == 2 ? new Cut(lot, fields[1]) : new Kept(lot, fields[1], fields[2]);
  }
}
