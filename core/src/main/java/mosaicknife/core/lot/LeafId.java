package mosaicknife.core.lot;

/** Names the leaves of a breakdown: a part of one fish is {@code fillet-left#2}. */
public final class LeafId {

  private static final char FISH_MARK = '#';

  private LeafId() {}

  /**
   * Names a leaf.
   *
   * @param slot the slot of the part
   * @param fish which fish, from 1; 0 for all together
   * @param fishInLot how many fish the lot has
   * @return the slot, with the fish where there are several
   */
  public static String of(String slot, int fish, int fishInLot) {
    return fish == 0 || fishInLot == 1 ? slot : slot + FISH_MARK + fish;
  }

  /**
   * Returns the slot of a leaf.
   *
   * @param leafId the name of the leaf
   * @return the slot of its part
   */
  public static String slotOf(String leafId) {
    int mark = leafId.indexOf(FISH_MARK);
    return mark < 0 ? leafId : leafId.substring(0, mark);
  }
}
