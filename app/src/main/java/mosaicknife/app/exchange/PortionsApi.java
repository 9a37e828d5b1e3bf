package mosaicknife.app.exchange;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.catalogue.CatalogueEditor;
import mosaicknife.app.exchange.PortionsRequest.TypeRequest;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Slicer;
import mosaicknife.core.slice.Slicing;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Cuts a fillet that nobody stored. */
@RestController
@Tag(name = "Evaluation")
class PortionsApi {

  private static final int MOST_TYPES = 200;
  private static final Mass HEAVIEST = Mass.ofKilograms("40");
  private static final BigDecimal THICKEST = BigDecimal.valueOf(200);
  private static final long MOST_WORTH = 10_000_000;

  private final CatalogueEditor catalogue;
  private final Words words;

  PortionsApi(CatalogueEditor catalogue, Words words) {
    this.catalogue = catalogue;
    this.words = words;
  }

  @PostMapping("/api/v1/evaluate/portions")
  @Operation(
      summary = "Cut a fillet",
      description =
          "Stateless: from species, part, mass and kinds of portion to where the knife goes, what"
              + " each piece weighs, and what is left over.")
  PortionsAnswer portions(@RequestBody PortionsRequest request) {
    Fields fields = new Fields(words);
    Optional<Species> species =
        fields.read("species", Optional.empty(), () -> Optional.of(species(request.species())));
    Mass mass = fields.read("mass", Mass.ofGrams(1), () -> mass(request.mass()));
    Mass fish = fields.read("fish", Mass.ofKilograms("1"), () -> mass(request.fish()));
    long over = fields.read("overPerKilogram", 0L, () -> worth(request.overPerKilogram(), 0));
    List<PortionType> types = types(request, fields);
    Optional<Fillet> fillet =
        fields.read(
            "part",
            Optional.empty(),
            () -> species.flatMap(one -> Optional.of(fillet(one, request, mass, fish))));
    fields.check();
    return answer(Slicer.best(fillet.orElseThrow(), types, over));
  }

  private Species species(String code) {
    return catalogue
        .now()
        .findSpecies(code == null ? "" : code)
        .orElseThrow(() -> Refusal.ofInput("exchange.problem.is-no-species-here", code));
  }

  private static Mass mass(String text) {
    Mass mass = MassText.parse(text, MassUnit.KILOGRAM).mass();
    if (mass.compareTo(Mass.ofGrams(1)) < 0 || mass.compareTo(HEAVIEST) > 0) {
      throw Refusal.ofInput("exchange.problem.no-fillet-mass", HEAVIEST);
    }
    return mass;
  }

  private static long worth(Long value, long otherwise) {
    if (value != null && (value < 0 || value > MOST_WORTH)) {
      throw Refusal.ofInput("exchange.problem.no-worth", value);
    }
    return value == null ? otherwise : value;
  }

  private static Fillet fillet(Species species, PortionsRequest request, Mass mass, Mass fish) {
    String part = request.part() == null ? "" : request.part();
    Optional<Double> length = Optional.ofNullable(request.length()).map(BigDecimal::doubleValue);
    if (length.isPresent() && !Fillet.isLength(species, part, fish, length.get())) {
      throw Refusal.ofInput("slice.problem.length", request.length().toPlainString());
    }
    return Fillet.of(species, part, mass, fish, length)
        .orElseThrow(() -> Refusal.ofInput("exchange.problem.is-not-drawn", part, species.name()));
  }

  private static List<PortionType> types(PortionsRequest request, Fields fields) {
    List<TypeRequest> asked = request.types() == null ? List.of() : request.types();
    List<PortionType> types = new ArrayList<>();
    for (int i = 0; i < Math.min(MOST_TYPES, asked.size()); i++) {
      TypeRequest one = asked.get(i);
      fields.read("types[%d]".formatted(i), null, () -> types.add(type(one)));
    }
    if (asked.isEmpty() || asked.size() > MOST_TYPES) {
      fields.wrong("types", "exchange.problem.portion-types", asked.size(), MOST_TYPES);
    }
    return types;
  }

  private static PortionType type(TypeRequest asked) {
    if (asked == null) {
      throw Refusal.ofInput("exchange.problem.portion-limits");
    }
    Mass target = mass(asked.target());
    Mass lightest = asked.lightest() == null ? target : mass(asked.lightest());
    Mass heaviest = asked.heaviest() == null ? target : mass(asked.heaviest());
    BigDecimal thick = asked.thickness() == null ? BigDecimal.ZERO : asked.thickness();
    boolean isAsked = asked.name() != null && !asked.name().isBlank();
    boolean inOrder = lightest.compareTo(target) <= 0 && target.compareTo(heaviest) <= 0;
    if (!isAsked || !inOrder || thick.signum() < 0 || thick.compareTo(THICKEST) > 0) {
      throw Refusal.ofInput("exchange.problem.portion-limits");
    }
    return new PortionType(
        asked.name(),
        target,
        lightest,
        heaviest,
        thick.doubleValue(),
        Boolean.TRUE.equals(asked.boneless()),
        worth(asked.value(), 1));
  }

  private static PortionsAnswer answer(Slicing slicing) {
    double length = slicing.fillet().centimetres();
    return new PortionsAnswer(
        tenth(length),
        slicing.fillet().measured(),
        slicing.portions().size(),
        slicing.over().inGrams(),
        slicing.pieces().stream()
            .map(
                piece ->
                    new PortionsAnswer.PieceJson(
                        tenth(piece.from() * length),
                        tenth(piece.to() * length),
                        piece.mass().inGrams(),
                        piece.type().map(PortionType::name).orElse(null),
                        piece.bones(),
                        tenth(piece.thinnest())))
            .toList());
  }

  private static BigDecimal tenth(double figure) {
    return BigDecimal.valueOf(figure).setScale(1, RoundingMode.HALF_UP);
  }
}
