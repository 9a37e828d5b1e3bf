package mosaicknife.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.Stage;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;
import mosaicknife.core.quantity.Mass;

/**
 * What must be done before the first cut, and why, from what each part becomes in the end: scale
 * here but not there, eyes out, gills out before the night.
 */
public final class PreWork {

  /** From here two people lift and turn; a house may think otherwise. */
  private static final Mass HEAVY = Mass.ofKilograms("12");

  private final Question question;
  private final List<Item> items = new ArrayList<>();

  private PreWork(Question question) {
    this.question = question;
  }

  /**
   * One thing to do, or not to.
   *
   * @param part the part it is about; {@code Fish} for the whole
   * @param what what to do
   * @param why the reason
   * @param kind whether it is work, work that can be left, or a caution
   */
  public record Item(String part, String what, String why, Kind kind) {}

  /** What sort of remark it is. */
  public enum Kind {
    /** Do it. */
    DO,
    /** Leave it: the final use does not need it. */
    LEAVE,
    /** Be careful. */
    CARE
  }

  /**
   * A part with what it will be.
   *
   * @param kind its kind
   * @param name its name on screen
   * @param purpose what it is for; empty while that is open
   */
  public record Fate(PartKind kind, String name, Optional<Purpose> purpose) {}

  /**
   * A lot before it is cut.
   *
   * @param species the species
   * @param state the state it came in
   * @param fish how many fish
   * @param heaviest the mass of one fish
   * @param choices the answers to the options
   * @param fates what its parts will be
   */
  public record Question(
      Species species, State state, int fish, Mass heaviest, Choices choices, List<Fate> fates) {

    /** Copies the fates. */
    public Question {
      Check.notNull(species, "species");
      Check.inRange(fish, 1, 10_000, "number of fish");
      fates = List.copyOf(fates);
    }

    private boolean chose(CuttingOption.Trait trait) {
      return choices.are(trait, CuttingOptions.of(species, state));
    }
  }

  /**
   * Lists the pre-work.
   *
   * @param question the lot
   * @return what to do in the order of the work
   */
  public static List<Item> of(Question question) {
    PreWork work = new PreWork(question);
    work.lifting();
    work.inside();
    work.scaling();
    work.head();
    work.fins();
    work.belly();
    work.flesh();
    work.knife();
    return List.copyOf(work.items);
  }

  private void lifting() {
    boolean heavy = question.heaviest().compareTo(HEAVY) >= 0 || has(Trait.HEAVY) && isOver("8");
    if (heavy) {
      care(
          "Fish",
          "Two people lift and turn it, with flat hands.",
          "Fingertips tear the flesh, and backs.");
    }
    if (has(Trait.HISTAMINE)) {
      care(
          "Fish",
          "Back on ice between the sides.",
          "Histamine forms in warm fish and no heat destroys it. Your local code decides.");
    }
  }

  private void inside() {
    boolean later = question.chose(CuttingOption.Trait.GUTTED_LATER);
    if (question.state().stillHas(Stage.GUTTING) && isThere(PartKind.Trait.GUTS)) {
      if (later) {
        care(
            "Guts",
            "Gut it when it is cut, and cut it today.",
            "Guts and blood spoil the taste overnight.");
      } else {
        act(
            "Guts",
            "Gut it now, and dry the belly with paper.",
            "Guts spoil the taste overnight; wet flesh spoils sooner.");
      }
    }
    if (question.state().stillHas(Stage.GILLING) && isThere(PartKind.Trait.GILLS)) {
      boolean pot =
          goesTo(PartKind.Trait.HEAD, Purpose.POT) || goesTo(PartKind.Trait.BODY, Purpose.POT);
      act(
          "Gills",
          "Gills out before the night.",
          pot
              ? "The head goes to the pot, and gills never do: bitter and cloudy."
              : "They spoil the taste, and come out in one pull with the guts.");
    }
    if (goesTo(PartKind.Trait.FRAME, Purpose.POT)
        || goesTo(PartKind.Trait.FRAME, Purpose.SECOND_PLATE)) {
      act("Frame", "Wash the spine blood off.", "Blood clouds the stock and turns it bitter.");
    }
  }

  private void scaling() {
    Eating eating = question.species().eating();
    if (eating.scales() == Eating.Scales.NONE) {
      return;
    }
    boolean skinOff = question.chose(CuttingOption.Trait.SKIN_OFF);
    boolean skinEaten =
        goesTo(PartKind.Trait.SKIN, Purpose.SECOND_PLATE)
            || goesTo(PartKind.Trait.SKIN, Purpose.PLATE);
    boolean scraped = question.species().plan().traits().contains(BodyPlan.Trait.SCRAPED);
    boolean skinServed = eating.skin() != Eating.Skin.NO;
    boolean skinOn = skinServed && !skinOff && !isThere(PartKind.Trait.SKIN) && hasMains();
    String how = eating.scales() == Eating.Scales.MANY ? " In a bag or under water." : "";
    if (skinOn) {
      act(
          "Fish",
          "Scale it." + how,
          "The skin is eaten; scales in the cut count as yield that is not there.");
    } else if (skinEaten) {
      act("Skin", "Scale it before it comes off." + how, "The skin is fried or dried.");
    } else if (scraped) {
      act(
          "Fish",
          "Scale it although it is skinned." + how,
          "The flesh will be scraped, and scales would come along.");
    } else {
      leave("Fish", "No need to scale the sides.", "They are skinned and the skin is not eaten.");
    }
    if (isThere(PartKind.Trait.COLLAR) && isEaten(PartKind.Trait.COLLAR)) {
      act(
          "Collars",
          "Scale them, and keep the fin as a handle.",
          "They are grilled or fried with the skin on.");
    }
  }

