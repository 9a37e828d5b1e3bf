package mosaicknife.app.today;

import java.util.ArrayList;
import java.util.List;
import mosaicknife.app.bench.BenchPart;
import mosaicknife.app.bench.BenchSheet;
import mosaicknife.app.dock.Lot;
import mosaicknife.app.picture.MosaicPicture;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.breakdown.Balance.Verdict;
import mosaicknife.core.portion.WholePortions;
import mosaicknife.core.quantity.Mass;

/**
 * The day, ready for the template.
 *
 * @param rows the lots, open ones first
 * @param decisions what needs a decision, most pressing first
 * @param inside how much is still inside uncut fish; empty if nothing is
 * @param portions how many whole portions are cut or in fillets of open lots
 */
record TodayView(List<Row> rows, List<Decision> decisions, String inside, long portions) {

  /** One lot. */
  record Row(
      BenchSheet sheet,
      Lot lot,
      MosaicPicture mosaic,
      String mass,
      String progress,
      String verdict,
      String portions,
      String next,
      String nextLink) {}

  /** One thing to decide, with the page where it is decided. */
  record Decision(String kind, String sentence, String link, String action) {}

  static TodayView of(List<BenchSheet> sheets, Formats formats) {
    List<Decision> decisions = new ArrayList<>();
    sheets.stream().filter(s -> !s.lot().isFinished()).forEach(s -> decide(s, decisions, formats));
    Mass inside =
        Mass.total(
            sheets.stream()
                .filter(s -> s.balance().verdict() == Verdict.OPEN)
                .map(s -> s.balance().remainder())
                .toList());
    List<Row> rows = sheets.stream().map(s -> row(s, formats)).toList();
    long portions =
        sheets.stream()
            .filter(s -> !s.lot().isFinished())
            .mapToLong(s -> portions(s).count())
            .sum();
    return new TodayView(
        rows, decisions, inside.isPositive() ? formats.mass(inside) : "", portions);
  }

  private static Row row(BenchSheet sheet, Formats formats) {
    Lot lot = sheet.lot();
    Step step = step(sheet);
    return new Row(
        sheet,
        lot,
        sheet.mosaic(Size.SMALL, formats),
        formats.mass(lot.purchased()),
        "%d of %d".formatted(sheet.weightsTaken(), sheet.weights()),
        sheet.balance().verdict().name(),
        text(portions(sheet)),
        step.words(),
        step.link());
  }

  private static WholePortions portions(BenchSheet sheet) {
    return WholePortions.in(sheet.breakdown().mains(), sheet.lot().portionTarget());
  }

  private static String text(WholePortions portions) {
    if (portions.count() == 0) {
      return "–";
    }
    return (portions.isEstimated() ? "≈ " : "") + portions.count();
  }

  /** What comes next for a lot, and where. */
  private record Step(String words, String link) {}

  private static Step step(BenchSheet sheet) {
    Lot lot = sheet.lot();
    if (lot.isFinished()) {
      return new Step("Closed", "/use/" + lot.id());
    }
    return switch (sheet.balance().verdict()) {
      case OVER, SHORT -> new Step("Look at the tally", "/bench/" + lot.id());
      case OPEN ->
          new Step(
              sheet.balance().tallied().isPositive() ? "Go on weighing" : "Start weighing",
              "/bench/" + lot.id());
      case CLOSED ->
          sheet.open().isEmpty()
              ? new Step("Close the lot", "/bench/" + lot.id())
              : new Step("Decide the rest", "/use/" + lot.id());
    };
  }

  private static void decide(BenchSheet sheet, List<Decision> decisions, Formats formats) {
    Lot lot = sheet.lot();
    Verdict verdict = sheet.balance().verdict();
    if (verdict == Verdict.OVER || verdict == Verdict.SHORT) {
      String off = formats.mass(sheet.balance().remainder().abs());
      decisions.add(
          0,
          new Decision(
              "alarm",
              verdict == Verdict.OVER
                  ? "%s does not add up: %s over.".formatted(lot.title(), off)
                  : "%s does not add up: %s missing.".formatted(lot.title(), off),
              "/bench/" + lot.id(),
              "Look at the tally"));
    }
    List<BenchPart> open = sheet.open();
    if (verdict == Verdict.CLOSED && !open.isEmpty()) {
      decisions.add(
          new Decision(
              "open",
              "%s: %s".formatted(lot.title(), withoutPurpose(open)),
              "/use/" + lot.id(),
              "Decide"));
    }
    lot.shortfall()
        .filter(gap -> lot.isShortDelivery())
        .ifPresent(
            gap ->
                decisions.add(
                    new Decision(
                        "came-short",
                        "%s came %s short of the invoice."
                            .formatted(lot.title(), formats.mass(gap)),
                        "/dock/" + lot.id(),
                        "See the receipt")));
  }

  private static String withoutPurpose(List<BenchPart> open) {
    String first = open.get(0).name();
    return open.size() == 1
        ? first + " has no purpose yet."
        : "%s and %d more have no purpose yet.".formatted(first, open.size() - 1);
  }
}
