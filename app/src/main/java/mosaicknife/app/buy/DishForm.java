package mosaicknife.app.buy;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Arrays;
import java.util.Currency;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.catalogue.FishNames;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.ServingForm;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.buying.SoldAs;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.safety.Allergen;

/**
 * A dish as typed.
 *
 * @param name its name
 * @param venue the number of the venue
 * @param portion the mass of a portion
 * @param tolerance how much lighter or heavier a portion may be, in percent
 * @param form how the cuts become plates
 * @param pieces how many pieces or fish make a plate, where the form asks for it
 * @param filled anything if light pieces are filled up from the next
 * @param specification how far the cuts are worked
 * @param price what the guest pays, possibly empty
 * @param garnish what else lies on the plate costs, possibly empty
 * @param limit how much of the price a plate may cost in percent, possibly empty
 * @param raw anything if it is served raw, cured or underdone
 * @param allergens the names of what guests are told of
 * @param fish the fish it may be made of, one name a line
 * @param soldAs the fish it is sold as, one name a line; null to take what its name says, blank for
 *     the catch of the day
 * @param version the version the page showed
 */
public record DishForm(
    String name,
    String venue,
    String portion,
    String tolerance,
    String form,
    String pieces,
    String filled,
    String specification,
    String price,
    String garnish,
    String limit,
    String raw,
    List<String> allergens,
    String fish,
    String soldAs,
    Integer version) {

  /** A dish that is sold as what its name says. */
  public DishForm(
      String name,
      String venue,
      String portion,
      String tolerance,
      String form,
      String pieces,
      String filled,
      String specification,
      String price,
      String garnish,
      String limit,
      String raw,
      List<String> allergens,
      String fish,
      Integer version) {
    this(
        name,
        venue,
        portion,
        tolerance,
        form,
        pieces,
        filled,
        specification,
        price,
        garnish,
        limit,
        raw,
        allergens,
        fish,
        null,
        version);
  }

  /** A dish that was never stored has no version yet. */
  public DishForm {
    version = version == null ? 0 : version;
    allergens = allergens == null ? List.of() : List.copyOf(allergens);
  }

  private static final int LONGEST_NAME = 80;
  private static final int MOST_FISH = 20;
  private static final BigDecimal MOST_PRICE = new BigDecimal(100_000);
  private static final BigDecimal LEAST_LIMIT = BigDecimal.ONE;
  private static final BigDecimal MOST_LIMIT = new BigDecimal(100);
  private static final BigDecimal MOST_TOLERANCE = new BigDecimal(30);

  /** A dish as understood. */
  record Understood(
      String name,
      long venue,
      Serving serving,
      Specification specification,
      Optional<ExactMoney> price,
      Optional<ExactMoney> garnish,
      Optional<BigDecimal> costLimit,
      boolean raw,
      Set<Allergen> allergens,
      List<String> fish,
      Set<String> soldAs) {}

  static DishForm empty(long venue) {
    return new DishForm(
        "",
        "" + venue,
        "",
        "5",
        Serving.Form.SLICES.name(),
        "1",
        "",
        Specification.SKIN_ON.name(),
        "",
        "",
        "",
        "",
        List.of(),
        "",
        0);
  }

  static DishForm of(Dish dish, Catalogue catalogue, Formats formats) {
    return new DishForm(
        dish.name(),
        "" + dish.venue().id(),
        formats.mass(dish.serving().target()),
        BigDecimal.valueOf(dish.serving().tolerance())
            .movePointRight(2)
            .stripTrailingZeros()
            .toPlainString(),
        dish.serving().form().name(),
        "" + dish.serving().count(),
        dish.serving().filled() ? "yes" : "",
        dish.specification().name(),
        dish.price().map(price -> price.amount().toPlainString()).orElse(""),
        dish.garnish().map(cost -> cost.amount().toPlainString()).orElse(""),
        dish.costLimit()
            .map(share -> share.toPercent(2, RoundingMode.HALF_UP).stripTrailingZeros())
            .map(BigDecimal::toPlainString)
            .orElse(""),
        dish.raw() ? "yes" : "",
        dish.allergens().stream().map(Allergen::name).toList(),
        String.join("\n", dish.fish().stream().map(code -> named(code, catalogue)).toList()),
        String.join(
            "\n",
            dish.fish().stream()
                .filter(code -> dish.soldAs().size() < dish.fish().size())
                .filter(dish.soldAs()::contains)
                .map(code -> named(code, catalogue))
                .toList()),
        dish.version());
  }

  private static String named(String code, Catalogue catalogue) {
    return catalogue.findSpecies(code).map(Species::name).orElse(code);
  }

  Understood understood(Catalogue catalogue, Formats formats) {
    BigDecimal percent = Typed.percent(tolerance, BigDecimal.ZERO, MOST_TOLERANCE, "tolerance");
    return new Understood(
        PlainText.needed(name, LONGEST_NAME, "name", FieldName.NAME_OF_DISH),
        Typed.id(venue, "venue"),
        new ServingForm(portion, form, pieces)
            .understood(percent.movePointLeft(2).doubleValue(), !text(filled).isEmpty(), formats),
        Arrays.stream(Specification.values())
            .filter(s -> s.name().equals(specification))
            .findFirst()
            .orElseThrow(
                () -> Refusal.ofField("specification", "buy.problem.the-cut-is-missing-choose")),
        money(price, "price", formats.currency()),
        money(garnish, "garnish", formats.currency()),
        text(limit).isBlank()
            ? Optional.empty()
            : Optional.of(Typed.percent(limit, LEAST_LIMIT, MOST_LIMIT, "limit").movePointLeft(2)),
        !text(raw).isEmpty(),
        Arrays.stream(Allergen.values())
            .filter(allergen -> allergens.contains(allergen.name()))
            .collect(Collectors.toSet()),
        List.copyOf(species(fish, new FishNames(catalogue, formats))),
        sold(catalogue, new FishNames(catalogue, formats)));
  }

  /** What a person said; else what the name of the dish says. */
  private Set<String> sold(Catalogue catalogue, FishNames names) {
    Set<String> made = species(fish, names);
    if (soldAs == null) {
      return SoldAs.suggested(name, made.stream().map(catalogue::getSpecies).toList()).stream()
          .map(Species::code)
          .collect(Collectors.toSet());
    }
    Set<String> said = soldAs.isBlank() ? made : species(soldAs, names);
    for (String code : said) {
      if (!made.contains(code)) {
        throw Refusal.ofField("soldAs", "buy.problem.sold-as-another", named(code, catalogue));
      }
    }
    return said;
  }

  private static Optional<ExactMoney> money(String typed, String field, Currency currency) {
    return text(typed).isBlank()
        ? Optional.empty()
        : Optional.of(Typed.money(typed, MOST_PRICE, currency, field));
  }

  private static Set<String> species(String fish, FishNames names) {
    Set<String> codes = new LinkedHashSet<>();
    for (String line : text(fish).split("[\\r\\n]+")) {
      if (line.isBlank()) {
        continue;
      }
      String typed = PlainText.line(line, 120, "fish", FieldName.FISH);
      codes.add(
          names
              .writtenOrMeant(typed, "fish")
              .orElseThrow(
                  () -> Refusal.ofField("fish", "buy.problem.no-fish-here-is-called", typed))
              .code());
    }
    if (codes.isEmpty()) {
      throw Refusal.ofField("fish", "buy.problem.which-fish-is-it-made");
    }
    if (codes.size() > MOST_FISH) {
      throw Refusal.ofField("fish", "buy.problem.up-to-fish-are-kept", MOST_FISH);
    }
    return codes;
  }

  private static String text(String typed) {
    return typed == null ? "" : typed;
  }
}
