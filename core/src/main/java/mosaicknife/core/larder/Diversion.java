package mosaicknife.core.larder;

import java.math.RoundingMode;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.larder.LotMoney.Place;
import mosaicknife.core.larder.LotMoney.Went;
import mosaicknife.core.lot.LeafId;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;

/**
 * Where the grams of lots went: eaten, in the pot, held, composted or binned. Of what was composted
 * or binned the parts that nobody can use are named, so that the rest can be judged.
 *
 * @param grams how much went where
 * @param irreducible gills, guts and the like within what was composted or binned
 */
public record Diversion(Map<Way, Mass> grams, Mass irreducible) {

  /** Where grams went. */
  public enum Way {
    /** Eaten on plates. */
    EATEN,
    /** Bones and head that went out with a fish served whole: nobody eats them. */
    BONES_SERVED,
    /** In the pot. */
    POT,
    /** Held on a shelf, or to be. */
    HELD,
    /** Sold as it was. */
    SOLD,
    /** Composted: never used. */
    COMPOSTED,
    /** Thrown away, or missing. */
    BINNED,
    /** Not decided yet. */
    OPEN
  }

  /** Copies the grams. */
  public Diversion {
    grams = Map.copyOf(grams);
  }

  /**
   * Works out where the grams of a lot went.
   *
   * @param sheet the lot
   * @param went where grams went that were put on a shelf
   * @return its diversion
   */
  public static Diversion of(LotSheet sheet, List<Went> went) {
    Map<Way, Mass> grams = new EnumMap<>(Way.class);
    Mass irreducible = Mass.ZERO;
    for (Node.Leaf leaf : sheet.breakdown().leaves()) {
      boolean useless = leaf.kind().nature() == PartClass.IRREDUCIBLE;
      Way way = leaf.purpose().map(Diversion::way).orElse(Way.OPEN);
      Mass eaten = way == Way.EATEN ? eaten(sheet, leaf) : leaf.mass();
      add(grams, way, eaten);
      if (leaf.mass().compareTo(eaten) > 0) {
        add(grams, Way.BONES_SERVED, leaf.mass().minus(eaten));
      }
      if (useless && (way == Way.COMPOSTED || way == Way.BINNED)) {
        irreducible = irreducible.plus(leaf.mass());
      }
    }
    for (Went one : went) {
      Way before =
          sheet.breakdown().leaves().stream()
              .filter(leaf -> LeafId.slotOf(leaf.id()).equals(one.slot()))
              .findFirst()
              .flatMap(Node.Leaf::purpose)
              .map(Diversion::way)
              .orElse(Way.OPEN);
      Mass some = least(one.mass(), grams.getOrDefault(before, Mass.ZERO));
      grams.merge(before, some, Mass::minus);
      add(grams, way(one.place(), before), some);
    }
    return new Diversion(grams, irreducible);
  }

  private static Mass eaten(LotSheet sheet, Node.Leaf leaf) {
    return sheet
        .partOf(leaf)
        .map(part -> leaf.mass().multipliedBy(sheet.edible(part), RoundingMode.HALF_EVEN))
        .orElse(leaf.mass());
  }

  private static Mass least(Mass one, Mass other) {
    return one.compareTo(other) <= 0 ? one : other;
  }

  private static void add(Map<Way, Mass> grams, Way way, Mass mass) {
    grams.merge(way, mass, Mass::plus);
  }

  private static Way way(Purpose purpose) {
    return switch (purpose) {
      case PLATE, SECOND_PLATE -> Way.EATEN;
      case POT -> Way.POT;
      case HOLD -> Way.HELD;
      case COMPOST -> Way.COMPOSTED;
      case BIN -> Way.BINNED;
    };
  }

  private static Way way(Place place, Way before) {
    return switch (place) {
      case SHELF -> Way.HELD;
      case EATEN -> before == Way.POT ? Way.POT : Way.EATEN;
      case SOLD -> Way.SOLD;
      case WASTE -> Way.BINNED;
      case BOARD -> before;
    };
  }

  /**
   * Adds up lots.
   *
   * @param all their diversions
   * @return the sum
   */
  public static Diversion sum(Collection<Diversion> all) {
    Map<Way, Mass> grams = new EnumMap<>(Way.class);
    all.forEach(one -> one.grams.forEach((way, mass) -> add(grams, way, mass)));
    return new Diversion(grams, Mass.total(all.stream().map(Diversion::irreducible).toList()));
  }

  /**
   * Returns how much went a way.
   *
   * @param way the way
   * @return the mass, from 0 g
   */
  public Mass of(Way way) {
    return grams.getOrDefault(way, Mass.ZERO);
  }

  /**
   * Returns what was composted or binned though it had a use.
   *
   * @return the mass without what nobody can use, from 0 g
   */
  public Mass wasted() {
    return of(Way.COMPOSTED).plus(of(Way.BINNED)).minus(irreducible);
  }

  /**
   * Returns all its grams.
   *
   * @return the sum over all ways
   */
  public Mass whole() {
    return Mass.total(grams.values());
  }
}
