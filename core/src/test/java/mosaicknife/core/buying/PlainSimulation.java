package mosaicknife.core.buying;

import java.util.List;
import java.util.Random;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.plan.CutPlan.MainCut;
import mosaicknife.core.portion.Serving;

/** Draws fish one by one: slow, plain, and the measure of the exact way. */
final class PlainSimulation {

  // two sides correlate with 0.9: written out here, so that the simulation leans on nothing
  private static final double SHARED = Math.sqrt(0.9);
  private static final double OWN = Math.sqrt(0.1);
  private static final double LEAST_OF_MEAN = 0.2;

  private final Random random;

  PlainSimulation(long seed) {
    random = new Random(seed);
  }

  /** The portions of one drawn fish. */
  int portions(List<MainCut> mains, SizeGrade grade, Serving rule) {
    return portions(mains, grade, rule.lightest().milligrams());
  }

  private int portions(List<MainCut> mains, SizeGrade grade, long lightest) {
    double mass = mass(grade);
    double common = random.nextGaussian();
    int portions = 0;
    for (MainCut main : mains) {
      double deviation = SHARED * common + OWN * random.nextGaussian();
      double share = Math.max(LEAST_OF_MEAN * main.mean(), main.mean() + main.spread() * deviation);
      portions += (int) (mass * share / lightest);
    }
    return portions;
  }

  /**
   * How often so many fish give too few plates where light fillets are put together, k to a plate.
   */
  double riskTogether(
      List<MainCut> mains, SizeGrade grade, Serving rule, int fish, int plates, int draws) {
    int shortOf = 0;
    long lightest = rule.lightest().milligrams();
    for (int draw = 0; draw < draws; draw++) {
      double worth = 0;
      for (int i = 0; i < fish; i++) {
        double mass = mass(grade);
        double common = random.nextGaussian();
        for (MainCut main : mains) {
          double off = SHARED * common + OWN * random.nextGaussian();
          double portions =
              mass
                  * Math.max(LEAST_OF_MEAN * main.mean(), main.mean() + main.spread() * off)
                  / lightest;
          worth += portions >= 1 ? Math.floor(portions) : 1 / Math.ceil(1 / portions);
        }
      }
      if (worth < plates) {
        shortOf++;
      }
    }
    return shortOf / (double) draws;
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
      List<MainCut> mains, SizeGrade grade, Serving rule, int fish, Demand demand, int draws) {
    int shortOf = 0;
    long lightest = rule.lightest().milligrams();
    for (int draw = 0; draw < draws; draw++) {
      int portions = 0;
      for (int i = 0; i < fish; i++) {
        portions += portions(mains, grade, lightest);
      }
      long wanted =
          Math.max(
              0, Math.round(demand.portions() + demand.forecastError() * random.nextGaussian()));
      if (portions < wanted) {
        shortOf++;
      }
    }
    return shortOf / (double) draws;
  }
}
