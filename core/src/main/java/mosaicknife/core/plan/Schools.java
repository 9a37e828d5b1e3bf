package mosaicknife.core.plan;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.Eating;
import mosaicknife.core.anatomy.PartSlot;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.ReferenceFile;
import mosaicknife.core.anatomy.ReferenceFile.Line;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Stage;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.plan.School.Aim;
import mosaicknife.core.plan.School.Choice;
import mosaicknife.core.plan.School.Portion;
import mosaicknife.core.plan.School.Shift;

/** The schools that ship with the product, and which of them a fish asks about. */
public final class Schools {

  /** Stands for every main cut in a shift. */
  public static final String MAIN = "main";

  private static final List<School> SHIPPED = read();

  private Schools() {}

  /**
   * Returns all schools.
   *
   * @return the schools in the order of the work
   */
  public static List<School> shipped() {
    return SHIPPED;
  }

  /**
   * Returns the schools a fish asks about: those with at least two choices that are for its body
   * plan and have something to take from in the state it is in.
   *
   * @param species the species
   * @param state the state it is bought in
   * @return the schools with the choices that apply
   */
  public static List<School> of(Species species, State state) {
    List<School> asked = new ArrayList<>();
    for (School school : SHIPPED) {
      List<Choice> choices =
          school.choices().stream().filter(choice -> applies(choice, species, state)).toList();
      if (choices.size() > 1 && isAsked(school.code(), species, state)) {
        asked.add(new School(school.code(), school.title(), school.question(), choices));
      }
    }
    return List.copyOf(asked);
  }

  private static boolean isAsked(String school, Species species, State state) {
    return switch (school) {
      case "gut" -> state.stillHas(Stage.GUTTING);
      case "head" -> state.stillHas(Stage.HEADING);
      case "belly", "collar" ->
          species.sharesIn(state).stream()
              .anyMatch(share -> share.slot().kind().code().equals(school) && share.mean() > 0);
      case "pin-bones" -> species.eating().pinBonesTo() > 0;
      case "dark-muscle" ->
          species.eating().flesh() != Eating.Flesh.WHITE
              || species.plan().findSlot("dark-muscle").isPresent();
      default -> true;
    };
  }

  private static boolean applies(Choice choice, Species species, State state) {
    boolean plan = choice.plans().isEmpty() || choice.plans().contains(species.plan().code());
    List<PartSlot> slots = species.sharesIn(state).stream().map(Share::slot).toList();
    return plan
        && (choice.shifts().isEmpty()
            || choice.shifts().stream().anyMatch(shift -> hasAny(slots, shift.from())))
        && choice.shifts().stream()
            .allMatch(
                shift ->
                    shift.purpose().isPresent()
                        || shift.to().equals(MAIN)
                        || hasAny(slots, shift.to()));
  }

  private static boolean hasAny(List<PartSlot> slots, String kind) {
    return slots.stream()
        .anyMatch(slot -> kind.equals(MAIN) ? isMain(slot) : slot.kind().code().equals(kind));
  }

  /**
   * Returns whether a part is a main cut: flesh that usually goes on the plate.
   *
   * @param slot the part
   * @return true for fillets, loins and wings
   */
  public static boolean isMain(PartSlot slot) {
    return slot.usual() == Purpose.PLATE;
  }

  // ---- the file -------------------------------------------------------------------------------

  private static List<School> read() {
    Map<Line, List<Choice>> bySchool = new LinkedHashMap<>();
    List<Choice> choices = List.of();
    for (Line line : ReferenceFile.open(Schools.class, "schools.csv").lines()) {
      switch (line.field(0)) {
        case "school" -> {
          choices = new ArrayList<>();
          bySchool.put(line, choices);
        }
        case "choice" -> choices.add(choice(line));
        case "shift", "aim" -> choices.add(extended(choices.remove(choices.size() - 1), line));
        default -> throw line.problem("expected school, choice, shift or aim");
      }
    }
    List<School> schools = new ArrayList<>();
    bySchool.forEach(
        (line, all) -> schools.add(new School(line.field(1), line.field(2), line.field(3), all)));
    return List.copyOf(schools);
  }

  private static Choice choice(Line line) {
    return new Choice(
        line.field(1),
        line.field(2),
        line.field(3),
        line.read(4, Double::parseDouble),
        line.read(5, Double::parseDouble),
        line.list(6),
        List.of(),
        List.of());
  }

  private static Choice extended(Choice choice, Line line) {
    List<Shift> shifts = new ArrayList<>(choice.shifts());
    List<Aim> aims = new ArrayList<>(choice.aims());
    if (line.field(0).equals("shift")) {
      String purpose = line.field(4);
      shifts.add(
          new Shift(
              line.field(1),
              line.read(2, Portion::parse),
              line.field(3),
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
        shifts,
        aims);
  }
}
