package mosaicknife.core.lot;

import static org.testng.Assert.assertTrue;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.DoubleStream;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.Tray;
import mosaicknife.core.plan.Choices;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.plan.CuttingOption;
import mosaicknife.core.plan.CuttingOptions;
import mosaicknife.core.quantity.Mass;
import org.testng.Reporter;
import org.testng.annotations.Test;

/** Fish cut without a slip, by any route of the catalogue: nobody is accused. */
public class SoundTallyTest {

  private static final int MANY = 2_000;

  private static final Map<Long, Tray> TRAYS =
      Map.of(
          1L, new Tray("Dish", Mass.ofGrams(96)),
          2L, new Tray("Steel tray", Mass.ofGrams(212)),
          3L, new Tray("Tub", Mass.ofGrams(640)));

  @Test
  public void byWhateverRouteItIsCutNobodyIsAccused() {
    Random random = new Random(41);
    List<Species> species = List.copyOf(Catalogue.shipped().species());
    int accused = 0;
    StringBuilder who = new StringBuilder();
    for (int i = 0; i < MANY; i++) {
      Species fish = species.get(random.nextInt(species.size()));
      State state = State.OF_FISH.get(random.nextInt(State.OF_FISH.size()));
      Choices choices = choices(fish, state, random);
      double low = fish.usualMass().lowest().milligrams() / 1e6;
      double high = fish.usualMass().highest().milligrams() / 1e6;
      String kilograms = "%.3f".formatted(Math.max(0.1, random.nextDouble(low, high + 0.001)));
      TestLot lot = new TestLot(fish.code(), state, 1, kilograms, kilograms).cutBy(choices);
      weigh(lot, random);
      boolean alarm = Tally.search(lot.sheet(), TRAYS).isPresent();
      if (alarm) {
        accused++;
        who.append(' ').append(fish.code()).append(' ').append(choices.byOption());
      }
    }
    Reporter.log("accused %d of %d sound tallies".formatted(accused, MANY), true);
    assertTrue(accused <= MANY / 500, "accused %d:%s".formatted(accused, who));
  }

  /** Fish of one lot differ by a third; nobody weighed them one by one before the knife. */
  @Test
  public void ofUnequalFishNobodyIsAccused() {
    Random random = new Random(67);
    int accused = 0;
    int all = 500;
    for (int i = 0; i < all; i++) {
      double[] grams = new double[2 + random.nextInt(4)];
      for (int f = 0; f < grams.length; f++) {
        grams[f] = 1500 * Math.exp(0.3 * random.nextGaussian());
      }
      String kilograms = "%.3f".formatted(DoubleStream.of(grams).sum() / 1000);
      TestLot lot = new TestLot("hake", State.GUTTED, grams.length, kilograms, kilograms);
      List<CutPlan.Planned> parts = lot.sheet().plan().parts();
      double planned = parts.stream().mapToDouble(p -> p.mass().milligrams()).sum();
      // a fish is taken apart, then the next one; the last one may still lie there whole
      int cut = grams.length - random.nextInt(2);
      for (int f = 0; f < cut; f++) {
        double loss = Math.max(0.002, 0.015 + 0.008 * random.nextGaussian());
        double[] cutOff = new double[parts.size()];
        double shared = random.nextGaussian();
        for (int k = 0; k < cutOff.length; k++) {
          double spread = parts.get(k).spread().milligrams() / planned;
          double z = Math.sqrt(0.7) * shared + Math.sqrt(0.3) * random.nextGaussian();
          double share = parts.get(k).mass().milligrams() / planned;
          cutOff[k] = Math.max(share / 5, share + spread * z);
        }
        double factor = grams[f] * (1 - loss) / DoubleStream.of(cutOff).sum();
        for (int k = 0; k < cutOff.length; k++) {
          int read = (int) Math.rint(cutOff[k] * factor / 2) * 2;
          lot.weigh(parts.get(k).slot().code(), f + 1, Math.max(2, read));
        }
      }
      accused += Tally.search(lot.sheet(), TRAYS).isPresent() ? 1 : 0;
    }
    Reporter.log("accused %d of %d lots of unequal fish".formatted(accused, all), true);
    assertTrue(accused <= all / 50, "accused " + accused);
  }

  /** Every question answered in any of the ways that are offered. */
  private static Choices choices(Species fish, State state, Random random) {
    Choices choices = Choices.USUAL;
    for (CuttingOption option : CuttingOptions.of(fish, state)) {
      List<CuttingOption.Choice> all = option.choices();
      choices = choices.with(option.code(), all.get(random.nextInt(all.size())).code());
    }
    return choices;
  }

  /** Parts differ as their norms say, and what is lost is what drip and scales take. */
  private static void weigh(TestLot lot, Random random) {
    LotSheet sheet = lot.sheet();
    double whole = sheet.lot().purchased().milligrams() / 1e3;
    double loss = Math.max(0.002, 0.015 + 0.008 * random.nextGaussian());
    List<CutPlan.Planned> parts = sheet.plan().parts();
    Map<String, Double> ofKind = new HashMap<>();
    Map<String, Double> spreads = new HashMap<>();
    double[] grams = new double[parts.size()];
    double all = 0;
    for (int i = 0; i < grams.length; i++) {
      double mean = parts.get(i).mass().milligrams() / 1e3;
      double spread = parts.get(i).spread().milligrams() / 1e3;
      String kind = parts.get(i).slot().kind().code();
      // two sides of a fish are alike
      double shared = ofKind.computeIfAbsent(kind, k -> random.nextGaussian());
      double z = Math.sqrt(0.9) * shared + Math.sqrt(0.1) * random.nextGaussian();
      grams[i] = Math.max(mean / 5, mean + spread * z);
      all += grams[i];
      spreads.merge(kind, spread, Double::sum);
    }
    String loosest =
        spreads.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
    double ofLoosest = 0;
    for (int i = 0; i < grams.length; i++) {
      ofLoosest += parts.get(i).slot().kind().code().equals(loosest) ? grams[i] : 0;
    }
    // what the others leave of the fish is in what differs most
    double factor = Math.max(0.05, (whole * (1 - loss) - (all - ofLoosest)) / ofLoosest);
    for (int i = 0; i < grams.length; i++) {
      boolean is = parts.get(i).slot().kind().code().equals(loosest);
      int read = (int) Math.rint(grams[i] * (is ? factor : 1) / 2) * 2;
      lot.weigh(parts.get(i).slot().code(), 1, Math.max(2, read));
    }
  }
}
