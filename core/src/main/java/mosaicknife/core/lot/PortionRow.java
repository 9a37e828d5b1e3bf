package mosaicknife.core.lot;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.portion.WeighedBack;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/**
 * Portions of one dish that were cut and weighed one by one.
 *
 * @param to the dish, or what else was said
 * @param weighed what they weighed, against what the dish wants
 * @param edible what a kilogram of the cut carries, of the first lot that says; empty if none does
 */
public record PortionRow(Destination to, WeighedBack weighed, Optional<UnitPrice> edible) {

  private record Key(Destination to, Serving serving) {}

  /**
   * Collects the portions of lots by dish.
   *
   * @param sheets the lots
   * @return one entry for each dish and portion, in the order of the lots
   */
  public static List<PortionRow> of(List<LotSheet> sheets) {
    Map<Key, List<Mass>> masses = new LinkedHashMap<>();
    Map<Key, UnitPrice> prices = new LinkedHashMap<>();
    for (LotSheet sheet : sheets) {
      for (LotPart part : sheet.parts()) {
        if (part.inARow() && part.kind().is(PartKind.Trait.PORTION) && part.isStarted()) {
          Key key = key(sheet, part);
          masses
              .computeIfAbsent(key, one -> new ArrayList<>())
              .addAll(part.taken().stream().map(Weighing::mass).filter(Mass::isPositive).toList());
          sheet.worthOfMains().ifPresent(price -> prices.putIfAbsent(key, price));
        }
      }
    }
    return masses.entrySet().stream()
        .filter(row -> !row.getValue().isEmpty())
        .map(
            row ->
                new PortionRow(
                    row.getKey().to(),
                    new WeighedBack(row.getKey().serving(), row.getValue()),
                    Optional.ofNullable(prices.get(row.getKey()))))
        .toList();
  }

  /** A row without a dish of its own goes where what it was cut from goes. */
  private static Key key(LotSheet sheet, LotPart row) {
    Destination own = row.part().goesTo();
    Destination to =
        own.isOpen() ? sheet.parentOf(row).map(from -> from.part().goesTo()).orElse(own) : own;
    return new Key(to, sheet.plates().servingOf(row.slot()).each());
  }
}
