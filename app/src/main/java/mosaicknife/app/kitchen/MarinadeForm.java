package mosaicknife.app.kitchen;

import java.io.Serializable;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.shared.RecipeText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.kitchen.Marinade;
import mosaicknife.core.kitchen.Marinade.Acid;
import mosaicknife.core.kitchen.Marinade.Grams;
import mosaicknife.core.kitchen.Marinade.Kind;
import mosaicknife.core.kitchen.Marinade.Part;
import mosaicknife.core.kitchen.Marinade.Window;

/**
 * A marinade as typed.
 *
 * @param typed what was typed, by field
 */
record MarinadeForm(Map<String, String> typed) implements Serializable {

  private static final int MOST_GRAMS = 5000;

  /** The fields of the house's own times, in the order of the times. */
  static final List<String> TIMES = List.of("ready", "best", "spoiled");

  private static final BigDecimal AN_HOUR = BigDecimal.valueOf(60);
  private static final BigDecimal LEAST_HOURS = new BigDecimal("0.05");
  private static final BigDecimal MOST_HOURS = BigDecimal.valueOf(Marinade.LONGEST / 60);
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
    typed.put("bag", "" + marinade.grams().bag());
    typed.put("tray", "" + marinade.grams().tray());
    marinade
        .own()
        .ifPresent(
            own -> {
              typed.put("ready", hours(own.ready()));
              typed.put("best", hours(own.best()));
              typed.put("spoiled", hours(own.spoiled()));
            });
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
        new Grams(
            Typed.count(field("bag"), 1, MOST_GRAMS, "bag"),
            Typed.count(field("tray"), 1, MOST_GRAMS, "tray")),
        typed.containsKey("raw"),
        own());
  }

  /** All three times, one after the other, or none. */
  private Optional<Window> own() {
    if (TIMES.stream().allMatch(time -> field(time).isEmpty())) {
      return Optional.empty();
    }
    int[] minutes = TIMES.stream().mapToInt(this::minutes).toArray();
    Window own = new Window(minutes[0], minutes[1], minutes[2]);
    if (!own.isInOrder()) {
      throw Refusal.ofField(TIMES.get(0), "kitchen.problem.own-times");
    }
    return Optional.of(own);
  }

  private int minutes(String time) {
    return Typed.decimal(field(time), 2, LEAST_HOURS, MOST_HOURS, time)
        .multiply(AN_HOUR)
        .setScale(0, RoundingMode.HALF_EVEN)
        .intValueExact();
  }

  private static String hours(int minutes) {
    return BigDecimal.valueOf(minutes)
        .divide(AN_HOUR, 2, RoundingMode.HALF_EVEN)
        .stripTrailingZeros()
        .toPlainString();
  }

  private static Part part(String line) {
    String[] fields = RecipeText.fields(line, 3, "parts", "kitchen.problem.part-line");
    return new Part(
        RecipeText.name(fields[0], "parts"),
        Typed.decimal(fields[1], 2, LEAST_PART, MOST_PARTS, "parts"),
        RecipeText.allergens(fields[2], "parts"));
  }
}
