package mosaicknife.core.anatomy;

import java.util.List;

/**
 * How much had been taken off a fish when it was bought. Yield is worthless without the state it is
 * counted from.
 */
public enum State {
  /** Whole as caught. */
  UNGUTTED,
  /** The guts are out, gills and head are on. */
  GUTTED,
  /** Guts and gills are out, the head is on. */
  GUTTED_AND_GILLED,
  /** Headed and gutted. */
  HEADED_AND_GUTTED,
  /** Only the fillets: somebody else has cut it. */
  FILLETS;

  /** The states of a fish that is still to be cut, the least cleaned first. */
  public static final List<State> OF_FISH =
      List.of(UNGUTTED, GUTTED, GUTTED_AND_GILLED, HEADED_AND_GUTTED);

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
      case HEADING -> this != HEADED_AND_GUTTED && !isCut();
      case CUTTING -> !isCut();
    };
  }

  /**
   * Returns whether it was bought cut: there is no breakdown, it goes straight to portions.
   *
   * @return true for fillets
   */
  public boolean isCut() {
    return this == FILLETS;
  }
}
