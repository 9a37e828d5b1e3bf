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
import mosaicknife.core.kitchen.Marinade;
import mosaicknife.core.safety.FoodState;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.use.FishUse;
import mosaicknife.core.use.UseCatalogue;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The review of what is shipped about each fish: figures within what the trade commonly gets, and a
 * table in the documentation that says of every fish where its facts are from.
 */
public class FactsReviewTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Path TABLE = Path.of("..", "docs", "facts.md");

  private static final java.util.stream.Collector<CharSequence, ?, String> JOINED =
      Collectors.joining(", ");

  private static final String HEAD =
      """
      # The facts that are shipped

      Written by the tests from what the program uses, so it cannot go stale. Every figure is a **starting
      estimate** of this project, from general knowledge of the trade and of what public food codes ask for;
      none is a measurement, none cites one, and none is legal advice. The house's own figures replace them,
      and the local authority and licensed practice decide.
      """;

  private static final String EACH_FISH =
      """
      *own estimate*: put together for this project, fish by fish or by body plan. *trade range*: held against
      what the trade commonly gets; a test fails when the figure leaves it. *Gutted* is the share of the
      ungutted fish that is left when it is gutted; *flesh* is all main cuts, skin on, as a share of the gutted
      fish; both in percent. Parasites are a caution for raw and underdone fish of every wild and fresh-water
      kind whose kin have them.

      | Fish | Scientific name | Body plan | Gutted | Flesh | Source of shares | Hazards and traits | Their source | Checked |
      | --- | --- | --- | ---: | ---: | --- | --- | --- | --- |""";

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
  public void theDocumentationSaysOfEveryFactWhatItIsAndWhoConfirmsIt() throws IOException {
    List<String> facts = new ArrayList<>();
    facts.add(HEAD);
    facts.add("## Limits a house sets\n\n| Limit | Starting value | From – to | Who confirms it |");
    facts.add("| --- | ---: | --- | --- |");
    for (Limit limit : Limit.values()) {
      facts.add(
          "| %s | %d %s | %d – %d | %s |"
              .formatted(
                  words(limit),
                  limit.starting(),
                  words(limit.unit()),
                  limit.least(),
                  limit.most(),
                  "owner, with the local code"));
    }
    facts.add(
        "\n## What something on a shelf is\n\n"
            + "| State | A core made it cooked | Its days are of | By the limit |");
    facts.add("| --- | --- | --- | --- |");
    for (FoodState state : FoodState.values()) {
      facts.add(
          "| %s | %s | %s | %s |"
              .formatted(
                  words(state),
                  state.isHeated()
                      ? "yes"
                      : state == FoodState.FROZEN || state == FoodState.THAWED
                          ? "as it was before"
                          : "no: raw for the gate",
                  state.isOfQuality() ? "quality" : "safety",
                  words(state.keeps())));
    }
    facts.add(
        "\n## Hazards by fish and part\n\n"
            + "| Hazard | Of | Parts | Effect | Fish from | Who confirms it | Read |");
    facts.add("| --- | --- | --- | --- | --- | --- | --- |");
    for (Hazard one : Hazard.shipped()) {
      facts.add(
          "| %s | %s | %s | %s | %s | %s | %s |"
              .formatted(
                  words(one.kind()),
                  sorted(one.of()),
                  sorted(one.parts()),
                  one.closes() ? "never food" : "care",
                  one.from().map(from -> from.inKilograms().toBigInteger() + " kg").orElse("any"),
                  one.confirms(),
                  one.read()));
    }
    facts.add(
        "\n## What the book makes\n\n"
            + "| Use | Served | Put away | Best for days | Oldest, days since landing | Cautions |");
    facts.add("| --- | --- | --- | ---: | ---: | --- |");
    for (FishUse use : UseCatalogue.shipped(CATALOGUE).values()) {
      facts.add(
          "| %s | %s | %s | %d | %s | %s |"
              .formatted(
                  use.name(),
                  use.raw() ? "raw" : "cooked",
                  words(use.kept().state()),
                  use.keeps(),
                  use.oldest().isPresent() ? "" + use.oldest().getAsInt() : "any",
                  use.cautions().stream().map(FactsReviewTest::words).sorted().collect(JOINED)));
    }
    facts.add(
        "\n## Marinades and cures\n\n"
            + "A 20 mm and a 40 mm piece of firm flesh, white and oily: hours until ready, best,"
            + " spoiled.\n\n| Name | Kind | 20 mm white | 40 mm oily |");
    facts.add("| --- | --- | --- | --- |");
    for (Marinade one : Marinade.shipped().values()) {
      facts.add(
          "| %s | %s | %s | %s |"
              .formatted(
                  one.name(),
                  words(one.kind()),
                  hours(one.window(20, CATALOGUE.getSpecies("monkfish").eating())),
                  hours(one.window(40, CATALOGUE.getSpecies("albacore").eating()))));
    }
    facts.add("\n## Fish that are refused\n\n| Fish | Genera | Names known | Why |");
    facts.add("| --- | --- | ---: | --- |");
    ReferenceFile.open(CatalogueReader.class, "refused.csv")
        .lines()
        .forEach(
            line ->
                facts.add(
                    "| %s | %s | %d | %s |"
                        .formatted(
                            line.list(0).get(0),
                            String.join(", ", line.list(1)),
                            line.list(0).size(),
                            line.field(3))));
    facts.add("\n## Each fish\n\n" + EACH_FISH);
    List<Range> ranges = ranges();
    List<String> rows = facts;
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
    String all = String.join("\n", facts) + "\n";
    if (!written.equals(all)) {
      Files.writeString(Path.of("target", "facts.md"), all);
    }
    assertEquals(
        written.lines().toList(),
        all.lines().toList(),
        "if it is right, copy core/target/facts.md");
  }

  private static String words(Enum<?> one) {
    return one.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private static String sorted(java.util.Set<String> all) {
    return all.stream()
        .map(one -> one.equals(one.toUpperCase(Locale.ROOT)) ? one.toLowerCase(Locale.ROOT) : one)
        .map(one -> one.replace('_', ' '))
        .sorted()
        .collect(JOINED);
  }

  private static String hours(Marinade.Window window) {
    return "≈ %.1f, %.1f, %.1f"
        .formatted(window.ready() / 60.0, window.best() / 60.0, window.spoiled() / 60.0);
  }
}
