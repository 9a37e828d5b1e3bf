package mosaicknife.core.anatomy;

/**
 * How much had been taken off a fish when it was bought. Yield is worthless without the state it is
 * counted from.
 */
public enum State {
  /** Whole as caught. */
  UNGUTTED("Ungutted", "whole as caught"),
  /** The guts are out, gills and head are on. */
  GUTTED("Gutted", "guts out, gills and head on"),
  /** Guts and gills are out, the head is on. */
  GUTTED_AND_GILLED("Gutted and gilled", "guts and gills out, head on"),
  /** Headed and gutted. */
  HEADED_AND_GUTTED("H&G", "headed and gutted");

  private final String title;
  private final String meaning;

  State(String title, String meaning) {
    this.title = title;
    this.meaning = meaning;
  }

  /**
   * Returns the name on screen.
   *
   * @return such as {@code Gutted}
   */
  public String title() {
    return title;
  }

  /**
   * Returns what is off and what is on, in a few words.
   *
   * @return the explanation
   */
  public String meaning() {
    return meaning;
  }

  /**
   * Returns whether a fish in this state still has a part that goes at a stage of cleaning.
   *
   * @param stage the stage at which the part goes
   * @return true if the part is still on the fish
   */
  public boolean stillHas(Stage stage) {
    return switch (stage) {
      case GUTTING -> this == UNGUTTED;
      case GILLING -> this == UNGUTTED || this == GUTTED;
      case HEADING -> this != HEADED_AND_GUTTED;
      case CUTTING -> true;
    };
  }
}
