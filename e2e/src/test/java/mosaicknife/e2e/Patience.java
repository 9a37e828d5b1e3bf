package mosaicknife.e2e;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.PlaywrightAssertions;

/**
 * How long a test looks for what must come before it says that it never will. No test waits for
 * this long: what is waited for is a condition, on a slow machine as on a quick one.
 */
final class Patience {

  /** Two minutes. */
  static final int MILLIS = 120_000;

  private Patience() {}

  /** For everything that is asserted; the library has one figure for all of a process. */
  static void forAssertions() {
    PlaywrightAssertions.setDefaultAssertionTimeout(MILLIS);
  }

  /** For everything that is done in a page. */
  static Page with(Page page) {
    page.setDefaultTimeout(MILLIS);
    return page;
  }
}
