package mosaicknife.app.homes;

import java.time.LocalTime;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.homes.Decisions.Choice;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paged;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.OnHand;
import mosaicknife.core.use.PlanQuestion;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The uses of the whole house. */
@Controller
@PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
class HomesController {

  private static final int MOST = 100_000;
  private static final int ON_A_PAGE = 30;

  private final HomePlanner planner;
  private final MakingBook open;
  private final Decisions decisions;
  private final UseBook book;
  private final MakeList list;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final HouseSettings houses;

  HomesController(
      HomePlanner planner,
      MakingBook open,
      Decisions decisions,
      UseBook book,
      MakeList list,
      PeopleRegister people,
      CurrentPerson current,
      HouseSettings houses) {
    this.planner = planner;
    this.open = open;
    this.decisions = decisions;
    this.book = book;
    this.list = list;
    this.people = people;
    this.current = current;
    this.houses = houses;
  }

  private Formats formats() {
    return houses.house().formats();
  }

  @TakesLong
  @GetMapping("/uses")
  String uses(@RequestParam(defaultValue = "1") String page, Model model) {
    PlanQuestion question = planner.question();
    Paged<OnHand> hand = Paged.of(question.parts(), page(model, page, question.parts()), ON_A_PAGE);
    List<FishUse> fitting = book.fitting(question.parts());
    Map<Long, UseBook.Room> rooms = book.rooms();
    model.addAttribute("makes", list.rows());
    model.addAttribute(
        "parts", HomeView.parts(hand.rows(), List.copyOf(book.uses().values()), formats()));
    model.addAttribute("hand", hand);
    model.addAttribute("wants", HomeView.wants(fitting, houses.venues(), rooms));
    model.addAttribute("rooms", HomeView.rooms(houses.venues(), rooms, formats()));
    model.addAttribute("lastHours", HomeView.lastHours(houses.venues(), rooms));
    model.addAttribute("dropped", open.droppedToday());
    model.addAttribute("noneWanted", question.wanted().isEmpty());
    model.addAttribute("venues", houses.venues());
    model.addAttribute("people", people.everybody());
    model.addAttribute("me", current.get().id());
    model.addAttribute("newId", UUID.randomUUID());
    return "homes/homes";
  }

  /** Where what was typed and refused is, else the page that was asked for. */
  private static int page(Model model, String asked, List<OnHand> parts) {
    if (model.getAttribute("typedPart") instanceof Map<?, ?> typed) {
      List<String> ids = parts.stream().map(part -> part.id().text()).toList();
      return 1 + Math.max(0, ids.indexOf(String.valueOf(typed.get("part")))) / ON_A_PAGE;
    }
    return Paged.number(asked);
  }

  @PostMapping("/uses/accept")
  @Form("/uses")
  Done accept(@RequestParam(defaultValue = "") List<String> making, Sent sent) {
    List<Choice> choices = making.stream().map(HomesController::choice).toList();
    decisions.accept(sent.own(), choices);
    return Done.said("homes.said.accepted", choices.size());
  }

  private static Choice choice(String sent) {
    String[] fields = sent.split("@", -1);
    if (fields.length < 4 || fields.length > 200) {
      throw Refusal.ofStale("weighing.problem.the-page-was-not-complete");
    }
    Map<HandId, Mass> from = new LinkedHashMap<>();
    for (int i = 3; i < fields.length; i++) {
      String[] grams = fields[i].split("=", -1);
      if (grams.length != 2 || !grams[1].matches("[0-9]{1,12}")) {
        throw Refusal.ofStale("weighing.problem.the-page-was-not-complete");
      }
      from.put(part(grams[0]), Mass.ofMilligrams(Long.parseLong(grams[1])));
    }
    return new Choice(
        fields[0], Typed.id(fields[1], "venue"), Typed.count(fields[2], 1, MOST, "units"), from);
  }

  private static HandId.Here part(String sent) {
    try {
      return HandId.parse(sent);
    } catch (IllegalArgumentException wrong) {
      throw Refusal.ofInput("homes.problem.not-on-hand");
    }
  }

  /** Somebody knows better: these grams become that. */
  @PostMapping("/uses/decide")
  @Form(value = "/uses#parts", keeps = "typedPart")
  Done decide(Sent sent) {
    decisions.decide(
        sent.own(),
        sent.text("use"),
        sent.id("venue"),
        part(sent.text("part")),
        sent.given("amount", sent::mass),
        sent.given("units", field -> sent.count(field, 1, MOST))
            .map(OptionalInt::of)
            .orElseGet(OptionalInt::empty));
    return Done.said("homes.said.decided");
  }

  /** What a venue takes and has room for: only what was changed is written down. */
  @PostMapping("/uses/wants")
  @Form(value = "/uses#wants", keeps = "typedWants")
  Done wants(Sent sent) {
    Map<Long, UseBook.Room> before = book.rooms();
    List<Runnable> changes = new ArrayList<>();
    sent.typed()
        .forEach(
            (field, text) -> {
              String[] names = field.split("@", -1);
              if (names.length == 2 && names[0].equals("last") && !text.isBlank()) {
                LocalTime time = sent.time(field);
                long venue = Typed.id(names[1], field);
                if (!before.get(venue).lastHour().equals(Optional.of(time))) {
                  changes.add(() -> book.lastHour(venue, time));
                }
              } else if (names.length == 3 && !text.isBlank()) {
                int amount = sent.count(field, 0, MOST);
                long venue = Typed.id(names[2], field);
                changes.add(() -> keep(names[0], names[1], venue, amount, before));
              }
            });
    changes.forEach(Runnable::run);
    return Done.said("homes.said.wants-saved");
  }

  private void keep(
      String kind, String what, long venue, int amount, Map<Long, UseBook.Room> before) {
    UseBook.Room room = before.get(venue);
    if (kind.equals("use")) {
      if (room == null || !Integer.valueOf(amount).equals(room.wanted().get(what))) {
        book.want(venue, what, amount);
      }
    } else if (what.equals("HANDS")) {
      if (room == null || !room.hands().equals(Optional.of(amount))) {
        book.hands(venue, amount);
      }
    } else {
      Equipment equipment =
          Typed.choice(Equipment.values(), what)
              .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-page-was-not-complete"));
      if (room == null || !Integer.valueOf(amount).equals(room.equipment().get(equipment))) {
        book.equip(venue, equipment, amount);
      }
    }
  }
}
