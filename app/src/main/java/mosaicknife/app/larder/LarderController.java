package mosaicknife.app.larder;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Permission;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
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
  private final ItemKeeper items;
  private final Spots spots;
  private final HouseSettings houses;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final Words words;
  private final Clock clock;

  LarderController(
      LarderBook book,
      LarderKeeper keeper,
      ItemKeeper items,
      Spots spots,
      HouseSettings houses,
      PeopleRegister people,
      CurrentPerson current,
      Words words,
      Clock clock) {
    this.book = book;
    this.keeper = keeper;
    this.items = items;
    this.spots = spots;
    this.houses = houses;
    this.people = people;
    this.current = current;
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
  @Form("/larder/{code}")
  Done take(@PathVariable String code, Sent sent) {
    Entry.Out what =
        Typed.choice(Entry.Out.values(), sent.text("out"))
            .filter(one -> one != Entry.Out.MADE_INTO)
            .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-page-was-not-complete"));
    String reason = sent.text("reason");
    if (book.get(code).isCounted() && isCount(sent)) {
      items.takeUnits(sent.own(), code, sent.count("amount", 1, MOST_UNITS), what, reason);
    } else {
      items.take(sent.own(), code, sent.given("amount", sent::someMass), what, reason);
    }
    return Done.said("larder.said.done", what.name());
  }

  private static boolean isCount(Sent sent) {
    return sent.text("amount").matches("[0-9]{1,6}");
  }

  @PostMapping("/larder/{code}/weigh")
  @Form("/larder/{code}")
  Done weigh(@PathVariable String code, Sent sent) {
    Mass mass = sent.someMass("weight");
    Mass trim = sent.given("trim", sent::someMass).orElse(Mass.ZERO);
    items.weigh(sent.own(), code, mass, trim, sent.text("note"));
    return Done.said("larder.said.weighed-now", formats().mass(mass));
  }

  /** To another shelf; to another venue it is sent, and arrives when somebody says so there. */
  @PostMapping("/larder/{code}/move")
  @Form("/larder/{code}")
  Done move(@PathVariable String code, Sent sent) {
    long to = sent.id("venue");
    Item item = book.get(code);
    boolean arrives = item.underWay().isPresent();
    if (!arrives && item.spot().venue() != to) {
      items.send(sent.own(), code, to);
      return Done.said("larder.said.sent-now", houses.getVenue(to).name());
    }
    Shelved.Spot spot = spots.read(sent.id("venue"), sent);
    items.move(
        sent.own(), code, spot, arrives ? sent.given("weight", sent::someMass) : Optional.empty());
    return Done.said("larder.said.moved-now", spot.place());
  }

  @PostMapping("/larder/{code}/turn")
  @Form("/larder/{code}")
  Done turn(@PathVariable String code, Sent sent) {
    FoodState to =
        Typed.choice(FoodState.values(), sent.text("state"))
            .filter(one -> one != FoodState.RAW)
            .orElseThrow(() -> Refusal.ofStale("weighing.problem.the-page-was-not-complete"));
    items.turn(
        sent.own(),
        code,
        to,
        to == FoodState.COOKED ? ChilledForm.read(sent, clock.instant()) : Optional.empty());
    return Done.said("larder.said.turned-now", to.name());
  }

  /** The sous chef moves a day of quality. */
  @PostMapping("/larder/{code}/date")
  @Form("/larder/{code}")
  Done date(@PathVariable String code, Sent sent) {
    LocalDate day = sent.day("until");
    items.date(sent.own(), code, day, sent.text("dayReason"));
    return Done.said("larder.said.dated-now", day);
  }

  /** How it was frozen: the record that may open the raw gate of its part. */
  @PostMapping("/larder/{code}/frozen")
  @Form("/larder/{code}")
  Done froze(@PathVariable String code, Sent sent) {
    items.froze(
        sent.own(),
        code,
        sent.temperature("core"),
        sent.count("hours", 1, MOST_HOURS),
        sent.given("thickness", sent::length));
    return Done.said("larder.said.frozen-record");
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
  @Form("/larder/count")
  Done count(Sent sent) {
    String read = book.read(sent.text("code"));
    Item item = book.get(read);
    String how = sent.text("how");
    Optional<Mass> there = how.equals("NONE") ? Optional.empty() : Optional.of(there(item, sent));
    if (how.equals("SO")) {
      there.ifPresent(mass -> Refusal.ifFound(LarderRules.allThere(item, mass)));
    }
    items.count(sent.own(), read, there, how.equals("MISSING"));
    return Done.said("larder.said.counted", item.shelved().name());
  }

  private static Mass there(Item item, Sent sent) {
    if (sent.text("amount").isEmpty()) {
      return item.mass();
    }
    return item.isCounted() && isCount(sent)
        ? item.massOf(sent.count("amount", 1, (int) Math.max(1, item.units())))
        : sent.someMass("amount");
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
  @Form(value = "/uses/{lot}#row-{slot}", keeps = "typedShelf")
  Done put(@PathVariable long lot, @PathVariable String slot, Sent sent) {
    Shelved.Spot spot = spots.read(sent.id("venue"), sent);
    String code =
        keeper.put(
            sent.own(),
            lot,
            slot,
            sent.given("amount", sent::someMass),
            sent.given("until", sent::day),
            spot);
    return Done.said("larder.said.put-now", spot.place(), code);
  }
}
