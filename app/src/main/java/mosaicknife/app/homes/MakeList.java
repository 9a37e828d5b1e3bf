package mosaicknife.app.homes;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mosaicknife.app.homes.MakingBook.Called;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.KeepingDays;
import mosaicknife.app.larder.LarderKeeper.Input;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.larder.LabelFacts;
import mosaicknife.core.use.Batch;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.HandId;
import mosaicknife.core.use.RecipeLine;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The list of what is to be made: of what, with what, and what must be brought first. */
@Component
class MakeList {

  private final MakingBook open;
  private final SubProducts products;
  private final Transfers transfers;
  private final HandReader hand;
  private final OnTheHob hob;
  private final HouseSettings houses;
  private final KeepingDays days;

  MakeList(
      MakingBook open,
      SubProducts products,
      Transfers transfers,
      HandReader hand,
      OnTheHob hob,
      HouseSettings houses,
      KeepingDays days) {
    this.open = open;
    this.products = products;
    this.transfers = transfers;
    this.hand = hand;
    this.hob = hob;
    this.houses = houses;
    this.days = days;
  }

  /** Something that is to be made. */
  record MakeRow(
      long id,
      String name,
      String venue,
      long venueId,
      int units,
      String fish,
      String out,
      String until,
      List<String> from,
      List<LegRow> legs,
      List<String> ingredients,
      List<String> cautions,
      String pot,
      boolean hot,
      boolean smoked) {

    /** How many things of it are still to be sent. */
    public long toSend() {
      return legs.stream().filter(leg -> !leg.sent()).count();
    }
  }

  /** Something that is to be sent or is on its way. */
  record LegRow(int number, String what, String code, boolean sent) {}

  /** The rows, the oldest decision first. */
  @Transactional(readOnly = true)
  public List<MakeRow> rows() {
    List<ToMake> all = open.toMake();
    Map<HandId.Cut, Called> names = open.names(all);
    Map<Long, String> venues = houses.venueNames();
    Formats formats = houses.house().formats();
    Map<Long, String> pots = hob.pots();
    return all.stream().map(one -> row(one, names, venues, pots, formats)).toList();
  }

  private MakeRow row(
      ToMake one,
      Map<HandId.Cut, Called> names,
      Map<Long, String> venues,
      Map<Long, String> pots,
      Formats formats) {
    Batch batch = new Batch(one.use(), one.mass(), one.mass());
    return new MakeRow(
        one.id(),
        one.use().name(),
        venues.getOrDefault(one.venue(), "?"),
        one.venue(),
        one.units(),
        formats.mass(one.mass()),
        formats.mass(batch.out()),
        days.lastDay(one.use(), one.from()).toString(),
        one.from().stream().map(input -> from(input, names, formats)).toList(),
        transfers.legs(one).stream().map(leg -> leg(one, leg, names, venues, formats)).toList(),
        ingredients(one, batch, products.of(batch, one.venue()), formats),
        cautions(one, formats),
        pots.getOrDefault(one.id(), ""),
        LabelFacts.comesHot(one.use()),
        LabelFacts.needsCore(one.use()));
  }

  /** What to be careful about; of a filling also how much of it one fish takes. */
  private List<String> cautions(ToMake one, Formats formats) {
    List<String> all = new ArrayList<>();
    for (FishUse.Caution caution : one.use().cautions().stream().sorted().toList()) {
      all.add(formats.say("FishUse.Caution." + caution.name()));
    }
    one.care().stream().sorted().map(formats::say).forEach(all::add);
    if (one.use().cautions().contains(FishUse.Caution.SWELLS)) {
      for (HandReader.Filled fish : hand.filled()) {
        all.add(
            formats.say(
                fish.cavity().measured() ? "homes.said.fill" : "homes.said.fill-about",
                fish.lot().id(),
                fish.lot().species().name(),
                fish.cavity().most()));
      }
    }
    return all;
  }

  private static String from(Input input, Map<HandId.Cut, Called> names, Formats formats) {
    Called part = names.get(input.cut());
    boolean board = input.label().isEmpty();
    return formats.say(
        board ? "homes.said.from" : "homes.said.from-shelf",
        board && !part.weighed() ? formats.about(input.mass()) : formats.mass(input.mass()),
        part.name(),
        board ? input.of().lot() : input.label().get());
  }

  private static LegRow leg(
      ToMake one,
      Transfers.Leg leg,
      Map<HandId.Cut, Called> names,
      Map<Long, String> venues,
      Formats formats) {
    return new LegRow(
        leg.number(),
        formats.say(
            leg.sent() ? "homes.said.on-its-way" : "homes.said.to-send",
            leg.input().mass(),
            names.get(leg.input().cut()).name(),
            venues.getOrDefault(leg.from(), "?"),
            venues.getOrDefault(one.venue(), "?")),
        leg.input().label().orElse(""),
        leg.sent());
  }

  private static List<String> ingredients(
      ToMake one, Batch batch, Map<RecipeLine, List<Input>> products, Formats formats) {
    List<String> all = new ArrayList<>();
    for (Batch.Ingredient in : batch.ingredients()) {
      List<Input> there = products.getOrDefault(in.line(), List.of());
      String codes =
          there.stream().flatMap(input -> input.label().stream()).collect(Collectors.joining(", "));
      all.add(
          there.isEmpty()
              ? formats.say("homes.said.ingredient", in.line().name(), in.mass())
              : formats.say(
                  "homes.said.ingredient-there",
                  in.line().name(),
                  in.mass(),
                  SubProducts.mass(there),
                  codes));
    }
    one.fat()
        .ifPresent(
            fat -> {
              long units = new Batch(one.use(), one.mass().plus(fat), one.mass()).units();
              all.add(formats.say("homes.said.fat", fat, one.use().fat().orElseThrow(), units));
            });
    return all;
  }
}
