package mosaicknife.core.buying;

import java.time.Month;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import mosaicknife.core.anatomy.Season.Hemisphere;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.buying.Substitutes.Substitute;

/**
 * A fish in place of another, with what it would come to.
 *
 * @param substitute the fish and how it differs
 * @param inSeason whether it is at its best
 * @param candidate the cheapest whole fish of it on offer that keeps the promise, if there is one
 */
public record Alternative(Substitute substitute, boolean inSeason, Optional<Candidate> candidate) {

  /** A fish further away than this eats clearly different; a starting value. */
  private static final double FAR = 6;

  private static final int MOST = 6;

  /**
   * What is asked when a fish may be replaced.
   *
   * @param first the fish the dish is made of
   * @param own the codes of all fish it may be made of already
   * @param month when it is eaten
   * @param hemisphere where
   */
  public record Question(
      Species first, Collection<String> own, Month month, Hemisphere hemisphere) {}

  /**
   * Finds fish that eat alike and are on offer or in season.
   *
   * @param question which fish may be replaced, and when
   * @param among all fish
   * @param offered everything on offer
   * @param planner works out a candidate
   * @param wish what is wanted
   * @return up to six, what can be bought before what is only in season, then the most alike
   */
  public static List<Alternative> of(
      Question question,
      Collection<Species> among,
      List<Offer> offered,
      OrderPlanner planner,
      Wish wish) {
    List<Alternative> found = new ArrayList<>();
    for (Substitute substitute : Substitutes.of(question.first(), among)) {
      Species species = substitute.species();
      if (substitute.distance() <= FAR && !question.own().contains(species.code())) {
        Optional<Candidate> candidate =
            offered.stream()
                .filter(o -> o.species().equals(species) && o.form() == Offer.Form.WHOLE)
                .flatMap(offer -> planner.candidate(wish, offer).stream())
                .min(Comparator.comparing(Candidate::costPerServed));
        boolean inSeason = species.season().isBest(question.month(), question.hemisphere());
        if (candidate.isPresent() || inSeason) {
          found.add(new Alternative(substitute, inSeason, candidate));
        }
      }
    }
    found.sort(
        Comparator.comparing((Alternative a) -> a.candidate().isEmpty())
            .thenComparing(a -> a.substitute().distance()));
    return found.stream().limit(MOST).toList();
  }
}
