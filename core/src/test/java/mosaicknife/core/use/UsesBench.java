package mosaicknife.core.use;

import static org.testng.Assert.assertTrue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import mosaicknife.core.Measured;
import mosaicknife.core.Measured.Against;
import mosaicknife.core.anatomy.PartClass;
import mosaicknife.core.anatomy.Share;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.use.FishUse.Equipment;
import mosaicknife.core.use.PlanQuestion.Place;
import mosaicknife.core.use.PlanQuestion.Wanted;
import org.testng.annotations.Test;

/** How long the plan of uses takes on full days. Run by {@code ./mosaic bench} only. */
public class UsesBench {

  private static final int PARTS = 60;
  private static final int USES = 80;
  private static final int VENUES = 5;
  private static final List<String> FISH =
      List.of("hake", "turbot", "monkfish", "albacore", "mackerel", "plaice", "pollack", "gurnard");

  @Test
  public void aFullDayAtFiveVenues() {
    UsePlanner.warm();
    double seconds = Measured.budget();
    double worst = 0;
    double gap = 0;
    for (int day = 1; day <= 5; day++) {
      PlanQuestion question = day(new Random(day));
      UsePlan plan = UsePlanner.plan(question, seconds);
      double times = Measured.times(() -> UsePlanner.plan(question, seconds), Against.A_MODEL);
      worst = Math.max(worst, times);
      gap = Math.max(gap, (plan.bound() - plan.worth()) / (double) plan.bound());
      assertTrue(plan.makings().size() > 10, "only " + plan.makings().size());
      System.out.printf(
          "day %d: %.1f × a known model, %d made, worth %d of at most %d%n",
          day, times, plan.makings().size(), plan.worth(), plan.bound());
    }
    Measured.reportGap(
        "a plan of 60 parts, 80 uses and 5 venues, worst of five days", gap, 0, worst);
  }

  private static PlanQuestion day(Random random) {
    List<OnHand> parts = new ArrayList<>();
    while (parts.size() < PARTS) {
      Species species = Kitchen.CATALOGUE.getSpecies(FISH.get(random.nextInt(FISH.size())));
      Mass fish = species.usualMass().highest();
      int count = 1 + random.nextInt(6);
      boolean scaled = random.nextBoolean();
      long venue = 1 + random.nextInt(VENUES);
      for (Share share : species.shares()) {
        if (parts.size() < PARTS && share.slot().kind().nature() == PartClass.BY_PRODUCT) {
          long milligrams = (long) (fish.milligrams() * share.mean() * count);
          parts.add(
              new OnHand(
                  new HandId.Cut(1, "part" + parts.size()),
                  share.slot().name(),
                  share.slot().kind(),
                  species,
                  Mass.ofMilligrams(Math.max(50_000, milligrams)),
                  count,
                  Optional.of(fish),
                  venue,
                  new OnHand.Condition(
                      scaled, false, false, false, Kitchen.SOUND.fitness(), false, false, false),
                  random.nextInt(3),
                  true));
        }
      }
      if (parts.size() < PARTS) {
        parts.add(
            new OnHand(
                new HandId.Cut(1, "part" + parts.size()),
                "trim",
                Kitchen.CATALOGUE.findKind("trim").orElseThrow(),
                species,
                Mass.ofGrams(200 + random.nextInt(1500)),
                1,
                Optional.of(fish),
                venue,
                Kitchen.SOUND,
                random.nextInt(3),
                true));
      }
    }
    List<FishUse> uses = new ArrayList<>(UseCatalogue.shipped(Kitchen.CATALOGUE).values());
    for (int i = 0; uses.size() < USES; i++) {
      FishUse like = uses.get(i * 3);
      uses.add(
          Kitchen.use(
              "more" + i, like.kinds(), Kitchen.grams(60 + random.nextInt(90)), like.work()));
    }
    List<Wanted> wanted = new ArrayList<>();
    Map<Place, Long> room = new HashMap<>();
    Map<Long, Long> hands = new HashMap<>();
    for (long venue = 1; venue <= VENUES; venue++) {
      hands.put(venue, 120L + random.nextInt(180));
      room.put(new Place(venue, Equipment.KETTLE), 10L + random.nextInt(20));
      room.put(new Place(venue, Equipment.FRYER), 60L + random.nextInt(60));
      room.put(new Place(venue, Equipment.GRILL), 60L + random.nextInt(60));
      room.put(new Place(venue, Equipment.FREEZER), 4000L);
      for (FishUse use : uses) {
        if (random.nextInt(3) == 0) {
          long cents = use.value().movePointRight(4).longValue();
          wanted.add(new Wanted(use, venue, 4 + random.nextInt(30), Math.max(1, cents * 6 / 10)));
        }
      }
    }
    return new PlanQuestion(parts, wanted, room, hands, Map.of(), List.of());
  }
}
