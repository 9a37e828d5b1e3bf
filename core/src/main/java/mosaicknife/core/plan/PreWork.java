package mosaicknife.core.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.Hazard;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Species.Trait;
import mosaicknife.core.anatomy.Stage;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.check.Check;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.finding.Keyed;
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

  /**
   * Returns whether a part has no scales any more by what was done before the first cut.
   *
   * @param done what was done
   * @param kind the kind of the part
   * @return true if the whole fish was scaled, or this part
   */
  public static boolean isScaled(Set<Task> done, PartKind kind) {
    return done.contains(Task.SCALE)
        || done.contains(Task.SCALE_FOR_SCRAPING)
        || kind.is(PartKind.Trait.SKIN) && done.contains(Task.SCALE_THE_SKIN)
        || kind.is(PartKind.Trait.COLLAR) && done.contains(Task.SCALE_THE_COLLARS)
        || kind.is(PartKind.Trait.HEAD) && done.contains(Task.SCALE_THE_HEAD);
  }

  private PreWork(Question question) {
    this.question = question;
  }

  /**
   * One thing to do, or not to.
   *
   * @param place the part it is about
   * @param what what to do
   * @param kind whether it is work, work that can be left, or a caution
   */
  public record Item(Place place, Finding what, Kind kind) {

    /**
     * Returns why.
     *
     * @return the reason
     */
    public Keyed why() {
      return () -> what.key() + ".why";
    }
  }

  /** What a piece of pre-work is about. */
  public enum Place {
    /** The whole fish. */
    FISH,
    /** The guts. */
    GUTS,
    /** The gills. */
    GILLS,
    /** The frame. */
    FRAME,
    /** The skin. */
    SKIN,
    /** The collars. */
    COLLARS,
    /** The head. */
    HEAD,
    /** The fins. */
    FINS,
    /** The belly. */
    BELLY,
    /** The fillets. */
    FILLETS,
    /** The knife. */
    KNIFE,
    /** The hands. */
    HANDS
  }

  /** What is done or left; each has its reason beside it in the words. */
  public enum Task {
    /** Two people lift it. */
    LIFT_TOGETHER,
    /** Back on ice between the sides. */
    BACK_ON_ICE,
    /** Gutted when it is cut. */
    GUT_AT_THE_CUT,
    /** Gutted at once. */
    GUT_NOW,
    /** Gills out, because the head goes to the pot. */
    GILLS_OUT_FOR_THE_POT,
    /** Gills out. */
    GILLS_OUT,
    /** Clotted blood out of the back of a head that goes to the pot. */
    BLOOD_OUT_OF_THE_HEAD,
    /** Spine blood washed off. */
    WASH_THE_SPINE,
    /** Scaled, because the skin is eaten: 1 for many scales, 0 for few. */
    SCALE,
    /** Skin scaled before it comes off: 1 for many scales, 0 for few. */
    SCALE_THE_SKIN,
    /** Scaled although it is skinned: 1 for many scales, 0 for few. */
    SCALE_FOR_SCRAPING,
    /** Not scaled. */
    NO_SCALING,
    /** Collars scaled. */
    SCALE_THE_COLLARS,
    /** Head scaled. */
    SCALE_THE_HEAD,
    /** A head too small for a plate. */
    SMALL_HEAD,
    /** Head not scaled. */
    HEAD_UNSCALED,
    /** Eyes out. */
    EYES_OUT,
    /** An oily head in the pot. */
    OILY_HEAD,
    /** Fins trimmed but two spines. */
    TRIM_THE_FINS,
    /** Spines clipped. */
    CLIP_THE_SPINES,
    /** Dark lining off. */
    WIPE_THE_LINING,
    /** Tweezers ready. */
    TWEEZERS,
    /** The pass is told of bones. */
    BONES_INSIDE,
    /** A large fish of warm reefs: ask for the water. */
    ASK_FOR_THE_WATER,
    /** Fillets held against the light. */
    LIGHT,
    /** Sharpened between fish. */
    SHARPEN_BETWEEN,
    /** Edge touched up every few fish. */
    TOUCH_UP,
    /** Fillets halved before skinning. */
    HALVE,
    /** Glove on the holding hand. */
    GLOVE
  }

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
  public record PartFate(PartKind kind, String name, Optional<Purpose> purpose) {}

  /**
   * A lot before it is cut.
   *
   * @param species the species
   * @param state the state it came in
   * @param fish how many fish
   * @param heaviest the mass of one fish
   * @param scaled whether it came without its scales
   * @param choices the answers to the options
   * @param fates what its parts will be
   */
  public record Question(
      Species species,
      State state,
      int fish,
      Mass heaviest,
      boolean scaled,
      Choices choices,
      List<PartFate> fates) {

    /** A lot in its scales. */
    public Question(
        Species species,
        State state,
        int fish,
        Mass heaviest,
        Choices choices,
        List<PartFate> fates) {
      this(species, state, fish, heaviest, false, choices, fates);
    }

    /** Copies the fates. */
    public Question {
      Check.notNull(species, "species");
      Check.inRange(fish, 1, 10_000, "number of fish");
      fates = List.copyOf(fates);
    }

    private boolean chose(CuttingOption.Trait trait) {
      return choices.are(trait, CuttingOptions.of(species, state, choices));
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
      care(Place.FISH, Task.LIFT_TOGETHER);
    }
    if (has(Trait.HISTAMINE)) {
      care(Place.FISH, Task.BACK_ON_ICE);
    }
    boolean reef =
        Hazard.in(question.species(), Hazard.WHOLE).stream()
            .filter(one -> one.kind() == Hazard.Kind.REEF_FLESH)
            .anyMatch(
                one ->
                    one.from()
                        .filter(from -> question.heaviest().compareTo(from) >= 0)
                        .isPresent());
    if (reef) {
      care(Place.FISH, Task.ASK_FOR_THE_WATER);
    }
  }

  private void inside() {
    boolean later = question.chose(CuttingOption.Trait.GUTTED_LATER);
    if (question.state().stillHas(Stage.GUTTING) && isThere(PartKind.Trait.GUTS)) {
      if (later) {
        care(Place.GUTS, Task.GUT_AT_THE_CUT);
      } else {
        act(Place.GUTS, Task.GUT_NOW);
      }
    }
    if (question.state().stillHas(Stage.GILLING) && isThere(PartKind.Trait.GILLS)) {
      boolean pot =
          goesTo(PartKind.Trait.HEAD, Purpose.POT) || goesTo(PartKind.Trait.BODY, Purpose.POT);
      act(Place.GILLS, pot ? Task.GILLS_OUT_FOR_THE_POT : Task.GILLS_OUT);
    }
    if (goesTo(PartKind.Trait.FRAME, Purpose.POT)
        || goesTo(PartKind.Trait.FRAME, Purpose.SECOND_PLATE)) {
      act(Place.FRAME, Task.WASH_THE_SPINE);
    }
  }

  private void scaling() {
    Eating eating = question.species().eating();
    if (eating.scales() == Eating.Scales.NONE || question.scaled()) {
      return;
    }
    boolean skinOff = question.chose(CuttingOption.Trait.SKIN_OFF);
    boolean skinEaten =
        goesTo(PartKind.Trait.SKIN, Purpose.SECOND_PLATE)
            || goesTo(PartKind.Trait.SKIN, Purpose.PLATE);
    boolean scraped = question.species().plan().traits().contains(BodyPlan.Trait.SCRAPED);
    boolean skinServed = eating.skin() != Eating.Skin.NO;
    boolean skinOn = skinServed && !skinOff && !isThere(PartKind.Trait.SKIN) && hasMains();
    int many = eating.scales() == Eating.Scales.MANY ? 1 : 0;
    if (skinOn) {
      act(Place.FISH, Task.SCALE, many);
    } else if (skinEaten) {
      act(Place.SKIN, Task.SCALE_THE_SKIN, many);
    } else if (scraped) {
      act(Place.FISH, Task.SCALE_FOR_SCRAPING, many);
    } else {
      leave(Place.FISH, Task.NO_SCALING);
    }
    if (isThere(PartKind.Trait.COLLAR) && isEaten(PartKind.Trait.COLLAR)) {
      act(Place.COLLARS, Task.SCALE_THE_COLLARS);
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
        act(Place.HEAD, Task.SCALE_THE_HEAD);
      }
      if (!meat) {
        care(Place.HEAD, Task.SMALL_HEAD);
      }
    } else if (goesTo(PartKind.Trait.HEAD, Purpose.POT)) {
      if (scales) {
        leave(Place.HEAD, Task.HEAD_UNSCALED);
      }
      act(Place.HEAD, Task.BLOOD_OUT_OF_THE_HEAD);
      if (white) {
        act(Place.HEAD, Task.EYES_OUT);
      } else {
        care(Place.HEAD, Task.OILY_HEAD);
      }
    }
  }

  private void fins() {
    if (goesTo(PartKind.Trait.WHOLE_FISH, Purpose.PLATE)) {
      act(Place.FINS, Task.TRIM_THE_FINS);
    } else if (has(Trait.SPINES)) {
      act(Place.FINS, Task.CLIP_THE_SPINES);
    }
  }

  private void belly() {
    if (isThere(PartKind.Trait.BELLY) && isEaten(PartKind.Trait.BELLY)) {
      act(Place.BELLY, Task.WIPE_THE_LINING);
    }
  }

  private void flesh() {
    if (question.chose(CuttingOption.Trait.PIN_BONES_PULLED)) {
      act(Place.FILLETS, Task.TWEEZERS);
    } else if (question.chose(CuttingOption.Trait.PIN_BONES_IN)) {
      care(Place.FILLETS, Task.BONES_INSIDE);
    }
    if (has(Trait.PARASITES) && hasMains()) {
      care(Place.FILLETS, Task.LIGHT);
    }
  }

  private void knife() {
    boolean thin =
        has(Trait.THIN_SKIN)
            || question.species().plan().traits().contains(BodyPlan.Trait.THIN_SKIN);
    if (thin && question.fish() > 1) {
      act(Place.KNIFE, Task.SHARPEN_BETWEEN);
    } else if (question.fish() > 3) {
      act(Place.KNIFE, Task.TOUCH_UP);
    }
    if (thin) {
      act(Place.FILLETS, Task.HALVE);
    }
    care(Place.HANDS, Task.GLOVE);
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

  private void act(Place place, Task task, Object... figures) {
    add(place, Kind.DO, task, figures);
  }

  private void leave(Place place, Task task) {
    add(place, Kind.LEAVE, task);
  }

  private void care(Place place, Task task) {
    add(place, Kind.CARE, task);
  }

  private void add(Place place, Kind kind, Task task, Object... figures) {
    items.add(new Item(place, Finding.of(task, figures), kind));
  }
}
