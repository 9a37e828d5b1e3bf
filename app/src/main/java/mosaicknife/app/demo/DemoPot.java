package mosaicknife.app.demo;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mosaicknife.app.account.DemoPeople;
import mosaicknife.app.homes.UseBook;
import mosaicknife.app.house.Named;
import mosaicknife.app.pot.Kettles;
import mosaicknife.app.pot.PotBook;
import mosaicknife.app.pot.PotKeeper;
import mosaicknife.app.pot.PotProbe;
import mosaicknife.app.pot.PotStarter;
import mosaicknife.app.pot.PotStarter.Wish;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.pot.PotStep.Answer;
import mosaicknife.core.quantity.Temperature;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Kettles, a fumet that cools too slowly in the room, and a stock for tomorrow. */
@Component
@ConditionalOnProperty(name = "mosaic.demo", havingValue = "true")
class DemoPot {

  private static final int[] MINUTES = {9, 5, 5, 14, 12, 9};
  private static final int[] TENTHS = {583, 575, 566, 559, 551, 544};
  private static final int EVERY = 5;

  private final DemoPeople people;
  private final PotKeeper keeper;
  private final PotProbe probe;
  private final PotStarter starter;
  private final Kettles kettles;
  private final PotBook book;
  private final UseBook uses;
  private final DemoSoaks soaks;
  private final Clock clock;

  DemoPot(
      DemoPeople people,
      PotKeeper keeper,
      PotProbe probe,
      PotStarter starter,
      Kettles kettles,
      PotBook book,
      UseBook uses,
      DemoSoaks soaks,
      Clock clock) {
    this.people = people;
    this.keeper = keeper;
    this.probe = probe;
    this.starter = starter;
    this.kettles = kettles;
    this.book = book;
    this.uses = uses;
    this.soaks = soaks;
    this.clock = clock;
  }

  void load(Named lantern, Named counter) {
    people.as(
        "ines",
        () -> {
          kettles.keep(lantern.id(), "Small kettle", new BigDecimal("8"), 26, 3500);
          kettles.keep(lantern.id(), "Tall kettle", new BigDecimal("20"), 36, 5000);
          kettles.keep(counter.id(), "Counter kettle", new BigDecimal("14"), 32, 4000);
          uses.people(lantern.id(), 2);
          cooling();
          tomorrow();
          soaks.load();
        });
  }

  /** Two litres of clear stock that are wanted in seventeen hours and not begun. */
  private void tomorrow() {
    starter.start(
        UUID.randomUUID(),
        new Wish(
            "long-rested",
            Set.of(Answer.WINE, Answer.LEMON, Answer.LID),
            2,
            book.kettles().get(1).id(),
            Optional.of(clock.instant().plus(Duration.ofHours(17)))));
  }

  /** A litre of fumet that was put on this afternoon and stands in the room in its pot. */
  private void cooling() {
    long batch =
        starter.start(
            UUID.randomUUID(),
            new Wish(
                "quick",
                Set.of(Answer.EYES_OUT),
                1,
                book.kettles().get(0).id(),
                Optional.of(clock.instant().plus(Duration.ofHours(5)))));
    List<PotStep> steps = book.find(batch).orElseThrow().run().steps();
    Instant at = clock.instant().minus(Duration.ofMinutes(EVERY * TENTHS.length + 55));
    keeper.begin(batch, steps.get(0).code(), at);
    for (int i = 0; i < MINUTES.length; i++) {
      at = at.plus(Duration.ofMinutes(MINUTES[i]));
      keeper.done(batch, steps.get(i).code(), at);
    }
    probe.stand(batch, Surroundings.ROOM, false);
    for (int i = 0; i < TENTHS.length; i++) {
      probe.read(
          UUID.randomUUID(),
          batch,
          new Temperature(TENTHS[i]),
          clock.instant().minus(Duration.ofMinutes((long) EVERY * (TENTHS.length - 1 - i))),
          "stick thermometer");
    }
  }
}
