package mosaicknife.app.larder;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.shared.CarriedWords;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.cost.Carried;
import mosaicknife.core.larder.Ageing;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Item;
import mosaicknife.core.larder.LarderRules;
import mosaicknife.core.larder.TraceMoney;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.safety.RawGate;

/**
 * One item in words.
 *
 * @param code its code
 * @param name what it is
 * @param amount how much is left
 * @param made the day it was made
 * @param useBy the last day in words
 * @param until how long it keeps, in words
 * @param days how many days are left, 0 on the last one
 * @param state the name of its state
 * @param where venue, place and owner
 * @param lots the lots in it
 * @param allergens what guests are told of, in words
 * @param bones whether bones are in it
 * @param raw whether it may be served raw
 * @param cost what it carries; empty for who may not see it
 * @param perKilogram what a kilogram of it carries; empty for who may not see it
 * @param parts the same in parts; empty where nothing was laid out beside the fish
 * @param happened what happened to it, the last first
 * @param ageing how it will go on losing weight; empty if that is not known
 */
record ItemView(
    String code,
    String name,
    String amount,
    String made,
    String useBy,
    String until,
    long days,
    String state,
    String where,
    List<LotIn> lots,
    String allergens,
    boolean bones,
    boolean raw,
    String cost,
    String perKilogram,
    String parts,
    List<String> happened,
    List<Forecast> ageing) {

  private static final int FORECAST_DAYS = 7;

  /** A lot in it. */
  record LotIn(long id, String species, String mass) {}

  /** What it should weigh on a day. */
  record Forecast(String day, String mass, String range) {}

  static ItemView of(
      Item item,
      Map<Long, Lot> lots,
      Map<Long, String> venues,
      Map<Long, String> people,
      Optional<TraceMoney> money,
      boolean skinOn,
      LocalDate today,
      Formats formats) {
    Optional<Carried> cost = money.map(all -> all.of(item.trace(), item.beside()));
    return new ItemView(
        item.shelved().code(),
        item.shelved().name(),
        item.isGone() ? "" : ShelfView.amount(item, formats),
        formats.day(item.shelved().made()),
        formats.day(item.useBy()),
        until(item, today, formats),
        item.daysLeft(today),
        item.state().name(),
        formats.say(
            "larder.said.where",
            venues.getOrDefault(item.spot().venue(), "?"),
            item.spot().place(),
            people.getOrDefault(item.spot().keeper(), "?")),
        lotsIn(item, lots, formats),
        formats.list(
            item.shelved().allergens().stream()
                .sorted()
                .map(one -> formats.say("Allergen." + one.name()))
                .toList()),
        item.shelved().traits().bones(),
        mayBeRaw(item, lots),
        cost.filter(all -> all.total().isPositive())
            .map(all -> formats.money(all.total()))
            .orElse(""),
        cost.filter(all -> !item.isGone() && all.total().isPositive())
            .map(all -> formats.price(all.total().per(item.mass())))
            .orElse(""),
        cost.filter(all -> all.beside().total().isPositive())
            .map(all -> CarriedWords.parts(all, formats))
            .orElse(""),
        happened(item, venues, money, formats),
        forecast(item, lots, skinOn, today, formats));
  }

  /**
   * A part as it was cut may be raw as soon as its gate is open; what was made stays as labelled.
   */
  private static boolean mayBeRaw(Item item, Map<Long, Lot> lots) {
    boolean part = item.shelved().use().isEmpty() && item.shelved().trace().grams().size() == 1;
    return part
        ? item.shelved().trace().grams().keySet().stream()
            .map(source -> lots.get(source.lot()).rawGate(Optional.of(source.slot())))
            .allMatch(gate -> gate.filter(RawGate::isOpen).isPresent())
        : item.shelved().traits().raw();
  }

  private static String until(Item item, LocalDate today, Formats formats) {
    long days = item.daysLeft(today);
    String key =
        days < 0 ? "over-since" : days == 0 ? "last-day" : days == 1 ? "tomorrow" : "until";
    return formats.say("larder.said." + key, item.useBy());
  }

  private static List<LotIn> lotsIn(Item item, Map<Long, Lot> lots, Formats formats) {
    return item.shelved().trace().lots().stream()
        .map(
            id ->
                new LotIn(
                    id,
                    lots.get(id).species().name(),
                    formats.mass(
                        Mass.total(
                            item.shelved().trace().grams().entrySet().stream()
                                .filter(one -> one.getKey().lot() == id)
                                .map(Map.Entry::getValue)
                                .toList()))))
        .toList();
  }

  private static List<String> happened(
      Item item, Map<Long, String> venues, Optional<TraceMoney> money, Formats formats) {
    List<String> said = new ArrayList<>();
    for (Entry entry : item.entries()) {
      said.add(0, carried(entry, said(entry, venues, formats), money, formats));
    }
    said.add(
        formats.say(
            "larder.said.put",
            formats.moment(item.shelved().at()),
            item.shelved().mass(),
            item.shelved().spot().place()));
    return said;
  }

  /** What went out with it, for who may see it. */
  private static String carried(
      Entry entry, String said, Optional<TraceMoney> money, Formats formats) {
    if (money.isEmpty() || !(entry instanceof Entry.Taken taken)) {
      return said;
    }
    Carried carried = money.get().of(taken.trace(), taken.beside());
    return carried.total().isPositive()
        ? formats.say("larder.said.carried", said, formats.money(carried.total()))
        : said;
  }

  private static String said(Entry entry, Map<Long, String> venues, Formats formats) {
    String when = formats.moment(entry.at());
    if (entry instanceof Entry.Taken taken) {
      String what = formats.say("Entry.Out." + taken.out().name());
      return taken.reason().isEmpty()
          ? formats.say("larder.said.taken", when, taken.mass(), what)
          : formats.say("larder.said.taken-because", when, taken.mass(), what, taken.reason());
    }
    if (entry instanceof Entry.Weighed weighed) {
      return weighed.trim().isPositive()
          ? formats.say("larder.said.trimmed", when, weighed.mass(), weighed.trim(), weighed.note())
          : formats.say("larder.said.weighed", when, weighed.mass(), weighed.note());
    }
    if (entry instanceof Entry.Moved moved) {
      return formats.say(
          "larder.said.moved",
          when,
          venues.getOrDefault(moved.spot().venue(), "?"),
          moved.spot().place());
    }
    if (entry instanceof Entry.Sent sent) {
      return formats.say("larder.said.sent", when, venues.getOrDefault(sent.venue(), "?"));
    }
    if (entry instanceof Entry.Dated dated) {
      return formats.say("larder.said.dated", when, dated.useBy(), dated.reason());
    }
    Entry.Turned turned = (Entry.Turned) entry;
    return formats.say(
        "larder.said.turned",
        when,
        formats.say("FoodState." + turned.state().name()),
        formats.day(turned.useBy()));
  }

  /** Only what was weighed again since it hangs there has a curve of its own. */
  private static List<Forecast> forecast(
      Item item, Map<Long, Lot> lots, boolean skinOn, LocalDate today, Formats formats) {
    boolean reweighed = item.entries().stream().anyMatch(Entry.Weighed.class::isInstance);
    if (!reweighed || item.isGone() || item.shelved().trace().lots().size() != 1) {
      return List.of();
    }
    Lot lot = lots.get(item.shelved().trace().lots().iterator().next());
    Ageing curve = Ageing.of(item, lot.species(), skinOn);
    List<Forecast> days = new ArrayList<>();
    LocalDate first = item.shelved().made();
    for (int ahead = 1; ahead <= FORECAST_DAYS; ahead++) {
      LocalDate day = today.plusDays(ahead);
      if (!LarderRules.mayAge(item, lot, day)) {
        break;
      }
      long since = first.until(day, java.time.temporal.ChronoUnit.DAYS);
      List<Mass> range = curve.range(since);
      days.add(
          new Forecast(
              formats.day(day),
              formats.about(curve.mass(since)),
              formats.range(range.get(0), range.get(1))));
    }
    return days;
  }
}
