package mosaicknife.app.pot;

import java.io.Serializable;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.RecipeText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.PotStep.Caution;
import mosaicknife.core.pot.PotStep.Work;
import mosaicknife.core.pot.StockMethod;
import mosaicknife.core.pot.StockMethod.Ingredient;

/**
 * A way to cook a stock as typed: each step has fields of its own, counted from 0, and a number
 * that says where it comes.
 *
 * @param typed what was typed, by field
 */
record MethodForm(Map<String, String> typed) implements Serializable {

  private static final int SPARE = 3;
  private static final int MOST_STEPS = 30;
  private static final int LONGEST = 120;
  private static final int LONGEST_STEP = 2880;
  private static final int LINE = 4;

  /** Keeps what can be kept between two pages. */
  MethodForm {
    typed = new HashMap<>(typed);
  }

  static MethodForm of(StockMethod method) {
    Map<String, String> typed = new HashMap<>();
    typed.put("name", method.name());
    typed.put("bones", "" + method.gramsOfBones());
    typed.put("result", method.result());
    typed.put("keeps", "" + method.keeps());
    typed.put(
        "lines",
        method.lines().stream()
            .map(
                one ->
                    RecipeText.write(one.line())
                        + one.when()
                            .map(answer -> ", " + answer.name().toLowerCase(Locale.ROOT))
                            .orElse(""))
            .collect(Collectors.joining("\n")));
    method.usual().forEach(answer -> typed.put("usual-" + answer.name(), "on"));
    for (int i = 0; i < method.steps().size(); i++) {
      PotStep step = method.steps().get(i);
      typed.put("place-" + i, "" + (i + 1));
      typed.put("code-" + i, step.code());
      typed.put("step-" + i, step.name());
      typed.put("work-" + i, step.work().name());
      typed.put("shortest-" + i, "" + step.shortest());
      typed.put("usual-" + i, "" + step.usual());
      typed.put("longest-" + i, "" + step.longest());
      typed.put("cue-" + i, step.cue());
      typed.put("late-" + i, step.ifLate());
      typed.put("caution-" + i, step.caution().map(Enum::name).orElse("NONE"));
      typed.put("when-" + i, step.when().map(Enum::name).orElse("ALWAYS"));
    }
    return new MethodForm(typed);
  }

  /** The rows of steps, and some more to write into. */
  public List<Integer> rows() {
    int last = -1;
    for (int i = 0; i < MOST_STEPS; i++) {
      last = field("step-" + i).isEmpty() ? last : i;
    }
    List<Integer> rows = new ArrayList<>();
    for (int i = 0; i <= Math.min(last + SPARE, MOST_STEPS - 1); i++) {
      rows.add(i);
    }
    return rows;
  }

  public String field(String name) {
    return typed.getOrDefault(name, "").strip();
  }

  /** The way as understood. */
  StockMethod understood(String code, Set<String> uses) {
    String name = text("name", RecipeText.name(field("name"), "name"));
    List<Ingredient> lines =
        RecipeText.lines(typed.getOrDefault("lines", ""), "lines", MethodForm::ingredient);
    return new StockMethod(
        code,
        name,
        uses,
        Typed.count(field("bones"), 50, 3000, "bones"),
        lines,
        java.util.Arrays.stream(Answer.values())
            .filter(answer -> typed.containsKey("usual-" + answer.name()))
            .collect(Collectors.toSet()),
        text("result", PlainText.line(field("result"), LONGEST, "result", FieldName.NOTE)),
        Typed.count(field("keeps"), 0, 365, "keeps"),
        steps());
  }

  private static Ingredient ingredient(String typed) {
    int commas = (int) typed.chars().filter(c -> c == ',').count();
    if (commas != LINE) {
      return new Ingredient(RecipeText.line(typed, "lines"), Optional.empty());
    }
    int last = typed.lastIndexOf(',');
    String answer = typed.substring(last + 1).strip().toUpperCase(java.util.Locale.ROOT);
    return new Ingredient(
        RecipeText.line(typed.substring(0, last), "lines"),
        Optional.of(
            Typed.choice(Answer.values(), answer)
                .orElseThrow(
                    () ->
                        Refusal.ofField(
                            "lines", "pot.problem.no-such-answer", Typed.shortened(answer)))));
  }

  /** A step with the number that says where it comes. */
  private record Placed(BigDecimal place, PotStep step) {}

  private List<PotStep> steps() {
    List<Placed> placed = new ArrayList<>();
    Set<String> codes = new HashSet<>();
    for (int i = 0; i < MOST_STEPS; i++) {
      if (!field("step-" + i).isEmpty()) {
        BigDecimal place =
            Typed.decimal(
                field("place-" + i), 1, BigDecimal.ZERO, BigDecimal.valueOf(99), "place-" + i);
        placed.add(new Placed(place, step(i, codes)));
      }
    }
    if (placed.isEmpty()) {
      throw Refusal.ofField("step-0", "pot.problem.no-step");
    }
    return placed.stream().sorted(Comparator.comparing(Placed::place)).map(Placed::step).toList();
  }

  private PotStep step(int i, Set<String> codes) {
    String name =
        text(
            "step-" + i,
            PlainText.needed(field("step-" + i), LONGEST, "step-" + i, FieldName.NAME));
    String cue =
        text("cue-" + i, PlainText.needed(field("cue-" + i), LONGEST, "cue-" + i, FieldName.NOTE));
    int shortest = Typed.count(field("shortest-" + i), 0, LONGEST_STEP, "shortest-" + i);
    int usual = Typed.count(field("usual-" + i), 0, LONGEST_STEP, "usual-" + i);
    int longest = Typed.count(field("longest-" + i), 0, LONGEST_STEP, "longest-" + i);
    if (!PotStep.areInOrder(shortest, usual, longest)) {
      throw Refusal.ofField("shortest-" + i, "pot.problem.times", name);
    }
    String code = code(i, name, codes);
    codes.add(code);
    return new PotStep(
        code,
        name,
        Typed.choice(Work.values(), field("work-" + i))
            .orElseThrow(() -> Refusal.ofField("work-" + i, "shared.problem.not-chosen")),
        shortest,
        usual,
        longest,
        cue,
        text("late-" + i, PlainText.line(field("late-" + i), LONGEST, "late-" + i, FieldName.NOTE)),
        Typed.choice(Caution.values(), field("caution-" + i)),
        Typed.choice(Answer.values(), field("when-" + i)));
  }

  /** The code it had, so that the clocks of what runs stay; a new one is made of its name. */
  private String code(int i, String name, Set<String> taken) {
    String had = field("code-" + i);
    if (had.matches("[a-z0-9-]{1,40}") && !taken.contains(had)) {
      return had;
    }
    String stem =
        name.toLowerCase(java.util.Locale.ROOT)
            .replaceAll("[^a-z0-9]+", "-")
            .replaceAll("^-|-$", "");
    String base = stem.isEmpty() ? "step" : stem.substring(0, Math.min(24, stem.length()));
    String code = base;
    for (int n = 2; taken.contains(code); n++) {
      code = base + "-" + n;
    }
    return code;
  }

  /** What is kept in lines with such a sign between them. */
  private static String text(String field, String text) {
    if (text.contains(";")) {
      throw Refusal.ofField(field, "shared.problem.signs", text);
    }
    return text;
  }
}
