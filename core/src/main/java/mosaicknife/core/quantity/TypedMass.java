package mosaicknife.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * A mass exactly as somebody typed it, and what else the same slip of a finger may have meant: two
 * digits exchanged in the text itself, the point moved, a number without a unit read in another.
 *
 * @param text what was typed; it can be read as a mass
 * @param bareUnit the unit a number without one was read in
 * @param step how fine the figure is: one of its last digit, in its own unit, such as 1 g for
 *     {@code 1.318} kg or 2.835 g for {@code 46.5 oz}
 */
public record TypedMass(String text, MassUnit bareUnit, Mass step) {

  /** Refuses what is missing. */
  public TypedMass {
    Check.text(text, "typed mass");
    Check.notNull(bareUnit, "unit");
    Check.that(step.isPositive(), "Expected a step above 0 g, found ", step);
  }

  /**
   * Finds how a text was read, from the mass that was understood.
   *
   * @param text what was typed
   * @param mass what was understood
   * @return the text with its unit; empty if it gives that mass in no unit
   */
  public static Optional<TypedMass> find(String text, Mass mass) {
    for (MassUnit unit : MassUnit.values()) {
      Optional<MassText> read = parsed(text, unit).filter(found -> found.mass().equals(mass));
      if (read.isPresent()) {
        return Optional.of(new TypedMass(text, unit, read.get().step()));
      }
    }
    return Optional.empty();
  }

  /**
   * Reads a text as a mass.
   *
   * @param text what was typed
   * @param bareUnit the unit of a number without one
   * @return the text with its unit
   * @throws QuantityFormatException if it is no mass above zero
   */
  public static TypedMass of(String text, MassUnit bareUnit) {
    return new TypedMass(text, bareUnit, MassText.parse(text, bareUnit).step());
  }

  private static Optional<Mass> read(String text, MassUnit unit) {
    return parsed(text, unit).map(MassText::mass);
  }

  private static Optional<MassText> parsed(String text, MassUnit unit) {
    try {
      return Optional.of(MassText.parse(text, unit));
    } catch (QuantityFormatException e) {
      return Optional.empty();
    }
  }

  /**
   * Returns how fine a figure is of which only the mass is known: the coarsest of the usual steps
   * it lies on.
   *
   * @param mass the mass
   * @return 2 g, 1 g, 0.1 lb, 0.01 lb or 0.1 oz
   */
  public static Mass stepOf(Mass mass) {
    for (String grams : List.of("2", "1")) {
      Mass step = Mass.of(new BigDecimal(grams), MassUnit.GRAM, RoundingMode.HALF_EVEN);
      if (mass.milligrams() % step.milligrams() == 0) {
        return step;
      }
    }
    for (String pounds : List.of("0.1", "0.01", "0.00625")) {
      BigDecimal step = new BigDecimal(pounds).multiply(MassUnit.POUND.milligrams());
      double steps = mass.milligrams() / step.doubleValue();
      if (Math.abs(steps - Math.rint(steps)) * step.doubleValue() < 1) {
        return Mass.of(new BigDecimal(pounds), MassUnit.POUND, RoundingMode.HALF_EVEN);
      }
    }
    return Mass.ofGrams(1);
  }

  /**
   * Returns whether the number was typed without a unit.
   *
   * @return true if no unit stands in the text
   */
  public boolean isBare() {
    return text.chars().noneMatch(Character::isLetter);
  }

  /**
   * Returns what a number without unit would be in another one.
   *
   * @param unit the other unit
   * @return the mass; empty if a unit was typed, or it was read in this one
   */
  public Optional<Mass> readAs(MassUnit unit) {
    return isBare() && unit != bareUnit ? read(text, unit) : Optional.empty();
  }

  /**
   * Returns what was to be typed if two neighbouring digits changed places.
   *
   * @return the masses, each once, without the one that was typed
   */
  public List<Mass> digitsSwapped() {
    Optional<Mass> own = read(text, bareUnit);
    Set<Mass> masses = new LinkedHashSet<>();
    for (int i = 0; i < text.length(); i++) {
      int next = nextDigit(i);
      if (next > 0 && text.charAt(i) != text.charAt(next)) {
        char[] digits = text.toCharArray();
        digits[i] = text.charAt(next);
        digits[next] = text.charAt(i);
        read(new String(digits), bareUnit)
            .filter(mass -> !own.equals(Optional.of(mass)))
            .ifPresent(masses::add);
      }
    }
    return List.copyOf(masses);
  }

  /** The digit after this one, over a point at most; -1 if there is none. */
  private int nextDigit(int i) {
    if (!Character.isDigit(text.charAt(i))) {
      return -1;
    }
    int next = i + 1;
    if (next < text.length() && ".,".indexOf(text.charAt(next)) >= 0) {
      next++;
    }
    return next < text.length() && Character.isDigit(text.charAt(next)) ? next : -1;
  }

  /**
   * Returns what was to be typed if the point stands one place off.
   *
   * @param finest how fine the finest figure beside it is: nobody types digits no scale shows
   * @return ten times the mass, and a tenth of it where that is not finer; nothing for pounds and
   *     ounces, which have two numbers
   */
  public List<Mass> pointMoved(Mass finest) {
    Mass own = read(text, bareUnit).orElse(Mass.ZERO);
    boolean two = text.matches(".*\\d\\s*[a-zA-Z]+\\.?\\s*,?\\s*\\d.*");
    List<Mass> masses = new ArrayList<>();
    if (!two && own.isPositive()) {
      masses.add(own.multipliedBy(10));
      Mass tenth = own.multipliedBy(Fraction.of(1, 10), RoundingMode.HALF_EVEN);
      double steps = tenth.milligrams() / (double) finest.milligrams();
      boolean shown = Math.abs(steps - Math.rint(steps)) < 0.01;
      if (tenth.isPositive() && shown) {
        masses.add(tenth);
      }
    }
    return masses;
  }
}
