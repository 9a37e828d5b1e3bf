package mosaicknife.app.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.dock.Lot;
import mosaicknife.app.picture.MosaicPicture;
import mosaicknife.app.picture.MosaicPicture.PartLabel;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Balance;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.FishTiles;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.quantity.UnitPrice;

/**
 * Everything the stations need to know of one lot.
 *
 * @param lot the lot
 * @param parts its parts in cutting order
 * @param breakdown the tree of what was weighed
 * @param balance whether it adds up
 * @param tiles how the fish is filled
 */
public record BenchSheet(
    Lot lot, List<BenchPart> parts, Breakdown breakdown, Balance balance, FishTiles tiles) {

  /**
   * Returns the parts that are to be weighed or were.
   *
   * @return all but the skipped ones
   */
  public List<BenchPart> expectedParts() {
    return parts.stream().filter(part -> !part.skipped()).toList();
  }

  /**
   * Returns how many weights are taken: a part weighed for all fish together counts for each.
   *
   * @return the count, up to {@link #weights}
   */
  public long weightsTaken() {
    return expectedParts().stream()
        .mapToLong(part -> part.isDone(lot.fish()) ? lot.fish() : part.taken().size())
        .sum();
  }

  /**
   * Returns how many weights there are to take.
   *
   * @return parts times fish
   */
  public long weights() {
    return (long) expectedParts().size() * lot.fish();
  }

  /**
   * Returns the weighed parts that have no purpose yet.
   *
   * @return the parts
   */
  public List<BenchPart> open() {
    return parts.stream().filter(p -> p.isStarted() && p.purpose().isEmpty()).toList();
  }

  /**
   * Returns the next part to weigh for one fish: the first in cutting order that is not weighed.
   *
   * @param fishNo the fish, or 0 for all together
   * @return the part; empty when all are weighed
   */
  public Optional<BenchPart> next(int fishNo) {
    return expectedParts().stream().filter(part -> part.find(fishNo).isEmpty()).findFirst();
  }

  /**
   * Returns the purpose the body plan proposes for a part.
   *
   * @param part the part
   * @return the purpose; empty for a part that the plan does not foresee
   */
  public Optional<Purpose> usualPurpose(BenchPart part) {
    return lot.species().plan().findSlot(part.slot()).map(PartSlot::usual);
  }

  /**
   * Finds a part by its slot.
   *
   * @param slot the slot
   * @return the part, or empty
   */
  public Optional<BenchPart> find(String slot) {
    return parts.stream().filter(part -> part.slot().equals(slot)).findFirst();
  }

  /**
   * Returns what the parts are worth to the house, by leaf of the breakdown.
   *
   * @return the values of those leaves whose part has one
   */
  public Map<String, UnitPrice> values() {
    return breakdown.leaves().stream()
        .filter(leaf -> partOf(leaf).flatMap(BenchPart::value).isPresent())
        .collect(
            Collectors.toMap(
                Node.Leaf::id, leaf -> partOf(leaf).flatMap(BenchPart::value).orElseThrow()));
  }

  /**
   * Finds the part a leaf of the breakdown belongs to.
   *
   * @param leaf the leaf
   * @return the part
   */
  public Optional<BenchPart> partOf(Node.Leaf leaf) {
    return find(LeafIds.slotOf(leaf.id()));
  }

  /**
   * Draws the mosaic of the lot.
   *
   * @param size how large
   * @param formats how the house writes numbers
   * @return the picture
   */
  public MosaicPicture mosaic(Size size, Formats formats) {
    String summary =
        "Mosaic of %s: %s of %s weighed, %d of %d weights taken."
            .formatted(
                lot.title(),
                formats.mass(balance.tallied()),
                formats.mass(lot.purchased()),
                weightsTaken(),
                weights());
    return MosaicPicture.of(
        tiles,
        lot.purchased(),
        slot -> find(slot).map(part -> new PartLabel(part.number(), part.name(), part.purpose())),
        size,
        formats,
        summary);
  }
}
