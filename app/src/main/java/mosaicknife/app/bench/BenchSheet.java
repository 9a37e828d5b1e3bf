package mosaicknife.app.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mosaicknife.app.dock.Lot;
import mosaicknife.app.picture.MosaicPicture;
import mosaicknife.app.picture.MosaicPicture.PartLabel;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.breakdown.Balance;
import mosaicknife.core.breakdown.Breakdown;
import mosaicknife.core.breakdown.FishTiles;
import mosaicknife.core.breakdown.Node;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.quantity.UnitPrice;

/**
 * Everything the stations need to know of one lot.
 *
 * @param lot the lot
 * @param plan what it is to become
 * @param parts its parts in cutting order
 * @param breakdown the tree of what was weighed
 * @param balance whether it adds up
 * @param tiles how the fish is filled
 */
public record BenchSheet(
    Lot lot,
    CutPlan plan,
    List<BenchPart> parts,
    Breakdown breakdown,
    Balance balance,
    FishTiles tiles) {

  /**
   * Returns the parts that are to be weighed or were.
   *
   * @return all but the skipped ones
   */
  public List<BenchPart> expectedParts() {
    return parts.stream().filter(part -> !part.skipped()).toList();
  }

  /** A row of pieces has no last one, so it is not counted among the weights to take. */
  private Stream<BenchPart> countedParts() {
    return expectedParts().stream().filter(part -> !part.inARow());
  }

  /**
   * Returns how many weights are taken: a part weighed for all fish together counts for each.
   *
   * @return the count, up to {@link #weights}
   */
  public long weightsTaken() {
    return countedParts()
        .mapToLong(part -> part.isDone(lot.fish()) ? lot.fish() : part.taken().size())
        .sum();
  }

  /**
   * Returns how many weights there are to take.
   *
   * @return parts times fish
   */
  public long weights() {
    return countedParts().count() * lot.fish();
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
   * Returns whether every expected part has a purpose.
   *
   * @return true if no tile is open
   */
  public boolean isPlanned() {
    return expectedParts().stream().allMatch(part -> part.purpose().isPresent());
  }

  /**
   * Returns the next part to weigh for one fish: the first in cutting order that is not weighed.
   *
   * @param fishNo the fish, or 0 for all together
   * @return the part; empty when all are weighed
   */
  public Optional<BenchPart> next(int fishNo) {
    return expectedParts().stream()
        .filter(part -> !part.inARow() && part.find(fishNo).isEmpty())
        .findFirst();
  }

  /**
   * Returns the purpose the cut plan proposes for a part.
   *
   * @param part the part
   * @return the purpose; empty for a part that the plan does not foresee
   */
  public Optional<Purpose> usualPurpose(BenchPart part) {
    return plan.parts().stream()
        .filter(planned -> planned.slot().code().equals(part.slot()))
        .map(CutPlan.Planned::purpose)
        .findFirst();
  }

  /**
   * Finds the part another was cut from.
   *
   * @param part the part
   * @return its parent; empty for what is cut from the whole fish
   */
  public Optional<BenchPart> parentOf(BenchPart part) {
    return part.parentId()
        .flatMap(id -> parts.stream().filter(other -> other.id() == id).findFirst());
  }

  /**
   * Finds the part a weighing is of.
   *
   * @param weighing the identifier of a weighing that stands
   * @return the part, or empty
   */
  public Optional<BenchPart> partWeighedBy(String weighing) {
    return parts.stream()
        .filter(part -> part.taken().stream().anyMatch(t -> t.id().toString().equals(weighing)))
        .findFirst();
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
