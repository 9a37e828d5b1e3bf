package mosaicknife.app.bench;

/** Names the leaves of a breakdown: a part of one fish is {@code fillet-left#2}. */
final class LeafIds {

  private static final char FISH_MARK = '#';

  private LeafIds() {}

  static String of(String slot, int fishNo, int fishInLot) {
    return fishNo == 0 || fishInLot == 1 ? slot : slot + FISH_MARK + fishNo;
  }

  static String slotOf(String leafId) {
    int mark = leafId.indexOf(FISH_MARK);
    return mark < 0 ? leafId : leafId.substring(0, mark);
  }
}
