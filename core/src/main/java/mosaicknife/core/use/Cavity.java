package mosaicknife.core.use;

import java.math.RoundingMode;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.check.Check;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;

/**
 * The room inside a fish that is kept whole: what came out of it. Guts, bones and a filling weigh
 * about the same for their volume, so grams stand for millilitres; an estimate.
 *
 * @param cameOut what came out of one fish, positive
 * @param measured whether all of it was weighed; if not, some is expected by the norm
 */
public record Cavity(Mass cameOut, boolean measured) {

  private static final String GUTS = "guts";
  private static final Set<String> FILLED = Set.of("whole", "boned-whole", "butterflied");
  private static final Set<String> INSIDE =
      Set.of("guts", "roe", "milt", "liver", "spine-blood", "frame", "heart", "stomach");
  // a filling swells, and a skin that is full bursts
  private static final Fraction FILLING = Fraction.of(3, 4);

  /** Refuses a fish without room. */
  public Cavity {
    Check.that(cameOut.isPositive(), "Expected room above 0 g, found ", cameOut);
  }

  /**
   * Looks into a lot.
   *
   * @param sheet the lot
   * @return the room in one of its fish; empty if they are not kept whole
   */
  public static Optional<Cavity> of(LotSheet sheet) {
    List<LotPart> parts = sheet.expectedParts();
    boolean whole = parts.stream().anyMatch(part -> FILLED.contains(part.kind().code()));
    if (!whole) {
      return Optional.empty();
    }
    List<LotPart> inside =
        parts.stream().filter(part -> INSIDE.contains(part.kind().code())).toList();
    boolean guts = inside.stream().anyMatch(part -> part.kind().code().equals(GUTS));
    Mass all =
        Mass.total(inside.stream().map(Cavity::mass).toList()).plus(guts ? Mass.ZERO : gone(sheet));
    Mass one = Mass.ofMilligrams(all.milligrams() / sheet.lot().fish());
    return Optional.of(one)
        .filter(Mass::isPositive)
        .map(room -> new Cavity(room, guts && inside.stream().allMatch(LotPart::isStarted)));
  }

  /** The guts of fish that came gutted, by the norm of the species. */
  private static Mass gone(LotSheet sheet) {
    double share =
        sheet.lot().species().shares().stream()
            .filter(one -> one.slot().kind().code().equals(GUTS))
            .mapToDouble(Share::mean)
            .sum();
    return Mass.ofMilligrams(
        Math.round(sheet.lot().purchased().milligrams() * share / (1 - share)));
  }

  private static Mass mass(LotPart part) {
    return part.isStarted() ? part.mass() : part.expected().orElse(Mass.ZERO);
  }

  /**
   * Returns how much filling one fish takes.
   *
   * @return three quarters of its room, in whole grams
   */
  public Mass most() {
    Mass some = cameOut.multipliedBy(FILLING, RoundingMode.FLOOR);
    return Mass.ofGrams(some.milligrams() / 1000);
  }
}
