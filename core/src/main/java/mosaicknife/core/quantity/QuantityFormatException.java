package mosaicknife.core.quantity;

import mosaicknife.core.finding.Finding;

/**
 * Something typed could not be read as a quantity. What was wrong, in the characters that were
 * typed, is a finding that the page puts into words.
 */
public final class QuantityFormatException extends RuntimeException {

  private static final long serialVersionUID = 1L;

  // findings of quantities carry strings and numbers alone
  @SuppressWarnings("serial")
  private final Finding finding;

  /**
   * Carries what was wrong.
   *
   * @param problem the problem
   * @param figures its figures, see {@link QuantityProblem}
   */
  public QuantityFormatException(QuantityProblem problem, Object... figures) {
    this(Finding.of(problem, figures));
  }

  private QuantityFormatException(Finding finding) {
    super(finding.key() + " " + finding.figures());
    this.finding = finding;
  }

  /**
   * Returns what was wrong.
   *
   * @return the finding
   */
  public Finding finding() {
    return finding;
  }
}
