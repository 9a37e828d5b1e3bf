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
    SHORT("Short weight or number"),
    /** The quality is not what was agreed. */
    QUALITY("Quality"),
    /** Another fish, state or size came. */
    WRONG_FISH("Wrong fish, state or size"),
    /** It came warm. */
    WARM("Too warm"),
    /** Another price than agreed. */
    PRICE("Price"),
    /** Anything else. */
    OTHER("Other");

    private final String title;

    Kind(String title) {
      this.title = title;
    }

    /**
     * Returns the name on screen.
     *
     * @return such as {@code Too warm}
     */
    public String title() {
      return title;
    }
  }

  /** How far a claim is. */
  public enum Status {
    /** The supplier was asked. */
    ASKED("asked"),
    /** The supplier credits it: the lot costs less. */
    CREDITED("credited"),
    /** It is given up. */
    DROPPED("given up");

    private final String title;

    Status(String title) {
      this.title = title;
    }

    /**
     * Returns the words on screen.
     *
     * @return such as {@code credited}
     */
    public String title() {
      return title;
    }
  }
}
