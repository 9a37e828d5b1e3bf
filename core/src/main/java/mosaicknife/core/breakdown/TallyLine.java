package mosaicknife.core.breakdown;

import java.math.RoundingMode;
import java.util.Optional;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.TypedMass;

/**
 * One line of a tally as the search for gross errors sees it: what was written down, how it came
 * in, and what the norm expected.
 *
 * @param id the identifier of the weighing or of the part that has none
 * @param kin parts of one kin come from one fish and are alike, such as its two fillets; alone if
 *     no other entry has the same
 * @param mass what was written down; empty if nothing was
 * @param expected what the norm expects, empty if there is none
 * @param spread the standard deviation of that between fish; ignored without a norm
 * @param input how the figure came in
 * @param step how fine the figure is: the step of the display it was read from, or of the last
 *     digit that was typed; positive
 * @param figure what was typed, if it was
 * @param tray the tray that was chosen at the bench when it was weighed, if one was
 * @param standing whether it is weighed, still to come, or said not to be taken off
 */
public record TallyLine(
    String id,
    String kin,
    Optional<Mass> mass,
    Optional<Mass> expected,
    Mass spread,
    Input input,
    Mass step,
    Optional<TypedMass> figure,
    Optional<Tray> tray,
    Standing standing) {

  /** How a figure came into the tally. */
  public enum Input {
    /** Off the scale: its digits cannot be swapped nor its point slip. */
    SCALE,
    /** Typed by hand. */
    TYPED,
    /** Nobody knows. */
    UNKNOWN
  }

  /** Where a part stands. */
  public enum Standing {
    /** It has a figure. */
    WEIGHED,
    /** It has none yet and will get one. */
    TO_COME,
    /** It has none and the tally counts as complete without it. */
    LEFT_OUT
  }

  /** Refuses a weighed entry without mass, another with one, and a negative spread. */
  public TallyLine {
    Check.text(id, "id");
    Check.text(kin, "kin");
    Check.that(
        mass.isPresent() == (standing == Standing.WEIGHED),
        "Expected a mass exactly where '%s' is weighed, found %s".formatted(id, standing));
    Check.that(!spread.isNegative(), "Expected a spread from 0 g, found ", spread);
    Check.that(step.isPositive(), "Expected a step above 0 g, found ", step);
    Check.notNull(expected, "expected");
    Check.notNull(input, "input");
    Check.notNull(figure, "figure");
    Check.notNull(tray, "tray");
  }

  /**
   * An entry of which nobody knows what was typed.
   *
   * @param id its identifier
   * @param kin the kin of the part
   * @param mass what was written down, if it was
   * @param expected what the norm expects, if there is one
   * @param spread the standard deviation of that
   * @param input how the figure came in
   * @param step how fine the figure is
   * @param tray the tray that was chosen, if one was
   * @param standing where the part stands
   */
  public TallyLine(
      String id,
      String kin,
      Optional<Mass> mass,
      Optional<Mass> expected,
      Mass spread,
      Input input,
      Mass step,
      Optional<Tray> tray,
      Standing standing) {
    this(id, kin, mass, expected, spread, input, step, Optional.empty(), tray, standing);
  }

  /**
   * Makes a weighed entry.
   *
   * @param id its identifier
   * @param kin the kin of the part
   * @param mass what was written down
   * @param norm what the norm expects
   * @param spread the standard deviation of that
   * @param step the step of the display
   * @return the entry, off the scale, without tray
   */
  public static TallyLine ofScale(
      String id, String kin, Mass mass, Mass norm, Mass spread, Mass step) {
    return new TallyLine(
        id,
        kin,
        Optional.of(mass),
        Optional.of(norm),
        spread,
        Input.SCALE,
        step,
        Optional.empty(),
        Standing.WEIGHED);
  }

  /**
   * Returns the same entry as typed by hand, in kilograms with three decimals.
   *
   * @return the entry
   */
  public TallyLine typed() {
    return typed(
        TypedMass.of(
            mass.orElse(Mass.ZERO).in(MassUnit.KILOGRAM, 3, RoundingMode.HALF_UP).toPlainString(),
            MassUnit.KILOGRAM));
  }

  /**
   * Returns the same entry as typed by hand.
   *
   * @param how what was typed
   * @return the entry, as fine as its last digit
   */
  public TallyLine typed(TypedMass how) {
    return new TallyLine(
        id, kin, mass, expected, spread, Input.TYPED, how.step(), Optional.of(how), tray, standing);
  }

  /**
   * Returns the same entry on a tray.
   *
   * @param chosen the tray that was chosen
   * @return the entry
   */
  public TallyLine on(Tray chosen) {
    return with(input, figure, Optional.of(chosen));
  }

  /**
   * Returns the same entry with nothing known of how it came in: it may have been typed or read
   * off.
   *
   * @return the entry, neither tray nor input known
   */
  public TallyLine unknown() {
    TallyLine typed = standing == Standing.WEIGHED ? typed() : this;
    return with(Input.UNKNOWN, typed.figure(), Optional.empty());
  }

  private TallyLine with(Input newInput, Optional<TypedMass> newFigure, Optional<Tray> newTray) {
    return new TallyLine(
        id, kin, mass, expected, spread, newInput, step, newFigure, newTray, standing);
  }
}
