package mosaicknife.app.clock;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mosaicknife.app.TestLots;
import mosaicknife.app.WithPages;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.pot.Brew;
import mosaicknife.app.pot.PotBook;
import mosaicknife.app.pot.PotKeeper;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.clock.Backward;
import mosaicknife.core.clock.Schedule;
import mosaicknife.core.clock.Schedule.Placed;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.Temperature;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.Test;

/** The day, backward from when things are wanted. */
public class ClockPagesTest extends WithPages {

  @Autowired private Day day;
  @Autowired private PotKeeper keeper;
  @Autowired private PotBook pots;
  @Autowired private UseBook uses;
  @Autowired private WeighingRecorder bench;
  @Autowired private HouseSettings houses;

  /** A litre of clear stock in a kettle of its own, wanted in so many hours. */
  private Brew stock(int hours) {
    long lot = new TestLots(applicationContext).receive("hake", State.GUTTED, 1, "6.000");
    String kettle = "Clock " + UUID.randomUUID().toString().substring(0, 6);
    people.as(
        "tobiah",
        () ->
            bench.take(
                new Take(
                    UUID.randomUUID(),
                    lot,
                    "frame",
                    1,
                    Entry.of(MassText.parse("0.700 kg", MassUnit.KILOGRAM)),
                    Optional.empty(),
                    "")));
    long[] id = new long[1];
    people.as(
        "ines",
        () -> {
          // what others are to make meanwhile takes nobody's hands away here
          uses.people(houses.venues().get(0).id(), 40);
          keeper.keep(houses.venues().get(0).id(), kettle, new BigDecimal("10"), 30, 4000);
          long stood =
              pots.kettles().stream()
                  .filter(one -> one.kettle().name().equals(kettle))
                  .findFirst()
                  .orElseThrow()
                  .id();
          id[0] =
              keeper.start(
                  UUID.randomUUID(),
                  new PotKeeper.Wish(
                      "long-rested",
                      Set.of(Answer.LID),
                      1,
                      stood,
                      Optional.of(Instant.now().plus(Duration.ofHours(hours)))));
        });
    return pots.find(id[0]).orElseThrow();
  }

  private Placed placed(Schedule schedule, Brew brew, String step) {
    return schedule.placed().stream()
        .filter(one -> one.task().id().equals("pot" + brew.id() + ":" + step))
        .findFirst()
        .orElseThrow();
  }

  @Test
  public void aStockForTomorrowIsBegunAsLateAsItCan() throws Exception {
    Brew brew = stock(30);
    Schedule schedule = Backward.of(day.gather().agenda(), 5);
    Placed pack = placed(schedule, brew, "pack");
    assertEquals(pack.end(), 30 * 60, 1, "wanted in thirty hours");
    int all =
        brew.plan().method().steps(Set.of(Answer.LID)).stream()
            .mapToInt(brew.plan()::minutes)
            .sum();
    assertEquals(placed(schedule, brew, "split").start(), 30 * 60 - all, 2, "no waiting between");
    String shown = page("maren", "/clock/day");
    assertTrue(shown.contains("Split heads and frames"), shown);
    assertTrue(shown.contains("Hands, Lantern House"));
  }

  @Test
  public void aStockThatIsWantedTooSoonIsSaidToBeLate() throws Exception {
    Brew brew = stock(2);
    String shown = page("ines", "/clock/day");
    assertTrue(shown.contains("minutes late"), shown);
    people.as("ines", () -> keeper.begin(brew.id(), "split", Instant.now()));
    Schedule schedule = Backward.of(day.gather().agenda(), 5);
    assertEquals(placed(schedule, brew, "split").start(), 0, "what runs stays where it is");
    PotStep soak = brew.run().steps().get(1);
    assertTrue(placed(schedule, brew, soak.code()).start() >= 0);
  }

  @Test
  public void aPotThatNeverGetsColdIsNotSaidToBeInTime() throws Exception {
    Brew brew = stock(40);
    people.as(
        "tobiah",
        () -> {
          keeper.stand(brew.id(), Surroundings.ROOM, false);
          for (int ago = 20; ago >= 0; ago -= 5) {
            int tenths = (int) Math.round(220 + 350 * Math.exp((ago - 20) / 180.0));
            keeper.read(
                UUID.randomUUID(),
                brew.id(),
                new Temperature(tenths),
                Instant.now().minus(Duration.ofMinutes(ago)));
          }
        });
    assertTrue(day.gather().unsure().contains("Clear white stock"));
    String shown = page("ines", "/clock/day");
    assertTrue(shown.contains("where it stands it never gets cold"), shown);
    assertFalse(shown.contains("All in time"));
  }

  @Test
  public void peopleAreCountedAndChecked() throws Exception {
    long venue = houses.venues().get(1).id();
    String refused = follow("ines", "/clock/people", "venue", "" + venue, "people", "0");
    assertTrue(refused.contains("alert-danger"), refused);
    assertTrue(
        follow("ines", "/clock/people", "venue", "" + venue, "people", "3").contains("Saved."));
    assertEquals(uses.rooms().get(venue).people(), Optional.of(3));
    assertEquals(day.gather().agenda().capacity().get("hands" + venue), Integer.valueOf(3));
    assertEquals(
        send("maren", "/clock/people", "venue", "" + venue, "people", "3").getStatus(), 403);
  }
}
