package mosaicknife.core.plan;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * By which answers a new lot is cut. The house's way for fish of its size goes before what the
 * house answers in general; a question that neither answers keeps its usual choice.
 */
public final class Precedence {

  private Precedence() {}

  /** Where an answer comes from. */
  public enum Source {
    /** The house's way for the species and size. */
    WAY,
    /** The house's answer for any fish. */
    HOUSE
  }

  /**
   * An answer.
   *
   * @param option the code of the question
   * @param choice the code of the choice
   * @param source where it comes from
   */
  public record Answered(String option, String choice, Source source) {}

  /**
   * Finds the answers.
   *
   * @param options the questions that make sense for the fish
   * @param ofWay the choices of the way by question; empty without one
   * @param ofHouse the choices of the house by question
   * @return an answer for each question that one of them answers with a choice it offers
   */
  public static List<Answered> of(
      List<CuttingOption> options, Map<String, String> ofWay, Map<String, String> ofHouse) {
    return options.stream()
        .flatMap(
            option ->
                answer(option, ofWay, Source.WAY)
                    .or(() -> answer(option, ofHouse, Source.HOUSE))
                    .stream())
        .toList();
  }

  private static Optional<Answered> answer(
      CuttingOption option, Map<String, String> choices, Source source) {
    return Optional.ofNullable(choices.get(option.code()))
        .filter(choice -> option.find(choice).isPresent())
        .map(choice -> new Answered(option.code(), choice, source));
  }
}
