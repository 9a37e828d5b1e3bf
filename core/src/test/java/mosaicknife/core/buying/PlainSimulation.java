package mosaicknife.core.buying;

import java.util.List;
import java.util.Random;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.breakdown.StartingNorms;
import mosaicknife.core.breakdown.StartingNorms.PartNorm;

/** Draws fish one by one: slow, plain, and the measure of the exact way. */
final class PlainSimulation {

  private final Random random;

  PlainSimulation(long seed) {
    random = new Random(seed);
  }

  /** The portions of one drawn fish. */
  int portions(StartingNorms norms, SizeGrade grade, PortionRule rule) {
    double mass = mass(grade);
    double common = random.nextGaussian();
    List<PartNorm> mains = norms.parts().stream().filter(PartNorm::main).toList();
    int portions = 0;
    for (PartNorm main : mains) {
      double deviation = FishPortions.COMMON * common + FishPortions.OWN * random.nextGaussian();
      double share =
          Math.max(
              FishPortions.LEAST_OF_MEAN * main.mean(), main.mean() + main.spread() * deviation);
      portions += (int) (mass * share / rule.lightest().milligrams());
    }
    return portions;
  }

  private double mass(SizeGrade grade) {
    double from = grade.from().milligrams();
    double to = grade.to().milligrams();
    while (true) {
      double mass = (from + to) / 2 + (to - from) / 4 * random.nextGaussian();
      if (mass >= from && mass <= to) {
        return mass;
      }
    }
  }

  /** How often so many fish give fewer portions than wanted. */
  double risk(
      StartingNorms norms, SizeGrade grade, PortionRule rule, int fish, Demand demand, int draws) {
    int shortOf = 0;
    for (int draw = 0; draw < draws; draw++) {
      int portions = 0;
      for (int i = 0; i < fish; i++) {
        portions += portions(norms, grade, rule);
      }
      long wanted =
          Math.max(0, Math.round(demand.portions() + demand.give() * random.nextGaussian()));
      if (portions < wanted) {
        shortOf++;
      }
    }
    return shortOf / (double) draws;
  }
}
