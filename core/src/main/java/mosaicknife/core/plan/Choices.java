package mosaicknife.core.plan;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.plan.CuttingOption.Trait;

/**
 * Which answer was given to which option; a option without one takes its usual answer.
 *
 * @param byOption the code of the choice, by the code of the option
 */
public record Choices(Map<String, String> byOption) {

  /** Every option its usual answer. */
  public static final Choices USUAL = new Choices(Map.of());

  /** What a fish becomes that is neither served whole nor in cuts as a dish asks for them. */
  private static final List<Trait> OTHER_THAN_CUTS =
      List.of(Trait.BONED_WHOLE, Trait.STEAKS, Trait.BUTTERFLIED, Trait.PASTE);

  /** Copies the map. */
  public Choices {
    byOption = Map.copyOf(byOption);
  }

  /**
   * Returns the answer to a option.
   *
   * @param option the option, with the choices that apply
   * @return the choice; the usual one if none was made or the one made does not apply
   */
  public CuttingOption.Choice in(CuttingOption option) {
    return Optional.ofNullable(byOption.get(option.code()))
        .flatMap(option::find)
        .orElse(option.usual());
  }

  /**
   * Returns the answers that meet what a dish asks of its cuts: the house's answers where they do,
   * else the answer that does. Where a fish does not ask the question, it has no answer, and its
   * cuts are as its norms count them.
   *
   * @param specification how far the cuts are worked
   * @param whole whether the fish is served whole
   * @param options the options the fish asks about
   * @return the answers
   */
  public Choices meeting(Specification specification, boolean whole, List<CuttingOption> options) {
    boolean boneless = !whole && specification.isBoneless();
    Choices met = with(Trait.SERVED_WHOLE, whole, options);
    if (!whole) {
      for (Trait other : OTHER_THAN_CUTS) {
        met = met.with(other, false, options);
      }
    }
    met = met.with(Trait.SKIN_OFF, !whole && specification.isSkinned(), options);
    met = met.with(Trait.SQUARED, !whole && specification.isSquared(), options);
    if (boneless && met.are(Trait.RIBS_WITH_PIN_BONES, options)) {
      return met;
    }
    if (boneless && !met.are(Trait.PIN_BONES_PULLED, options)) {
      return met.with(Trait.PIN_BONES_CUT, true, options);
    }
    return met.with(Trait.PIN_BONES_IN, !boneless, options);
  }

  /** Takes the answer that has a trait, or leaves it for the first one that has not. */
  private Choices with(Trait trait, boolean wanted, List<CuttingOption> options) {
    for (CuttingOption option : options) {
      boolean asked = option.choices().stream().anyMatch(c -> c.traits().contains(trait));
      if (asked && in(option).traits().contains(trait) != wanted) {
        return option.choices().stream()
            .filter(choice -> choice.traits().contains(trait) == wanted)
            .findFirst()
            .map(choice -> with(option.code(), choice.code()))
            .orElse(this);
      }
    }
    return this;
  }

  /**
   * Returns whether a fish is cut so that a trait holds.
   *
   * @param trait the trait
   * @param options the options the fish asks about
   * @return true if the answer to one of them has it
   */
  public boolean are(CuttingOption.Trait trait, List<CuttingOption> options) {
    return options.stream().anyMatch(option -> in(option).traits().contains(trait));
  }

  /**
   * Returns the same answers with one changed.
   *
   * @param option the code of the option
   * @param choice the code of the choice
   * @return the answers
   */
  public Choices with(String option, String choice) {
    Map<String, String> changed = new LinkedHashMap<>(byOption);
    changed.put(option, choice);
    return new Choices(changed);
  }

  /**
   * Returns the same answers over others: what is not answered here is taken from there.
   *
   * @param base the others
   * @return the answers
   */
  public Choices over(Choices base) {
    Map<String, String> all = new LinkedHashMap<>(base.byOption);
    all.putAll(byOption);
    return new Choices(all);
  }
}
