package mosaicknife.app.lot;

import java.time.Instant;
import java.util.Optional;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;

/**
 * A claim against the supplier of a lot.
 *
 * @param id its number
 * @param kind what it is about
 * @param mass the mass it is about, if it is about mass
 * @param amount the money asked back
 * @param reason the reason, in words
 * @param status how far it is
 * @param by who made it
 * @param at when
 * @param version counts changes
 */
public record Claim(
    long id,
    Kind kind,
    Optional<Mass> mass,
    ExactMoney amount,
    String reason,
    Status status,
    String by,
    Instant at,
    int version) {

  /** What a claim is about. */
  public enum Kind {
    /** Less came than was invoiced. */
    SHORT,
    /** The quality is not what was agreed. */
    QUALITY,
    /** Another fish, state or size came. */
    WRONG_FISH,
    /** It came warm. */
    WARM,
    /** Another price than agreed. */
    PRICE,
    /** Anything else. */
    OTHER;
  }

  /** How far a claim is. */
  public enum Status {
    /** The supplier was asked. */
    ASKED,
    /** The supplier credits it: the lot costs less. */
    CREDITED,
    /** It is given up. */
    DROPPED;
  }
}
