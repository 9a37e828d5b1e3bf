package mosaicknife.app.today;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import mosaicknife.app.house.House;
import mosaicknife.app.picture.LotMosaic;
import mosaicknife.app.picture.MosaicPicture;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.larder.Item;
import mosaicknife.core.lot.Decision;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.Station;
import mosaicknife.core.portion.WholePortions;
import mosaicknife.core.quantity.Mass;

/**
 * The day, ready for the template.
 *
 * @param rows the newest open lots
 * @param decisions what needs a decision, most pressing first
 * @param inside how much is still inside uncut fish; empty if nothing is
 * @param portions how many whole portions are cut or in fillets of open lots
 */
record TodayView(List<Row> rows, List<Pressing> decisions, String inside, long portions) {

  private static final int MOST_DUE = 5;

  /** One lot. */
  record Row(
      LotSheet sheet,
      Lot lot,
      MosaicPicture mosaic,
      String mass,
      String progress,
      String verdict,
      String portions,
      String next,
      String nextLink) {}

  /** One thing to decide, with the page where it is decided. */
  record Pressing(String kind, String sentence, String link, String action) {}

  static TodayView of(
      List<LotSheet> sheets,
      List<Item> shelves,
      int shown,
      House house,
      LocalDate today,
      boolean withPrices) {
    Formats formats = house.formats();
    List<Pressing> ofLots =
        sheets.stream()
            .flatMap(
                s ->
                    Decision.of(s).stream()
                        .filter(open -> withPrices || !open.what().isOfMoney())
                        .map(open -> Map.entry(open.what(), decision(s, open, formats))))
            .sorted(Map.Entry.comparingByKey())
            .map(Map.Entry::getValue)
            .toList();
    List<Pressing> decisions =
        Stream.concat(ofLots.stream(), due(shelves, today, formats)).toList();
    Mass inside =
        Mass.total(
            sheets.stream()
                .filter(s -> s.balance().verdict() == Verdict.OPEN)
                .map(s -> s.balance().remainder())
                .toList());
    List<Row> rows = sheets.stream().limit(shown).map(s -> row(s, formats)).toList();
    long portions = sheets.stream().mapToLong(s -> s.portions().count()).sum();
    return new TodayView(
        rows, decisions, inside.isPositive() ? formats.mass(inside) : "", portions);
  }

  /** What lapses, arrives or is to be thawed; the larder shows what does not fit, and is named. */
  private static Stream<Pressing> due(List<Item> shelves, LocalDate today, Formats formats) {
    List<Map.Entry<Item, Finding>> all =
        shelves.stream()
            .flatMap(item -> item.due(today).stream().map(due -> Map.entry(item, due)))
            .toList();
    Stream<Pressing> first =
        all.stream()
            .limit(MOST_DUE)
            .map(
                one ->
                    new Pressing(
                        one.getValue().what().name(),
                        formats.say(one.getValue()),
                        "/larder/" + one.getKey().shelved().code(),
                        formats.say("today.said.look")));
    int more = all.size() - MOST_DUE;
    return more <= 0
        ? first
        : Stream.concat(
            first,
            Stream.of(
                new Pressing(
                    "MORE",
                    formats.say("today.said.more-shelves", more),
                    "/larder",
                    formats.say("today.said.look"))));
  }

  private static Row row(LotSheet sheet, Formats formats) {
    Lot lot = sheet.lot();
    return new Row(
        sheet,
        lot,
        LotMosaic.of(sheet, Size.SMALL, formats),
        formats.mass(lot.purchased()),
        sheet.weightsTaken() + "/" + sheet.weights(),
        sheet.balance().verdict().name(),
        text(sheet.portions()),
        formats.say(sheet.nextStep()),
        link(sheet.nextStep().station(), lot.id()));
  }

  private static String text(WholePortions portions) {
    if (portions.count() == 0) {
      return "–";
    }
    return (portions.isEstimated() ? "≈ " : "") + portions.count();
  }

  /** The address of a station for one lot. */
  static String link(Station station, long lot) {
    return "/" + station.name().toLowerCase(Locale.ROOT) + "/" + lot;
  }

  private static Pressing decision(LotSheet sheet, Decision open, Formats formats) {
    Lot lot = sheet.lot();
    String title = formats.say("shared.lot-title", lot.id(), lot.species().name());
    String first = open.parts().stream().findFirst().map(LotPart::name).orElse("");
    String key = Finding.of(open.what()).key();
    return new Pressing(
        open.what().name(),
        formats.say(
            key,
            title,
            open.mass().map(formats::mass).orElse(""),
            first,
            Math.max(0L, open.parts().size() - 1)),
        link(open.what().station(), lot.id()),
        formats.say(key + ".action"));
  }
}
