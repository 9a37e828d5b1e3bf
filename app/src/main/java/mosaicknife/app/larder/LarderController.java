package mosaicknife.app.larder;

import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Permission;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.FormReply;
import mosaicknife.app.shared.FormReply.Change;
import mosaicknife.app.shared.FormReply.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.SquareCode;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.FreezingTime;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.LarderRules;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.larder.TraceMoney;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FoodState;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The shelves, and one item with what can be done to it. */
@Controller
class LarderController {

  private static final int MOST_UNITS = 100_000;
  private static final int MOST_HOURS = 10_000;

  private final LarderBook book;
  private final LarderKeeper keeper;
  private final HouseSettings houses;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final FormReply reply;
  private final Words words;
  private final Clock clock;

  LarderController(
      LarderBook book,
      LarderKeeper keeper,
      HouseSettings houses,
      PeopleRegister people,
      CurrentPerson current,
      FormReply reply,
      Words words,
      Clock clock) {
    this.book = book;
    this.keeper = keeper;
    this.houses = houses;
    this.people = people;
    this.current = current;
    this.reply = reply;
    this.words = words;
    this.clock = clock;
  }

  private Formats formats() {
    return houses.house().formats();
  }

  private Optional<TraceMoney> costs(List<Item> items) {
    return current.may(Permission.SEE_COSTS) ? Optional.of(book.moneyIn(items)) : Optional.empty();
  }

  @GetMapping("/larder")
  String shelves(Model model) {
    List<Item> items = book.onShelves();
    Optional<TraceMoney> costs = costs(items);
    model.addAttribute(
        "shelf", ShelfView.of(items, houses.venueNames(), costs, houses.today(), formats()));
    model.addAttribute("items", views(items, costs));
    return "larder/larder";
  }

  private List<ItemView> views(List<Item> items, Optional<TraceMoney> costs) {
    Map<Long, mosaicknife.core.lot.Lot> lots = book.lotsOf(items);
    Map<Long, String> venues = houses.venueNames();
    Map<Long, String> names = people.names();
    return items.stream()
        .map(
            item ->
                ItemView.of(
                    item,
                    lots,
                    venues,
                    names,
                    costs,
                    book.isSkinOn(item),
                    houses.today(),
                    formats()))
        .toList();
  }

  /** A code that was scanned or typed opens its item on any tablet. */
  @PostMapping("/larder/find")
  String find(@RequestParam(defaultValue = "") String code, RedirectAttributes later) {
    try {
      String read = book.read(code);
      book.get(read);
      return "redirect:/larder/" + read;
    } catch (Refusal refusal) {
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute("typedCode", Typed.shortened(code));
      return "redirect:/larder";
    }
  }

  @GetMapping("/larder/{code:[0-9A-Z]{5}}")
  String item(@PathVariable String code, Model model) {
    Item item = book.get(code);
    model.addAttribute("item", item);
    model.addAttribute(
        "turns", LarderRules.turns(item, houses.today()).stream().map(Enum::name).toList());
    model.addAttribute("movable", item.isMovable(houses.today()));
    model.addAttribute("view", views(List.of(item), costs(List.of(item))).get(0));
    model.addAttribute("due", item.due(houses.today()).orElse(null));
    model.addAttribute("square", SquareCode.of(book.square(code)));
    model.addAttribute("people", people.everybody());
    model.addAttribute("venues", houses.venues());
    model.addAttribute("newId", UUID.randomUUID());
    model.addAttribute("chilled", chilled(code));
    model.addAttribute("colds", FreezingTime.Cold.values());
    return "larder/item";
  }

  /** By which readings it is cold, in words. */
  private List<String> chilled(String code) {
    Map<Long, String> names = people.names();
    return book.chilled(code).stream()
        .map(
            one ->
                words.say(
                    "larder.said.chilled",
                    one.chilled().shown(),
                    formats().moment(one.chilled().at()),
                    one.chilled().instrument(),
                    names.getOrDefault(one.by(), "?"),
                    formats().time(one.chilled().offHeat())))
        .toList();
  }

  @PostMapping("/larder/{code}/take")
  String take(
      @PathVariable String code,
      @RequestParam(defaultValue = "") String id,
      @RequestParam(defaultValue = "") String amount,
      @RequestParam(defaultValue = "") String out,
      @RequestParam(defaultValue = "") String reason,
      RedirectAttributes later) {
    return change(
        code,
        Map.of("amount", amount, "reason", reason),
        later,
        () -> {
          Entry.Out what =
              Typed.choice(Entry.Out.values(), out)
                  .filter(one -> one != Entry.Out.MADE_INTO)
                  .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-page-was-not-complete"));
          UUID sent = ClientIds.of(id);
          String typed = amount.strip();
          if (book.get(code).isCounted() && typed.matches("[0-9]{1,6}")) {
            int units = Typed.count(typed, 1, MOST_UNITS, "amount");
            keeper.takeUnits(sent, code, units, what, reason);
          } else {
            keeper.take(sent, code, mass(typed), what, reason);
          }
          return words.say("larder.said.done", what.name());
        });
  }

