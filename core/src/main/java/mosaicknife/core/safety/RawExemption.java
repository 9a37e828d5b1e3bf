package mosaicknife.core.safety;

import java.time.Instant;
import mosaicknife.core.check.Check;

/**
 * A named exemption from freezing, with its evidence: that the fish was farmed is none by itself,
 * since farmed and fresh-water fish carry parasites too.
 *
 * @param name what it is called, such as the scheme of a supplier
 * @param evidence the paper that shows it for this lot
 * @param by who attached it
 * @param at when
 */
public record RawExemption(String name, String evidence, String by, Instant at) {

  /** Refuses an exemption without name or evidence. */
  public RawExemption {
    Check.text(name, "name");
    Check.text(evidence, "evidence");
  }
}
