package mosaicknife.app.bench;

import java.math.RoundingMode;
import java.util.random.RandomGeneratorFactory;
import mosaicknife.app.dock.Lot;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.breakdown.LossNorm;
import mosaicknife.core.practice.FishSimulator;
import mosaicknife.core.quantity.Fraction;
import mosaicknife.core.quantity.Mass;
import org.springframework.stereotype.Component;

/** Knows what each part of a lot weighs when there is no fish, only the scale stand-in. */
@Component
public class SimulatedFish {

  private static final int SEEDS_PER_LOT = 1000;

  /**
   * Returns the true mass of a part; the same lot always has the same fish.
   *
   * @param lot the lot
   * @param slot the part, one of the body plan
   * @param fishNo which fish, from 1; 0 for all together
   * @return the mass
   * @throws Refusal if the fish has no such part
   */
  public Mass massOf(Lot lot, String slot, int fishNo) {
    if (fishNo == 0) {
      Mass all = Mass.ZERO;
      for (int fish = 1; fish <= lot.fish(); fish++) {
        all = all.plus(massOf(lot, slot, fish));
      }
      return all;
    }
    Mass one = lot.purchased().multipliedBy(Fraction.of(1, lot.fish()), RoundingMode.DOWN);
    Mass mass =
        FishSimulator.draw(
                lot.species(),
                lot.state(),
                one,
                LossNorm.STARTING,
                RandomGeneratorFactory.getDefault().create(lot.id() * SEEDS_PER_LOT + fishNo))
            .get(slot);
    if (mass == null) {
      throw Refusal.ofInput("The stand-in has no such part. Type its weight.");
    }
    return mass;
  }
}