  private Optional<Mass> mass(String typed) {
    return Optional.of(typed.strip())
        .filter(text -> !text.isEmpty())
        .map(text -> MassText.parse(text, formats().system().small()).mass())
        .map(
            mass -> {
              if (!mass.isPositive()) {
                throw Refusal.ofField("amount", "larder.problem.nothing");
              }
              return mass;
            });
  }

  @PostMapping("/larder/{code}/weigh")
  String weigh(
      @PathVariable String code,
      @RequestParam(defaultValue = "") String id,
      @RequestParam(defaultValue = "") String weight,
      @RequestParam(defaultValue = "") String trim,
      @RequestParam(defaultValue = "") String note,
      RedirectAttributes later) {
    return change(
        code,
        Map.of("weight", weight, "trim", trim, "note", note),
        later,
        () -> {
          Mass mass =
              mass(weight).orElseThrow(() -> Refusal.ofField("weight", "larder.problem.nothing"));
          keeper.weigh(ClientIds.of(id), code, mass, mass(trim).orElse(Mass.ZERO), note);
          return words.say("larder.said.weighed-now", formats().mass(mass));
        });
  }

  /** To another shelf; to another venue it is sent, and arrives when somebody says so there. */
  @PostMapping("/larder/{code}/move")
  String move(
      @PathVariable String code,
      @RequestParam(defaultValue = "") String id,
      @RequestParam(defaultValue = "") String venue,
      @RequestParam(defaultValue = "") String place,
      @RequestParam(defaultValue = "") String by,
      @RequestParam(defaultValue = "") String weight,
      RedirectAttributes later) {
    return change(
        code,
        Map.of("place", place, "weight", weight),
        later,
        () -> {
          long to = Typed.id(venue, "venue");
          Item item = book.get(code);
          boolean arrives = item.underWay().isPresent();
          if (!arrives && item.spot().venue() != to) {
            keeper.send(ClientIds.of(id), code, to);
            return words.say("larder.said.sent-now", houses.getVenue(to).name());
          }
          Shelved.Spot spot = keeper.spot(to, place, Optional.of(Typed.id(by, "by")));
          keeper.move(ClientIds.of(id), code, spot, arrives ? mass(weight) : Optional.empty());
          return words.say("larder.said.moved-now", spot.place());
        });
  }

  @PostMapping("/larder/{code}/turn")
  String turn(
      @PathVariable String code,
      @RequestParam Map<String, String> typed,
      RedirectAttributes later) {
    return change(
        code,
        new HashMap<>(typed),
        later,
        () -> {
          FoodState to =
              Typed.choice(FoodState.values(), typed.getOrDefault("state", ""))
                  .filter(one -> one != FoodState.RAW)
                  .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-page-was-not-complete"));
          keeper.turn(
              ClientIds.of(typed.getOrDefault("id", "")),
              code,
              to,
              to == FoodState.COOKED
                  ? ChilledForm.read(typed, formats().zone(), clock.instant())
                  : Optional.empty());
          return words.say("larder.said.turned-now", to.name());
        });
  }

  /** The sous chef moves a day of quality. */
  @PostMapping("/larder/{code}/date")
  String date(
      @PathVariable String code,
      @RequestParam(defaultValue = "") String id,
      @RequestParam(defaultValue = "") String until,
      @RequestParam(defaultValue = "") String reason,
      RedirectAttributes later) {
    return change(
        code,
        Map.of("until", until, "dayReason", reason),
        later,
        () -> {
          LocalDate day = Typed.day(until, "until");
          keeper.date(ClientIds.of(id), code, day, reason);
          return words.say("larder.said.dated-now", day);
        });
  }

  /** How it was frozen: the record that may open the raw gate of its part. */
  @PostMapping("/larder/{code}/frozen")
  String froze(
      @PathVariable String code,
      @RequestParam(defaultValue = "") String id,
      @RequestParam(defaultValue = "") String core,
      @RequestParam(defaultValue = "") String hours,
      @RequestParam(defaultValue = "") String thickness,
      RedirectAttributes later) {
    return change(
        code,
        Map.of("core", core, "hours", hours, "thickness", thickness),
        later,
        () -> {
          keeper.froze(
              ClientIds.of(id),
              code,
              Temperature.parse(core),
              Typed.count(hours, 1, MOST_HOURS, "hours"),
              thickness.isBlank() ? Optional.empty() : Optional.of(Length.parse(thickness)));
          return words.say("larder.said.frozen-record");
        });
  }

