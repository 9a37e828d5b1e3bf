package mosaicknife.core.anatomy;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The review of what is shipped about each fish: figures within what the trade commonly gets, and a
 * table in the documentation that says of every fish where its facts are from.
 */
public class FactsReviewTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Path TABLE = Path.of("..", "docs", "facts-review.md");

  private record Range(String species, String what, double lowest, double highest, String on) {}

  private static List<Range> ranges() {
    return ReferenceFile.open(CatalogueReader.class, "trade-ranges.csv").lines().stream()
        .map(
            line ->
                new Range(
                    line.field(0),
                    line.field(1),
                    Double.parseDouble(line.field(2)),
                    Double.parseDouble(line.field(3)),
                    line.field(4)))
        .toList();
  }

  @DataProvider
  Object[][] trade() {
    return ranges().stream().map(range -> new Object[] {range}).toArray(Object[][]::new);
  }

  @Test(dataProvider = "trade")
  public void theStartingFigureLiesInWhatTheTradeGets(Range range) {
    Species fish = CATALOGUE.getSpecies(range.species());
    double percent = 100 * share(fish, range.what()) / fish.keptIn(State.GUTTED).toDouble();
    assertTrue(
        percent >= range.lowest() && percent <= range.highest(),
        "%s %s: %.1f %%".formatted(range.species(), range.what(), percent));
  }

  private static double share(Species fish, String what) {
    return switch (what) {
      case "fillets" -> fish.flesh();
      // a fish with a skin part of its own has it off its flesh already
      case "skinless" ->
          of(fish, PartKind.Trait.SKIN) > 0
              ? fish.flesh()
              : fish.flesh() * (1 - fish.eating().skinShare());
      case "on-the-bone" -> fish.flesh() + of(fish, PartKind.Trait.FRAME);
      default -> throw new IllegalArgumentException(what);
    };
  }

  private static double of(Species fish, PartKind.Trait trait) {
    return fish.shares().stream()
        .filter(share -> share.slot().kind().is(trait))
        .mapToDouble(Share::mean)
        .sum();
  }

  /** Written anew to {@code target} when it is not as it should be, to be read and taken over. */
  @Test
  public void theTableInTheDocumentationSaysOfEveryFishWhereItsFactsAreFrom() throws IOException {
    List<Range> ranges = ranges();
    List<String> rows = new ArrayList<>();
    for (Species fish : CATALOGUE.species()) {
      List<Range> own =
          ranges.stream().filter(range -> range.species().equals(fish.code())).toList();
      double kept = fish.keptIn(State.GUTTED).toDouble();
      rows.add(
          "| %s | *%s* | %s | %.0f | %.0f | %s | %s | %s | %s |"
              .formatted(
                  fish.name(),
                  fish.scientificName(),
                  fish.plan().code(),
                  100 * kept,
                  100 * fish.flesh() / kept,
                  own.isEmpty()
                      ? "own estimate"
                      : own.stream()
                          .map(
                              r ->
                                  "trade range, %s %.0f–%.0f"
                                      .formatted(r.what(), r.lowest(), r.highest()))
                          .collect(Collectors.joining("; ")),
                  fish.traits().stream()
                      .map(trait -> trait.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                      .sorted()
                      .collect(Collectors.joining(", ")),
                  "own estimate",
                  own.isEmpty() ? "2026-11-26" : own.get(0).on()));
    }
    String written = Files.exists(TABLE) ? Files.readString(TABLE) : "";
    String table = String.join("\n", rows);
    if (!written.contains(table)) {
      Files.writeString(Path.of("target", "facts-review-rows.md"), table + "\n");
    }
    assertEquals(
        rows.stream().filter(row -> !written.contains(row)).toList(),
        List.of(),
        "see target/facts-review-rows.md");
  }
}
