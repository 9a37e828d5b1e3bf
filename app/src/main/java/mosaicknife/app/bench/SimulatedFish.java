package mosaicknife.app.bench;

import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGeneratorFactory;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.breakdown.Expectation;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.practice.FishSimulator;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import org.springframework.stereotype.Component;

/** Knows what each part of a lot weighs when there is no fish, only the scale stand-in. */
@Component
public class SimulatedFish {

  private static final int SEEDS_PER_LOT = 1000;

  /**
   * Returns the true mass of a part; the same lot always has the same fish, whatever option cuts
   * it.
   *
   * @param sheet the lot with its plan
   * @param slot the part, one of the plan
   * @param fishNo which fish, from 1; 0 for all together
   * @return the mass
   * @throws Refusal if the fish has no such part
   */
  public Mass massOf(LotSheet sheet, String slot, int fishNo) {
    Lot lot = sheet.lot();
    if (fishNo == 0) {
      Mass all = Mass.ZERO;
      for (int fish = 1; fish <= lot.fish(); fish++) {
        all = all.plus(massOf(sheet, slot, fish));
      }
      return all;
    }
    Mass one = lot.receipt().meanFish();
    Map<String, Mass> whole =
        FishSimulator.draw(
            lot.species(),
            lot.state(),
            one,
            sheet.norms(),
            RandomGeneratorFactory.getDefault().create(lot.id() * SEEDS_PER_LOT + fishNo));
    Mass mass = cutBy(sheet, whole).get(slot);
    if (mass == null) {
      throw Refusal.ofInput("bench.problem.the-stand-in-has-no");
    }
    return mass;
  }

  /**
   * A part keeps of its truth what the plan leaves of its norm; added parts share what is moved.
   */
  private static Map<String, Mass> cutBy(LotSheet sheet, Map<String, Mass> whole) {
    Lot lot = sheet.lot();
    Expectation norm =
        Expectation.of(lot.species(), lot.state(), lot.purchased(), sheet.norms().loss());
    Map<String, Mass> cut = new LinkedHashMap<>();
    List<Planned> added = new ArrayList<>();
    for (Planned part : sheet.plan().parts()) {
      String slot = part.slot().code();
      if (whole.containsKey(slot)) {
        Fraction kept = part.mass().dividedBy(norm.find(slot).orElseThrow().mass());
        cut.put(slot, whole.get(slot).multipliedBy(kept, RoundingMode.DOWN));
      } else {
        added.add(part);
      }
    }
    Mass moved = Mass.total(whole.values()).minus(Mass.total(cut.values()));
    Mass planned = Mass.total(added.stream().map(Planned::mass).toList());
    for (Planned part : added) {
      Mass share = moved.multipliedBy(part.mass().dividedBy(planned), RoundingMode.DOWN);
      cut.put(part.slot().code(), share);
    }
    return cut;
  }
}
