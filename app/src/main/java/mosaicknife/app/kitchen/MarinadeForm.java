package mosaicknife.app.kitchen;

import java.io.Serializable;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mosaicknife.app.shared.RecipeText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.kitchen.Marinade;
import mosaicknife.core.kitchen.Marinade.Acid;
import mosaicknife.core.kitchen.Marinade.Kind;
import mosaicknife.core.kitchen.Marinade.Part;

/**
 * A marinade as typed.
 *
 * @param typed what was typed, by field
 */
record MarinadeForm(Map<String, String> typed) implements Serializable {

  private static final int MOST_GRAMS = 5000;
  private static final BigDecimal LEAST_PART = new BigDecimal("0.01");
  private static final BigDecimal MOST_PARTS = BigDecimal.valueOf(1000);

  /** Keeps what can be kept between two pages. */
  MarinadeForm {
    typed = new HashMap<>(typed);
  }

  static MarinadeForm of(Marinade marinade) {
    Map<String, String> typed = new HashMap<>();
    typed.put("name", marinade.name());
    typed.put("kind", marinade.kind().name());
    typed.put("acid", marinade.acid().name());
    typed.put("bag", "" + marinade.bag());
    typed.put("tray", "" + marinade.tray());
    typed.put(
        "parts",
        marinade.parts().stream()
            .map(
                part ->
                    "%s, %s, %s"
                        .formatted(
                            part.name(),
                            part.parts().toPlainString(),
                            RecipeText.write(part.allergens())))
            .collect(Collectors.joining("\n")));
    if (marinade.raw()) {
      typed.put("raw", "on");
    }
    return new MarinadeForm(typed);
  }

  public String field(String name) {
    return typed.getOrDefault(name, "").strip();
  }

  /** The marinade as understood. */
  Marinade understood(String code) {
    List<Part> parts = RecipeText.lines(field("parts"), "parts", MarinadeForm::part);
    if (parts.isEmpty()) {
      throw Refusal.ofField("parts", "kitchen.problem.no-part");
    }
    return new Marinade(
        code,
        RecipeText.name(field("name"), "name"),
        Typed.choice(Kind.values(), field("kind"))
            .orElseThrow(() -> Refusal.ofField("kind", "shared.problem.not-chosen")),
        Typed.choice(Acid.values(), field("acid"))
            .orElseThrow(() -> Refusal.ofField("acid", "shared.problem.not-chosen")),
        parts,
        Typed.count(field("bag"), 1, MOST_GRAMS, "bag"),
        Typed.count(field("tray"), 1, MOST_GRAMS, "tray"),
        typed.containsKey("raw"));
  }

  private static Part part(String line) {
    String[] fields = RecipeText.fields(line, 3, "parts", "kitchen.problem.part-line");
    return new Part(
        RecipeText.name(fields[0], "parts"),
        Typed.decimal(fields[1], 2, LEAST_PART, MOST_PARTS, "parts"),
        RecipeText.allergens(fields[2], "parts"));
  }
}
