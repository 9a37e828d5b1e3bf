package mosaicknife.core.breakdown;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * How one fish is filled: weighed parts at their mass, parts still to come at their expected mass,
 * and what nobody accounts for.
 *
 * <p>The tiles fill the fish exactly. Parts still to come share what room the weighed ones leave
 * after the expected loss, in proportion to their norms; so they shrink when the weighed parts turn
 * out heavy. Only when the weighed parts alone outweigh the fish do they not fit.
 *
 * @param tiles the tiles in cutting order, none empty, the remainder last
 * @param isOverfull whether the weighed parts alone outweigh the fish
 */
public record FishTiles(List<FishTile> tiles, boolean isOverfull) {

  /** Copies the tiles. */
  public FishTiles {
    tiles = List.copyOf(tiles);
  }

  /** What a tile stands for. */
  public enum Standing {
    /** A part that was weighed. */
    MEASURED,
    /** A part that is still to be weighed. */
    EXPECTED,
    /** What neither a part nor an expectation accounts for: loss, or a question. */
    REMAINDER
  }

  /**
   * One tile.
   *
   * @param id the part's identifier; {@code remainder} for the remainder
   * @param standing what it stands for
   * @param mass its mass, positive
   */
  public record FishTile(String id, Standing standing, Mass mass) {}

  /**
   * A part as far as it is known.
   *
   * @param id its identifier
   * @param measured what was weighed of it, zero for nothing yet
   * @param outstanding what is still expected of it, zero for nothing more
   */
  public record PartSoFar(String id, Mass measured, Mass outstanding) {

    /** Refuses negative masses. */
    public PartSoFar {
      Check.text(id, "id");
      Check.that(!measured.isNegative(), "Expected a measured mass from 0 g, found ", measured);
      Check.that(!outstanding.isNegative(), "Expected outstanding from 0 g, found ", outstanding);
    }
  }

  /**
   * Fills a fish.
   *
   * @param purchased the mass of the fish, positive
   * @param loss the loss norm
   * @param parts the parts in cutting order
   * @return the tiles
   */
  public static FishTiles of(Mass purchased, LossNorm loss, List<PartSoFar> parts) {
    Check.that(purchased.isPositive(), "Expected a fish above 0 g, found ", purchased);
    Mass measured = Mass.total(parts.stream().map(PartSoFar::measured).toList());
    Mass outstanding = Mass.total(parts.stream().map(PartSoFar::outstanding).toList());
    Mass room = purchased.minus(measured);
    Mass forParts = room.minus(loss.expected(purchased));
    Fraction fit =
        outstanding.isPositive() && forParts.isPositive()
            ? forParts.dividedBy(outstanding)
            : Fraction.ZERO;
    List<FishTile> tiles = new ArrayList<>();
    for (PartSoFar part : parts) {
      add(tiles, part.id(), Standing.MEASURED, part.measured());
      Mass expected = part.outstanding().multipliedBy(fit, RoundingMode.DOWN);
      add(tiles, part.id(), Standing.EXPECTED, expected);
      room = room.minus(expected);
    }
    add(tiles, "remainder", Standing.REMAINDER, room);
    return new FishTiles(tiles, room.isNegative());
  }

  private static void add(List<FishTile> tiles, String id, Standing standing, Mass mass) {
    if (mass.isPositive()) {
      tiles.add(new FishTile(id, standing, mass));
    }
  }
}
