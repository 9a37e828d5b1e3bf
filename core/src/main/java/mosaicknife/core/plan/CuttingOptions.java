package mosaicknife.core.plan;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.ReferenceFile;
import mosaicknife.core.anatomy.ReferenceFile.Line;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Side;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.plan.CuttingOption.Aim;
import mosaicknife.core.plan.CuttingOption.Choice;
import mosaicknife.core.plan.CuttingOption.Portion;
import mosaicknife.core.plan.CuttingOption.Shift;

/** The options that ship with the product, and which of them a fish asks about. */
public final class CuttingOptions {

  /** Stands for every main cut in a shift. */
  public static final String MAIN = "main";

  private static final List<CuttingOption> SHIPPED = read();

  private CuttingOptions() {}

  /**
   * Returns all options.
   *
   * @return the options in the order of the work
   */
  public static List<CuttingOption> shipped() {
    return SHIPPED;
  }

  /**
   * Returns the options a fish asks about: those with at least two choices that are for its body
   * plan and have something to take from in the state it is in.
   *
   * @param species the species
   * @param state the state it is bought in
   * @return the options with the choices that apply
   */
  public static List<CuttingOption> of(Species species, State state) {
    List<PartSlot> slots = species.sharesIn(state).stream().map(Share::slot).toList();
    List<CuttingOption> asked = new ArrayList<>();
    for (CuttingOption option : SHIPPED) {
      List<Choice> choices =
          option.choices().stream()
              .filter(choice -> isFor(choice, species.plan()) && applies(choice, slots))
              .toList();
      if (choices.size() > 1 && option.asked().holds(species, state)) {
        asked.add(option.withChoices(choices));
      }
    }
    return List.copyOf(asked);
  }

  /**
   * Returns the questions that are left once those before them are answered: nobody asks after the
   * ribs of a fish that is served whole.
   *
   * @param species the species
   * @param state the state it is bought in
   * @param choices the answers
   * @return the options with the choices that apply
   */
  public static List<CuttingOption> of(Species species, State state, Choices choices) {
    Set<CuttingOption.Trait> answered = EnumSet.noneOf(CuttingOption.Trait.class);
    List<CuttingOption> asked = new ArrayList<>();
    for (CuttingOption option : of(species, state)) {
      if (option.silencedBy().stream().noneMatch(answered::contains)) {
        asked.add(option);
        answered.addAll(choices.in(option).traits());
      }
    }
    return List.copyOf(asked);
  }

  /**
   * Returns the routes by which fish of a body plan are broken.
   *
   * @param plan the body plan
   * @return the routes, the usual one first
   */
  public static List<Choice> routesOf(BodyPlan plan) {
    return SHIPPED.get(0).choices().stream().filter(choice -> isFor(choice, plan)).toList();
  }

  private static boolean isFor(Choice choice, BodyPlan plan) {
    return choice.plans().isEmpty() || choice.plans().contains(plan.code());
  }

  /** All that new parts are made of must be there, and something of what else is moved. */
  private static boolean applies(Choice choice, List<PartSlot> slots) {
    List<Shift> shifts = choice.shifts();
    return (shifts.isEmpty() || shifts.stream().anyMatch(shift -> hasAny(slots, shift.from())))
        && shifts.stream()
            .filter(shift -> shift.purpose().isPresent())
            .allMatch(shift -> hasAny(slots, shift.from()))
        && shifts.stream()
            .allMatch(shift -> isMade(shift.to(), choice) || hasAny(slots, shift.to()));
  }

  private static boolean isMade(String part, Choice choice) {
    return part.equals(MAIN)
        || choice.shifts().stream().anyMatch(s -> s.to().equals(part) && s.purpose().isPresent());
  }

  private static boolean hasAny(List<PartSlot> slots, String part) {
    return slots.stream().anyMatch(slot -> is(slot, part));
  }

  /** Whether a slot is meant by a kind, a code of a slot, or {@link #MAIN}. */
  static boolean is(PartSlot slot, String part) {
    return part.equals(MAIN)
        ? slot.isMain()
        : slot.kind().code().equals(part) || slot.code().equals(part);
  }

  // ---- the file -------------------------------------------------------------------------------

  private static List<CuttingOption> read() {
    Map<Line, List<Choice>> byOption = new LinkedHashMap<>();
    List<Choice> choices = List.of();
    for (Line line : ReferenceFile.open(CuttingOptions.class, "options.csv").lines()) {
      switch (line.field(0)) {
        case "option" -> {
          choices = new ArrayList<>();
          byOption.put(line, choices);
        }
        case "choice" -> choices.add(choice(line));
        case "shift", "aim" -> choices.add(extended(choices.remove(choices.size() - 1), line));
        default -> throw line.problem("expected option, choice, shift or aim");
      }
    }
    List<CuttingOption> options = new ArrayList<>();
    byOption.forEach(
        (line, all) ->
            options.add(
                new CuttingOption(
                    line.field(1),
                    line.field(2),
                    line.field(3),
                    line.read(4, CuttingOption.Condition::parse),
                    traits(line, 5),
                    all)));
    return List.copyOf(options);
  }

  private static Choice choice(Line line) {
    return new Choice(
        line.field(1),
        line.field(2),
        line.field(3),
        line.read(4, Double::parseDouble),
        line.read(5, Double::parseDouble),
        line.list(6),
        traits(line, 7),
        List.of(),
        List.of());
  }

  private static Set<CuttingOption.Trait> traits(Line line, int field) {
    return line.list(field).stream().map(CuttingOption.Trait::valueOf).collect(Collectors.toSet());
  }

  private static Choice extended(Choice choice, Line line) {
    List<Shift> shifts = new ArrayList<>(choice.shifts());
    List<Aim> aims = new ArrayList<>(choice.aims());
    if (line.field(0).equals("shift")) {
      String purpose = line.field(4);
      String[] to = line.field(3).split(":", 2);
      shifts.add(
          new Shift(
              line.field(1),
              line.read(2, Portion::parse),
              to[0],
              to.length == 1 ? Side.NONE : Side.valueOf(to[1]),
              purpose.isEmpty() ? Optional.empty() : Optional.of(line.read(4, Purpose::valueOf))));
    } else {
      aims.add(new Aim(line.field(1), line.read(2, Purpose::valueOf)));
    }
    return new Choice(
        choice.code(),
        choice.title(),
        choice.how(),
        choice.minutes(),
        choice.minutesPerKilogram(),
        choice.plans(),
        choice.traits(),
        shifts,
        aims);
  }
}
