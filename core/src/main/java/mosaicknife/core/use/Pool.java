package mosaicknife.core.use;

import java.math.RoundingMode;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mosaicknife.core.quantity.Fraction;

/**
 * Parts that may become the same things and are equally fat where that matters: one supply in the
 * programme.
 *
 * @param fits the codes of the uses it may become
 * @param fattens the codes of the uses that are lean without it
 * @param fat its share of fat; 0 where no use asks
 */
record Pool(Set<String> fits, Set<String> fattens, Fraction fat) {

  // shares of fat as whole numbers of the programme
  private static final int PARTS = 10_000;

  static Pool of(OnHand part, Map<String, FishUse> uses) {
    Set<String> fits = codes(uses, use -> Qualification.qualifies(use, part));
    Set<String> fattens = codes(uses, use -> Qualification.fattens(use, part));
    boolean asked =
        !fattens.isEmpty() || fits.stream().anyMatch(code -> uses.get(code).fat().isPresent());
    return new Pool(fits, fattens, asked ? UseCatalogue.fat(part) : Fraction.ZERO);
  }

  private static Set<String> codes(Map<String, FishUse> uses, Predicate<FishUse> that) {
    return uses.values().stream().filter(that).map(FishUse::code).collect(Collectors.toSet());
  }

  boolean gives(FishUse use) {
    return fits.contains(use.code()) || fattens.contains(use.code());
  }

  /**
   * What a tenth of a gram of it brings to a batch above what is wanted, or takes where it is
   * leaner; what is fat enough without being added as fat asks for none.
   */
  long above(FishUse use) {
    Fraction wanted = use.fat().orElseThrow();
    boolean added = fattens.contains(use.code());
    Fraction difference = fat.minus(wanted).multipliedBy(Fraction.of(PARTS, 1));
    long whole =
        difference.toDecimal(0, added ? RoundingMode.CEILING : RoundingMode.FLOOR).longValueExact();
    return added ? whole : Math.min(0, whole);
  }
}
