package mosaicknife.core;

import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.Knowledge;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.cost.LotCost;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/** One gutted hake of 4.860 kg at 11.40/kg, worked through by hand; the tests share it. */
public final class WorkedHake {

  public static final Currency EUR = Currency.getInstance("EUR");
  public static final Catalogue CATALOGUE = Catalogue.shipped();
  public static final Mass PURCHASED = Mass.ofKilograms("4.860");
  public static final LotCost COST = LotCost.of(price("11.40"), PURCHASED);

  private WorkedHake() {}

  public static Breakdown breakdown() {
    List<Node> parts = new ArrayList<>();
    parts.add(leaf("head", "head", "0.985", Purpose.POT));
    parts.add(leaf("gills", "gills", "0.062", Purpose.COMPOST));
    parts.add(leaf("frame", "frame", "0.612", Purpose.POT));
    parts.add(leaf("fins", "fins", "0.118", Purpose.COMPOST));
    parts.add(leaf("belly", "belly", "0.172", Purpose.SECOND_PLATE));
    parts.add(leaf("collar", "collar", "0.214", Purpose.SECOND_PLATE));
    parts.add(leaf("fillet-left", "fillet", "1.318", Purpose.PLATE));
    parts.add(leaf("fillet-right", "fillet", "1.292", Purpose.PLATE));
    return new Breakdown(State.GUTTED, PURCHASED, 1, parts);
  }

  public static Breakdown with(Node... parts) {
    return new Breakdown(State.GUTTED, PURCHASED, 1, List.of(parts));
  }

  public static Node.Leaf leaf(String id, String kind, String kilograms, Purpose purpose) {
    PartKind partKind = CATALOGUE.findKind(kind).orElseThrow();
    return new Node.Leaf(
        id,
        partKind.name(),
        partKind,
        Mass.ofKilograms(kilograms),
        Knowledge.MEASURED,
        Optional.ofNullable(purpose),
        1);
  }

  /** Bones (head and frame), belly, collars: what the house would pay for them per kilogram. */
  public static Map<String, UnitPrice> values(String bones, String belly, String collars) {
    return Map.of(
        "head", price(bones),
        "frame", price(bones),
        "belly", price(belly),
        "collar", price(collars));
  }

  public static UnitPrice price(String perKilogram) {
    return UnitPrice.ofPerKilogram(perKilogram, EUR);
  }
}
