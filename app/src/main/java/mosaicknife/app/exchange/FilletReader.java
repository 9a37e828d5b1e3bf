package mosaicknife.app.exchange;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.catalogue.FishNames;
import mosaicknife.app.exchange.PortionsRequest.TypeRequest;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Style;
import org.springframework.stereotype.Component;

/** Reads fillets and kinds of portion. */
@Component
class FilletReader {

  static final int MOST_TYPES = 200;
  private static final BigDecimal THICKEST = BigDecimal.valueOf(200);
  private static final long MOST_WORTH = 10_000_000;

  private final CatalogueEditor catalogue;

  FilletReader(CatalogueEditor catalogue) {
    this.catalogue = catalogue;
  }

  Species species(String code) {
    return species(catalogue.now(), code == null ? "" : code);
  }

  /** A code, and nothing else; a fish that is refused says why. */
  static Species species(Catalogue fish, String code) {
    Optional<Species> found = fish.findSpecies(code);
    if (found.isEmpty()) {
      FishNames.refuse(fish.findRefused(code), "");
    }
    return found.orElseThrow(() -> Refusal.ofInput("exchange.problem.is-no-species-here", code));
  }

  /** Shapes a fillet; what is wrong is remembered under the names of its fields. */
  Optional<Fillet> fillet(
      String at,
      String code,
      String part,
      String mass,
      String fish,
      BigDecimal length,
      Fields fields) {
    Optional<Species> species =
        fields.read(at + "species", Optional.empty(), () -> Optional.of(species(code)));
    Mass own = fields.read(at + "mass", Mass.ofGrams(1), () -> Texts.cut(mass));
    Mass whole = fields.read(at + "fish", Mass.ofKilograms("1"), () -> Texts.fish(fish));
    return fields.read(
        at + "part",
        Optional.empty(),
        () -> species.flatMap(one -> Optional.of(shape(one, part, own, whole, length))));
  }

  private static Fillet shape(
      Species species, String part, Mass mass, Mass fish, BigDecimal length) {
    String slot = part == null ? "" : part;
    Optional<Double> measured = Optional.ofNullable(length).map(BigDecimal::doubleValue);
    if (measured.isPresent() && !Fillet.isLength(species, slot, fish, measured.get())) {
      throw Refusal.ofInput("slice.problem.length", length.toPlainString());
    }
    return Fillet.of(species, slot, mass, fish, measured)
        .orElseThrow(() -> Refusal.ofInput("exchange.problem.is-not-drawn", slot, species.name()));
  }

  static List<PortionType> types(List<TypeRequest> asked, Fields fields) {
    List<TypeRequest> some = asked == null ? List.of() : asked;
    List<PortionType> types = new ArrayList<>();
    for (int i = 0; i < Math.min(MOST_TYPES, some.size()); i++) {
      TypeRequest one = some.get(i);
      fields.read("types[" + i + "]", null, () -> types.add(type(one)));
    }
    if (some.isEmpty() || some.size() > MOST_TYPES) {
      fields.wrong("types", "exchange.problem.portion-types", some.size(), MOST_TYPES);
    }
    return types;
  }

  static PortionType type(TypeRequest asked) {
    if (asked == null) {
      throw Refusal.ofInput("exchange.problem.portion-limits");
    }
    Mass target = Texts.cut(asked.target());
    Mass lightest = asked.lightest() == null ? target : Texts.cut(asked.lightest());
    Mass heaviest = asked.heaviest() == null ? target : Texts.cut(asked.heaviest());
    BigDecimal thick = asked.thickness() == null ? BigDecimal.ZERO : asked.thickness();
    Style style = Texts.choice(Style.values(), asked.style(), Style.STRAIGHT);
    boolean boneless = Boolean.TRUE.equals(asked.boneless());
    boolean isAsked = asked.name() != null && !asked.name().isBlank();
    boolean inOrder =
        lightest.compareTo(target) <= 0
            && target.compareTo(heaviest) <= 0
            && heaviest.minus(lightest).compareTo(target) <= 0;
    if (!isAsked || !inOrder || thick.signum() < 0 || thick.compareTo(THICKEST) > 0) {
      throw Refusal.ofInput("exchange.problem.portion-limits");
    }
    if (boneless && style == Style.STEAK) {
      throw Refusal.ofInput("slice.problem.a-steak-has-its-bone");
    }
    return new PortionType(
        asked.name(),
        target,
        lightest,
        heaviest,
        thick.doubleValue(),
        boneless,
        worth(asked.value(), 1),
        style);
  }

  static long worth(Long value, long otherwise) {
    if (value != null && (value < 0 || value > MOST_WORTH)) {
      throw Refusal.ofInput("exchange.problem.no-worth", value);
    }
    return value == null ? otherwise : value;
  }
}
