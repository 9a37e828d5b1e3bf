package mosaicknife.core.anatomy;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.check.Check;

/**
 * A way in which fish are built, and so cut: which parts exist, in which order they come off, and
 * what the fish looks like.
 *
 * @param code the lasting identifier, such as {@code round-bodied}
 * @param name the name on screen
 * @param special what is special about cutting it, one line
 * @param slots the parts in cutting order
 * @param thickness how thick one side is along the body; with the drawing it makes the mass profile
 * @param work how long one takes to break
 * @param traits what rules ask of a plan, instead of its code
 * @param drawing the drawing
 */
public record BodyPlan(
    String code,
    String name,
    String special,
    List<PartSlot> slots,
    Thickness thickness,
    Work work,
    Set<Trait> traits,
    Drawing drawing) {

  /** What a rule may ask of a plan. */
  public enum Trait {
    /** Its flesh is scraped off the skin. */
    SCRAPED,
    /** Its skin tears. */
    THIN_SKIN,
    /** Long and thin: it weighs little for its length. */
    LONG
  }

  /** Refuses a plan without parts, two slots of one code, or a region of an unknown slot. */
  public BodyPlan {
    Check.text(code, "code");
    Check.text(name, "name");
    Check.text(special, "special");
    slots = List.copyOf(Check.notEmpty(slots, "slots"));
    Check.notNull(thickness, "thickness");
    Check.notNull(work, "work");
    traits = Set.copyOf(traits);
    List<String> codes = slots.stream().map(PartSlot::code).toList();
    Check.that(
        codes.stream().distinct().count() == codes.size(),
        "Expected each slot of plan '" + code + "' once, found ",
        codes);
    drawing.views().stream()
        .flatMap(view -> view.regions().stream())
        .forEach(
            region ->
                Check.that(
                    codes.contains(region.slot()),
                    "Expected a slot of plan '%s', found region '%s'"
                        .formatted(code, region.slot())));
  }

  /**
   * Finds a slot by its code.
   *
   * @param slotCode the code
   * @return the slot, or empty if the plan has none of that code
   */
  public Optional<PartSlot> findSlot(String slotCode) {
    return slots.stream().filter(slot -> slot.code().equals(slotCode)).findFirst();
  }
}