  private void head() {
    if (!question.state().stillHas(Stage.HEADING) || !isThere(PartKind.Trait.HEAD)) {
      return;
    }
    boolean scales = question.species().eating().scales() != Eating.Scales.NONE;
    boolean white = question.species().eating().flesh() == Eating.Flesh.WHITE;
    if (isEaten(PartKind.Trait.HEAD)) {
      boolean meat = question.heaviest().compareTo(question.species().eating().headFrom()) >= 0;
      if (scales) {
        act("Head", "Scale it.", "The head is eaten.");
      }
      if (!meat) {
        care(
            "Head",
            "Small for a plate: think of the pot.",
            "A fish of this size has little meat to pick.");
      }
    } else if (goesTo(PartKind.Trait.HEAD, Purpose.POT)) {
      if (scales) {
        leave("Head", "No need to scale it.", "It goes to the pot.");
      }
      if (white) {
        act(
            "Head",
            "Eyes out.",
            "They cloud a white stock and turn it bitter. Some soak long and leave them.");
      } else {
        care("Head", "Oily fish makes poor stock.", "Soup or compost may be the better end.");
      }
    }
  }

  private void fins() {
    if (goesTo(PartKind.Trait.WHOLE_FISH, Purpose.PLATE)) {
      act(
          "Fins",
          "Trim all but the first spine of back and anal fin.",
          "Pulled out easily after roasting, they say it is done.");
    } else if (has(Trait.SPINES)) {
      act(
          "Fins",
          "Clip the spines first.",
          "They go through gloves, and wounds by them heal badly.");
    }
  }

  private void belly() {
    if (isThere(PartKind.Trait.BELLY) && isEaten(PartKind.Trait.BELLY)) {
      act("Belly", "Wipe or trim the dark lining.", "It is bitter, and the belly is eaten.");
    }
  }

  private void flesh() {
    if (question.chose(CuttingOption.Trait.PIN_BONES_PULLED)) {
      act(
          "Fillets",
          "Lay out tweezers and a bowl of water.",
          "Pin bones are pulled with the grain, gently.");
    } else if (question.chose(CuttingOption.Trait.PIN_BONES_IN)) {
      care("Fillets", "Tell the pass: bones inside.", "The pin bones stay in.");
    }
    if (has(Trait.PARASITES) && hasMains()) {
      care(
          "Fillets",
          "Look at them against the light.",
          "Parasites; never raw without the freezing your local code asks for.");
    }
  }

  private void knife() {
    boolean thin =
        has(Trait.THIN_SKIN)
            || question.species().plan().traits().contains(BodyPlan.Trait.THIN_SKIN);
    if (thin && question.fish() > 1) {
      act("Knife", "Sharpen between fish.", "Thin skin tears under a dull edge.");
    } else if (question.fish() > 3) {
      act(
          "Knife",
          "Touch up the edge every few fish; rinse board and knife.",
          "The harder the bone, the more a knife suffers; scales and slime travel.");
    }
    if (thin) {
      act("Fillets", "Halve them before skinning.", "A short piece of thin skin tears less.");
    }
    care("Hands", "Cut-resistant glove on the holding hand.", "Wet fish slips.");
  }

  // ---- what the parts become ------------------------------------------------------------------

  private boolean isThere(PartKind.Trait kind) {
    return question.fates().stream().anyMatch(fate -> fate.kind().is(kind));
  }

  private boolean goesTo(PartKind.Trait kind, Purpose purpose) {
    return purposes(kind).contains(purpose);
  }

  private boolean isEaten(PartKind.Trait kind) {
    return purposes(kind).stream().anyMatch(Purpose::isServed);
  }

  private boolean hasMains() {
    return question.fates().stream()
        .anyMatch(f -> f.purpose().filter(Purpose.PLATE::equals).isPresent());
  }

  private Set<Purpose> purposes(PartKind.Trait kind) {
    Set<Purpose> purposes = EnumSet.noneOf(Purpose.class);
    question.fates().stream()
        .filter(fate -> fate.kind().is(kind))
        .forEach(fate -> fate.purpose().ifPresent(purposes::add));
    return purposes;
  }

  private boolean has(Trait... traits) {
    return Arrays.stream(traits).anyMatch(question.species().traits()::contains);
  }

  private boolean isOver(String kilograms) {
    return question.heaviest().compareTo(Mass.ofKilograms(kilograms)) > 0;
  }

  private void act(String part, String what, String why) {
    items.add(new Item(part, what, why, Kind.DO));
  }

  private void leave(String part, String what, String why) {
    items.add(new Item(part, what, why, Kind.LEAVE));
  }

  private void care(String part, String what, String why) {
    items.add(new Item(part, what, why, Kind.CARE));
  }
}
