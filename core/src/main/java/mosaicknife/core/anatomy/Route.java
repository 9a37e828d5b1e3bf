package mosaicknife.core.anatomy;

import mosaicknife.core.check.Check;

/**
 * A way to break a fish of a body plan: in fillets, across the bone, boned whole, scraped.
 *
 * @param code the lasting identifier within the plan
 * @param name the name on screen
 * @param how what the knife does, one or two lines
 */
public record Route(String code, String name, String how) {

  /** Refuses blank texts. */
  public Route {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.text(how, "how");
  }
}
