package mosaicknife.app.bench;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.time.ZoneOffset;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import mosaicknife.app.WithDatabase;
import mosaicknife.app.device.Scale;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.ScaleView;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.core.lot.LotPart;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.UnitSystem;
import mosaicknife.core.scale.Claim;
import mosaicknife.core.scale.ScaleReading;
import mosaicknife.core.scale.ScaleReading.Motion;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What the bench says, on the lots of the demo and of a scale in every mood. */
public class BenchWordsTest extends WithDatabase {

  private static final Formats FORMATS =
      new Formats(UnitSystem.METRIC, Currency.getInstance("EUR"), ZoneOffset.UTC);

  @Autowired private LotSheets sheets;
  @Autowired private WeighingRecorder bench;

  @Test
  public void aFinishedHakeAddsUp() {
    BenchView view = view(1, Optional.empty(), 1);
    assertEquals(view.tally().verdict(), "CLOSED");
    assertEquals(
        view.tally().sentence(), "It adds up. 88 g not accounted for (1.8 %), as expected.");
    assertTrue(view.selected().isEmpty());
    assertTrue(view.fishChoices().isEmpty());
    assertEquals(view.rows().size(), 8);
    assertTrue(view.rows().stream().allMatch(BenchView.Row::weighed));
  }

  @Test
  public void aTallyThatIsOverNamesTheGapAndTwoCauses() {
    BenchView view = view(4, Optional.empty(), 1);
    assertEquals(view.tally().verdict(), "OVER");
    assertTrue(
        view.tally()
            .sentence()
            .matches(
                "The tally is \\d+ g over the fish\\. Was a tare not taken, or a part weighed twice.*"),
        view.tally().sentence());
    assertTrue(view.tally().remainder().startsWith("−"));
  }

  @Test
  public void aPartlyWeighedFishProposesTheNextPartInCuttingOrder() {
    BenchView view = view(3, Optional.empty(), 1);
    assertEquals(view.tally().verdict(), "OPEN");
    assertTrue(view.tally().sentence().startsWith("5 of 8 weighed. "), view.tally().sentence());
    assertEquals(view.selected().orElseThrow().slot(), "fillet-right");
    assertTrue(view.previous().isEmpty());

    BenchView again = view(3, Optional.of("head"), 1);
    assertEquals(again.selected().orElseThrow().slot(), "head");
    assertTrue(again.previous().isPresent());
    assertEquals(
        view(3, Optional.of("no-such-part"), 1).selected().orElseThrow().slot(), "fillet-right");
  }

  @Test
  public void anExpectedWeightLooksExpectedAndAWeighedOneDoesNot() {
    for (BenchView.Row row : view(3, Optional.empty(), 1).rows()) {
      assertEquals(row.weight().startsWith("≈ "), !row.weighed(), row.part().name());
    }
  }

  @Test
  public void severalFishHaveTheirOwnWeightsAndNextParts() {
    assertEquals(view(6, Optional.empty(), 1).fishChoices(), List.of(1, 2, 3));
    assertEquals(view(6, Optional.empty(), 1).selected().orElseThrow().slot(), "collar");
    assertEquals(view(6, Optional.empty(), 3).selected().orElseThrow().slot(), "fins");
    assertTrue(view(6, Optional.empty(), 1).tally().sentence().startsWith("8 of 27 weighed."));
  }

  @Test
  public void aLotThatNobodyTouchedTeachesTheFirstStep() {
    assertEquals(
        view(7, Optional.empty(), 1).tally().sentence(),
        "Nothing weighed yet. Put the first part on the scale.");
  }

  @Test
  public void whatIsMissingIsSaidOnceEverythingIsWeighed() {
    people.as(
        "tobiah",
        () -> {
          for (LotPart part : sheets.get(5).parts()) {
            bench.take(
                new Take(
                    UUID.randomUUID(),
                    5,
                    part.slot(),
                    1,
                    Entry.of(MassText.parse("100 g", MassUnit.GRAM)),
                    Optional.empty(),
                    ""));
          }
        });
    // 1.224 kg less eight times 100 g
    BenchView view = view(5, Optional.empty(), 1);
    assertEquals(view.tally().verdict(), "SHORT");
    assertTrue(
        view.tally().sentence().startsWith("424 g is missing (34.6 %), more than drip"),
        view.tally().sentence());
    people.as(
        "tobiah",
        () -> {
          for (int i = 0; i < 8; i++) {
            bench.takeBack(5);
          }
        });
    assertEquals(sheets.get(5).balance().tallied(), Mass.ZERO);
  }

  @DataProvider
  Object[][] moods() {
    return new Object[][] {
      {1318, 0, Motion.STEADY, false, "1.318", "kg", "steady", true},
      {1318, 0, Motion.STEADY, true, "1.318", "kg", "taken: put the next part on", false},
      {1530, 212, Motion.STEADY, false, "1.318", "kg", "steady", true},
      {15_000, 0, Motion.OVERLOADED, true, "too much", "", "overloaded: take something off", false},
      {87, 0, Motion.MOVING, false, "87", "g", "settling", false},
      {0, 0, Motion.STEADY, false, "0", "g", "empty", false},
      {0, 212, Motion.STEADY, false, "−212", "g", "below zero: tare again", false},
      {
        15_000, 0, Motion.OVERLOADED, false, "too much", "", "overloaded: take something off", false
      },
    };
  }

  @Test(dataProvider = "moods")
  public void theLiveScaleSaysWhetherItMayBeTaken(
      int gross,
      int tare,
      Motion motion,
      boolean taken,
      String figure,
      String unit,
      String words,
      boolean takeable) {
    ScaleReading reading =
        new ScaleReading(Mass.ofGrams(gross), Mass.ofGrams(tare), motion, Mass.ofGrams(2));
    ScaleView view =
        ScaleView.of(new StillScale(Optional.of(reading), taken), Optional.empty(), FORMATS);
    assertEquals(view.figure(), figure);
    assertEquals(view.unit(), unit);
    assertEquals(view.words(), words);
    assertEquals(view.takeable(), takeable);
    assertEquals(view.tare(), tare == 0 ? "" : "212 g");
  }

  @Test
  public void withoutAScaleOneTypes() {
    ScaleView view =
        ScaleView.of(new StillScale(Optional.empty(), false), Optional.empty(), FORMATS);
    assertEquals(view.words(), "no scale: type the weight");
    assertFalse(view.takeable());
    assertEquals(view.motion(), "gone");
  }

  private BenchView view(long lot, Optional<String> part, int fish) {
    return BenchView.of(sheets.get(lot), part, fish, false, FORMATS);
  }

  /** A scale that shows one reading for ever. */
  private record StillScale(Optional<ScaleReading> reading, boolean isClaimed) implements Scale {

    @Override
    public Optional<Numbered> latest() {
      return reading.map(r -> new Numbered(1, r));
    }

    @Override
    public Optional<ScaleReading> find(long number) {
      return reading;
    }

    @Override
    public String name() {
      return "still";
    }

    @Override
    public Optional<Claim> claim(UUID weighing, ScaleReading shown) {
      return Optional.empty();
    }

    @Override
    public Optional<UUID> ended() {
      return Optional.empty();
    }

    @Override
    public boolean learn(Claim other) {
      return isClaimed;
    }

    @Override
    public Optional<UUID> release() {
      return Optional.empty();
    }

    @Override
    public void tare() {}

    @Override
    public Subscription listen(Consumer<Optional<Numbered>> listener) {
      return () -> {};
    }
  }
}
