package mosaicknife.core.pot;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.ReferenceFile;
import mosaicknife.core.anatomy.ReferenceFile.Line;
import mosaicknife.core.check.Check;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.pot.PotStep.Caution;
import mosaicknife.core.pot.PotStep.Work;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.RecipeLine;

/**
 * A way to cook a stock, as one school does it: all are valid, and the house picks one per batch.
 *
 * @param code the lasting identifier
 * @param name what a cook calls it
 * @param uses the codes of the uses it is the usual way of
 * @param gramsOfBones how many grams of bones a litre of stock takes, positive
 * @param lines what goes in beside the bones
 * @param usual the answers that are usual with it
 * @param result what it is like
 * @param keeps for how many days it keeps, from 0
 * @param steps its steps, in their order
 */
public record StockMethod(
    String code,
    String name,
    Set<String> uses,
    int gramsOfBones,
    List<Ingredient> lines,
    Set<Answer> usual,
    String result,
    int keeps,
    List<PotStep> steps) {

  private static final String FILE = "methods.csv";

  /** Copies the lists and refuses a method without steps. */
  public StockMethod {
    Check.text(code, "code");
    Check.text(name, "name");
    uses = Set.copyOf(uses);
    Check.inRange(gramsOfBones, 1, 5000, "grams of bones a litre");
    lines = List.copyOf(lines);
    usual = Set.copyOf(usual);
    Check.notNull(result, "result");
    Check.inRange(keeps, 0, 365, "days it keeps");
    steps = List.copyOf(steps);
    Check.that(!steps.isEmpty(), "Expected a step");
    Set<String> codes = new HashSet<>();
    for (PotStep step : steps) {
      Check.that(codes.add(step.code()), "Expected each step once, found twice " + step.code());
    }
  }

  /**
   * Something that goes in.
   *
   * @param line what, as a share of the bones
   * @param when the answer it goes in for; empty if always
   */
  public record Ingredient(RecipeLine line, Optional<Answer> when) {}

  /**
   * Returns the steps that are done.
   *
   * @param answers what was answered
   * @return the steps, in their order
   */
  public List<PotStep> steps(Set<Answer> answers) {
    return steps.stream()
        .filter(step -> step.when().isEmpty() || answers.contains(step.when().get()))
        .toList();
  }

  /**
   * Returns what goes in.
   *
   * @param answers what was answered
   * @return the lines
   */
  public List<RecipeLine> lines(Set<Answer> answers) {
    return lines.stream()
        .filter(one -> one.when().isEmpty() || answers.contains(one.when().get()))
        .map(Ingredient::line)
        .toList();
  }

  /**
   * Returns the same with more that goes in.
   *
   * @param others what goes in too, whatever is answered
   * @return the method
   */
  public StockMethod plus(List<RecipeLine> others) {
    List<Ingredient> all = new ArrayList<>(lines);
    others.forEach(line -> all.add(new Ingredient(line, Optional.empty())));
    return new StockMethod(code, name, uses, gramsOfBones, all, usual, result, keeps, steps);
  }

  /**
   * Returns the bones so many litres take.
   *
   * @param litres how many litres are wanted
   * @param there the bones there are
   * @return no more than there are
   */
  public Mass bones(double litres, Mass there) {
    Mass needed = Mass.ofGrams(Math.round(litres * gramsOfBones));
    return needed.compareTo(there) < 0 ? needed : there;
  }

  /**
   * Returns what can be answered with this method.
   *
   * @return the answers any step or line hangs on, and the lid
   */
  public Set<Answer> asks() {
    Set<Answer> asks = EnumSet.of(Answer.LID);
    steps.forEach(step -> step.when().ifPresent(asks::add));
    lines.forEach(one -> one.when().ifPresent(asks::add));
    return asks;
  }

  /**
   * Reads the shipped methods.
   *
   * @return the methods by code, in the order of the file
   * @throws mosaicknife.core.anatomy.ReferenceDataException if a line is not understood
   */
  public static Map<String, StockMethod> shipped() {
    return all(ReferenceFile.open(StockMethod.class, FILE));
  }

  /**
   * Reads a method of the house, written as lines of the file.
   *
   * @param text the lines
   * @return the method
   * @throws mosaicknife.core.anatomy.ReferenceDataException if it is not understood
   */
  public static StockMethod read(String text) {
    return all(ReferenceFile.of(FILE, text)).values().iterator().next();
  }

  /**
   * Writes the method as lines of the file.
   *
   * @return the lines; no name in it has a semicolon, and none of a line a comma or slash
   */
  public String write() {
    List<String> text = new ArrayList<>();
    text.add(
        String.join(
            ";",
            "method",
            code,
            name,
            String.join(",", uses.stream().sorted().toList()),
            "" + gramsOfBones,
            lines.stream().map(StockMethod::write).collect(Collectors.joining(",")),
            usual.stream().map(Enum::name).sorted().collect(Collectors.joining(",")),
            result,
            "" + keeps));
    for (PotStep step : steps) {
      text.add(
          String.join(
              ";",
              "step",
              step.code(),
              step.name(),
              step.work().name(),
              "" + step.shortest(),
              "" + step.usual(),
              "" + step.longest(),
              step.cue(),
              step.ifLate(),
              step.caution().map(Enum::name).orElse(""),
              step.when().map(Enum::name).orElse("")));
    }
    return String.join("\n", text);
  }

  private static String write(Ingredient one) {
    return one.line().write() + one.when().map(answer -> "/" + answer.name()).orElse("");
  }

  private static Map<String, StockMethod> all(ReferenceFile file) {
    Map<String, StockMethod> all = new LinkedHashMap<>();
    Line head = null;
    List<PotStep> steps = new ArrayList<>();
    for (Line line : file.lines()) {
      if (line.field(0).equals("method")) {
        put(head, steps, all);
        head = line;
        steps = new ArrayList<>();
      } else if (line.field(0).equals("step") && head != null) {
        steps.add(step(line));
      } else {
        throw line.problem("neither a method nor a step of one");
      }
    }
    put(head, steps, all);
    return all;
  }

  private static void put(Line head, List<PotStep> steps, Map<String, StockMethod> all) {
    if (head != null) {
      StockMethod method =
          new StockMethod(
              head.field(1),
              head.field(2),
              Set.copyOf(head.list(3)),
              head.read(4, Integer::valueOf),
              head.read(5, text -> head.list(5).stream().map(StockMethod::ingredient).toList()),
              head.list(6).stream().map(Answer::valueOf).collect(Collectors.toSet()),
              head.field(7),
              head.read(8, Integer::valueOf),
              steps);
      if (all.put(method.code(), method) != null) {
        throw head.problem("a second method of this code");
      }
    }
  }

  private static PotStep step(Line line) {
    return line.read(
        1,
        code ->
            new PotStep(
                code,
                line.field(2),
                line.read(3, Work::valueOf),
                line.read(4, Integer::valueOf),
                line.read(5, Integer::valueOf),
                line.read(6, Integer::valueOf),
                line.field(7),
                line.field(8),
                Optional.of(line.field(9)).filter(t -> !t.isEmpty()).map(Caution::valueOf),
                Optional.of(line.field(10)).filter(t -> !t.isEmpty()).map(Answer::valueOf)));
  }

  private static Ingredient ingredient(String text) {
    String[] fields = text.split("/", -1);
    return new Ingredient(
        RecipeLine.read(fields),
        fields.length == 5 ? Optional.of(Answer.valueOf(fields[4])) : Optional.empty());
  }
}
