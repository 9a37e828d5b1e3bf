package mosaicknife.app.homes;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import mosaicknife.app.homes.HandReader.Looked;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.larder.Diversion;
import mosaicknife.core.larder.Diversion.Way;
import mosaicknife.core.larder.LotMoney;
import mosaicknife.core.larder.LotMoney.Place;
import mosaicknife.core.larder.LotMoney.Went;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.Hand;

/**
 * Where the fish of the last days went, group by group.
 *
 * @param rows the groups, and all together last
 * @param missed the best uses that composted and binned parts missed, the dearest first
 */
record DiversionView(List<Row> rows, List<String> missed) {

  private static final int MOST_MISSED = 8;

  /** What lots are put together by. */
  enum By {
    LOT,
    DAY,
    SPECIES,
    VENUE
  }

  /** One group. */
  record Row(
      String name, String whole, List<Part> parts, String useless, String wasted, String without) {}

  /** One way within a group; where its bar begins and how long it is, out of a hundred. */
  record Part(String way, String mass, String share, double from, double percent) {}

  static DiversionView of(
      List<Looked> looked,
      Map<Long, List<Went>> went,
      Optional<Map<Long, LotMoney>> money,
      By by,
      ExactMoney labour,
      Formats formats) {
    Map<String, List<Looked>> groups = new LinkedHashMap<>();
    Function<Looked, String> name = one -> name(one.sheet().lot(), by, formats);
    looked.forEach(
        one -> groups.computeIfAbsent(name.apply(one), key -> new ArrayList<>()).add(one));
    List<Row> rows = new ArrayList<>();
    groups.forEach((group, all) -> rows.add(row(group, all, went, money, formats)));
    if (groups.size() > 1) {
      rows.add(row(formats.say("homes.said.all-together"), looked, went, money, formats));
    }
    List<String> missed =
        looked.stream()
            .flatMap(one -> one.missed().stream())
            .sorted((a, b) -> Long.compare(b.worth(), a.worth()))
            .limit(MOST_MISSED)
            .map(
                one ->
                    formats.say(
                        "homes.said.missed",
                        HomeView.name(one.part(), formats),
                        one.part().mass(),
                        one.units(),
                        one.use().name(),
                        Hand.money(one.worth(), labour)))
            .toList();
    return new DiversionView(rows.stream().filter(r -> !r.parts().isEmpty()).toList(), missed);
  }

  private static String name(Lot lot, By by, Formats formats) {
    return switch (by) {
      case LOT -> formats.say("shared.lot-title", lot.id(), lot.species().name());
      case DAY -> formats.day(lot.receivedAt().atZone(formats.zone()).toLocalDate());
      case SPECIES -> lot.species().name();
      case VENUE -> lot.venue().name();
    };
  }

  private static Row row(
      String name,
      List<Looked> all,
      Map<Long, List<Went>> went,
      Optional<Map<Long, LotMoney>> money,
      Formats formats) {
    Map<Lot, Diversion> byLot = new LinkedHashMap<>();
    for (Looked one : all) {
      Lot lot = one.sheet().lot();
      byLot.put(lot, Diversion.of(one.sheet(), went.getOrDefault(lot.id(), List.of())));
    }
    Diversion sum = Diversion.sum(byLot.values());
    Mass whole = sum.whole();
    List<Part> parts = new ArrayList<>();
    double from = 0;
    for (Way way : Way.values()) {
      if (sum.of(way).isPositive()) {
        double percent =
            sum.of(way).dividedBy(whole).toPercent(1, RoundingMode.HALF_UP).doubleValue();
        String share = formats.percent(sum.of(way).dividedBy(whole));
        parts.add(new Part(way.name(), formats.mass(sum.of(way)), share, from, percent));
        from += percent;
      }
    }
    String wasted =
        money
            .map(
                known ->
                    all.stream()
                        .map(one -> known.get(one.sheet().lot().id()))
                        .filter(one -> one.places().containsKey(Place.WASTE))
                        .map(one -> one.places().get(Place.WASTE).toExact())
                        .reduce(ExactMoney::plus))
            .flatMap(Function.identity())
            .filter(ExactMoney::isPositive)
            .map(formats::money)
            .orElse("");
    long without =
        byLot.entrySet().stream()
            .filter(one -> money.isPresent() && one.getKey().price().isEmpty())
            .filter(one -> one.getValue().wasted().isPositive())
            .count();
    return new Row(
        name,
        formats.mass(whole),
        parts,
        sum.irreducible().isPositive() ? formats.mass(sum.irreducible()) : "",
        wasted,
        without == 0 ? "" : formats.say("homes.said.wasted-without", without));
  }
}