  /** A stock-take in one pass: scan, weigh, next. */
  @GetMapping("/larder/count")
  String counting(Model model) {
    List<Item> items = book.onShelves();
    java.time.ZoneId zone = formats().zone();
    Map<Boolean, List<Item>> counted =
        items.stream()
            .collect(
                Collectors.partitioningBy(
                    item ->
                        item.counted()
                            .filter(at -> at.atZone(zone).toLocalDate().equals(houses.today()))
                            .isPresent()));
    model.addAttribute("left", views(counted.get(false), Optional.empty()));
    model.addAttribute("counted", views(counted.get(true), Optional.empty()));
    model.addAttribute("newId", UUID.randomUUID());
    return "larder/count";
  }

  @PostMapping("/larder/count")
  String count(
      @RequestParam(defaultValue = "") String id,
      @RequestParam(defaultValue = "") String code,
      @RequestParam(defaultValue = "") String amount,
      @RequestParam(defaultValue = "") String how,
      RedirectAttributes later) {
    return reply.after(
        new Form("/larder/count", "typed", Map.of("code", code, "amount", amount)),
        later,
        () -> {
          String read = book.read(code);
          Item item = book.get(read);
          Optional<Mass> there =
              how.equals("NONE") ? Optional.empty() : Optional.of(there(item, amount.strip()));
          if (how.equals("SO")) {
            there.ifPresent(mass -> Refusal.ifFound(LarderRules.allThere(item, mass)));
          }
          keeper.count(ClientIds.of(id), read, there, how.equals("MISSING"));
          return words.say("larder.said.counted", item.shelved().name());
        });
  }

  private Mass there(Item item, String typed) {
    if (typed.isEmpty()) {
      return item.mass();
    }
    if (item.isCounted() && typed.matches("[0-9]{1,6}")) {
      int units = Typed.count(typed, 1, (int) Math.max(1, item.units()), "amount");
      return item.massOf(units);
    }
    return mass(typed).orElseThrow();
  }

  /** About how long a piece takes to freeze through. */
  @GetMapping("/larder/freezing")
  String freezing(
      @RequestParam(defaultValue = "") String thickness,
      @RequestParam(defaultValue = "") String air,
      @RequestParam(defaultValue = "") String cold,
      Model model) {
    try {
      FreezingTime time =
          FreezingTime.of(
              Length.parse(thickness),
              Temperature.parse(air),
              Typed.choice(FreezingTime.Cold.values(), cold).orElse(FreezingTime.Cold.STILL_AIR));
      model.addAttribute(
          "freezing",
          words.say("larder.said.freezing", time.least().toHours(), time.most().toHours() + 1));
    } catch (Refusal | QuantityFormatException refusal) {
      model.addAttribute("freezing", words.say(refusal));
    } catch (IllegalArgumentException e) {
      model.addAttribute("freezing", words.say("larder.said.freezing-air"));
    }
    return "larder/item :: freezing";
  }

  /** A part as it was cut, on a shelf. */
  @PostMapping("/larder/put/{lot}/{slot}")
  String put(
      @PathVariable long lot,
      @PathVariable String slot,
      @RequestParam(defaultValue = "") String id,
      @RequestParam(defaultValue = "") String amount,
      @RequestParam(defaultValue = "") String venue,
      @RequestParam(defaultValue = "") String place,
      @RequestParam(defaultValue = "") String until,
      @RequestParam(defaultValue = "") String by,
      RedirectAttributes later) {
    Map<String, String> typed =
        Map.of("slot", slot, "amount", amount, "place", place, "until", until);
    return reply.after(
        new Form("/uses/" + lot + "#row-" + slot, "typedShelf", typed),
        later,
        () -> {
          Shelved.Spot spot =
              keeper.spot(Typed.id(venue, "venue"), place, Optional.of(Typed.id(by, "by")));
          String code =
              SentTwice.survive(
                  () ->
                      keeper.put(
                          ClientIds.of(id),
                          lot,
                          slot,
                          mass(amount),
                          until.isBlank()
                              ? Optional.empty()
                              : Optional.of(Typed.day(until, "until")),
                          spot));
          return words.say("larder.said.put-now", spot.place(), code);
        });
  }

  private String change(
      String code, Map<String, String> typed, RedirectAttributes later, Change work) {
    return reply.after(
        new Form("/larder/" + code, "typed", typed), later, () -> SentTwice.survive(work::done));
  }
}
