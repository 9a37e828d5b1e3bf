package mosaicknife.app.backup;

/** A file that is not put back, and why. The script has the words. */
final class Unfit extends RuntimeException {

  private static final long serialVersionUID = 1;

  /** Why a file is not put back. */
  enum Why {
    /** What should be the key of a house is none. */
    NO_SEAL,
    /** There is nothing in it. */
    EMPTY,
    /** It does not begin like a backup. */
    NO_BACKUP,
    /** Its last line is missing. */
    CUT_OFF,
    /** It is not as it was written. */
    DAMAGED,
    /** It was sealed with the key of another house; the detail is the mark of that. */
    OTHER_HOUSE,
    /** It says it is of this house and was not sealed with its key. */
    FORGED,
    /** It is of a release that did not seal. */
    UNSEALED,
    /** It has no tables of ours in it. */
    NO_HOUSE,
    /** It has changes to the tables that this release does not know. */
    OTHER_RELEASE,
    /** It names a table, a column or a row that ours do not have. */
    STRANGE,
    /** After bringing it up to date the weights or the money are others. */
    OTHER_SUMS
  }

  private final Why why;

  Unfit(Why why, String detail) {
    super(detail);
    this.why = why;
  }

  Why why() {
    return why;
  }
}
