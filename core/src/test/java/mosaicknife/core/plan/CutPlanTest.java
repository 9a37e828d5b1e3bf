package mosaicknife.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.cost.PlateCost;
import mosaicknife.core.plan.CutPlan.Fish;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.plan.CutPlan.Plate;
import mosaicknife.core.plan.PreWork.Item;
import mosaicknife.core.plan.PreWork.Kind;
import mosaicknife.core.plan.PreWork.PartFate;
import mosaicknife.core.plan.PreWork.Place;
import mosaicknife.core.plan.PreWork.Task;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

public class CutPlanTest {

  private static final Serving AT_180 = Serving.slices(Mass.ofGrams(180));
  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Currency EURO = Currency.getInstance("EUR");

  private static Fish fish(String species, State state, int count, String kilograms) {
    return new Fish(
        CATALOGUE.getSpecies(species),
        state,
        count,
        Mass.ofKilograms(kilograms),
        HouseNorms.STARTING);
  }

  private static CutPlan plan(Fish fish, String... choices) {
    Choices chosen = Choices.USUAL;
    for (int i = 0; i < choices.length; i += 2) {
      chosen = chosen.with(choices[i], choices[i + 1]);
    }
    return CutPlan.of(fish, chosen, CATALOGUE);
  }

  private static Mass massOf(CutPlan plan, String kind) {
    return Mass.total(
        plan.parts().stream()
            .filter(part -> part.slot().kind().code().equals(kind))
            .map(Planned::mass)
            .toList());
  }

  @Test
  public void scalesAndSoftFleshMakeTheLossLessCertainAndMoveNothing() {
    // 0.8 % of the house, 0.8 % of scales, 1.0 % of soft flesh, in quadrature
    assertEquals(plan(fish("turbot", State.GUTTED, 1, "2")).loss(false).spread(), 0.008, 1e-9);
    Fish pollack = fish("pollack", State.GUTTED, 1, "3.9");
    assertEquals(plan(pollack).loss(false).spread(), Math.sqrt(128e-6), 1e-9);
    assertEquals(plan(pollack, "skin", "off").loss(false).spread(), 0.008, 1e-9);
    assertEquals(plan(pollack).loss(true).spread(), 0.008, 1e-9, "it came scaled");
    assertEquals(
        plan(fish("hake", State.GUTTED, 1, "4")).loss(false).spread(), Math.sqrt(228e-6), 1e-9);
    assertEquals(plan(pollack).loss(false).mean(), 0.015);
  }

  @Test
  public void everyChoiceOfEveryOptionForEveryFishStillFillsTheFish() {
    for (Species species : CATALOGUE.species()) {
      for (State state : State.OF_FISH) {
        Fish fish = new Fish(species, state, 3, Mass.ofKilograms("6"), HouseNorms.STARTING);
        for (CuttingOption option : CuttingOptions.of(species, state)) {
          for (CuttingOption.Choice choice : option.choices()) {
            CutPlan plan = plan(fish, option.code(), choice.code());
            Mass all = Mass.total(plan.parts().stream().map(Planned::mass).toList());
            // 1.5 % of 6 kg are lost; every part is rounded to the milligram
            double off = all.minus(Mass.ofGrams(5_910)).inGrams().doubleValue();
            assertTrue(
                Math.abs(off) < 0.1, species.code() + " " + state + " " + choice + " off " + off);
            assertTrue(plan.minutes() > 0, species.code() + " " + choice.code());
            assertTrue(plan.mains().compareTo(all) <= 0, species.code() + " " + choice.code());
          }
        }
      }
    }
  }

  @Test
  public void theUsualPlanIsTheNorm() {
    Fish hake = fish("hake", State.GUTTED, 1, "4.860");
    CutPlan usual = plan(hake);
    assertEquals(
        usual.parts().stream().map(p -> p.slot().code()).toList(),
        hake.species().sharesIn(State.GUTTED).stream().map(s -> s.slot().code()).toList());
    assertEquals(usual.minutes(), hake.species().plan().work().minutes(hake.mean()), 1e-9);
    assertEquals(usual.mains(), massOf(usual, "fillet"));
  }

  @Test
  public void aGradeGoesFromTwoThirdsToOneAndAHalf() {
    assertEquals(
        SizeGrade.around(Mass.ofGrams(900)), new SizeGrade(Mass.ofGrams(600), Mass.ofGrams(1_350)));
  }

  @Test
  public void skinningMovesTheSkinOutOfTheFilletsAndCostsMinutes() {
    Fish hake = fish("hake", State.GUTTED, 1, "4.860");
    CutPlan on = plan(hake);
    CutPlan off = plan(hake, "skin", "off");
    Mass skin = massOf(off, "skin");
    double share = skin.inGrams().doubleValue() / massOf(on, "fillet").inGrams().doubleValue();
    assertEquals(share, hake.species().eating().skinShare(), 1e-6);
    assertEquals(massOf(off, "fillet").plus(skin), massOf(on, "fillet"));
    assertTrue(off.minutes() > on.minutes());
    Planned part =
        off.parts().stream().filter(p -> p.slot().code().equals("skin")).findFirst().orElseThrow();
    assertEquals(part.purpose(), Purpose.SECOND_PLATE);
    assertEquals(part.slot().number(), 10, "numbered after the parts of the body plan");
  }

  @Test
  public void aCollarThatStaysOnTheHeadIsNoPartOfItsOwn() {
    Fish hake = fish("hake", State.GUTTED, 1, "4.860");
    CutPlan apart = plan(hake);
    CutPlan together = plan(hake, "collar", "head");
    assertEquals(massOf(together, "collar"), Mass.ZERO);
    assertEquals(massOf(together, "head"), massOf(apart, "head").plus(massOf(apart, "collar")));
  }

  @Test
  public void aWholeFishCountsByWhatIsEatenOfIt() {
    Fish turbot = fish("turbot", State.GUTTED, 2, "4.4");
    CutPlan whole = plan(turbot, "route", "whole");
    CutPlan cuts = plan(turbot);
    assertEquals(massOf(whole, "fillet"), Mass.ZERO);
    assertTrue(massOf(whole, "whole").compareTo(whole.mains()) > 0);
    assertEquals(whole.mains(), cuts.mains());
    assertTrue(whole.minutes() < cuts.minutes());
  }

  @Test
  public void aShapeMadeOnPurposeIsPlannedAsTrim() {
    Fish tuna = fish("albacore", State.UNGUTTED, 1, "14.200");
    CutPlan round = plan(tuna, "shape", "cylinder");
    Mass trim = massOf(round, "trim");
    assertEquals(
        trim.inGrams().doubleValue(), massOf(plan(tuna), "loin").inGrams().doubleValue() * .13, 1);
    CutPlan partly = plan(tuna, "dark-muscle", "partly");
    assertEquals(
        massOf(partly, "dark-muscle").inGrams().doubleValue(),
        massOf(plan(tuna), "dark-muscle").inGrams().doubleValue() / 2,
        0.01);
    assertTrue(partly.mains().compareTo(plan(tuna).mains()) > 0);
  }

  @Test
  public void portionsFitInsideEachCutAndThePlateCarriesFishAndWork() {
    Fish hake = fish("hake", State.GUTTED, 1, "4.860");
    CutPlan plan = plan(hake);
    Plate plate = plan.plate(AT_180, ExactMoney.of("55.40", EURO), ExactMoney.of("24", EURO));
    long inside =
        plan.parts().stream()
            .filter(p -> p.slot().kind().code().equals("fillet"))
            .mapToLong(p -> p.mass().wholeTimes(Mass.ofGrams(180)))
            .sum();
    assertEquals(plate.portions(), inside);
    assertEquals(
        plate.cost().orElseThrow().lines().get(PlateCost.Line.FISH).amount().doubleValue(),
        55.40 / plate.portions(),
        1e-9);
    assertEquals(
        plate.cost().orElseThrow().lines().get(PlateCost.Line.LABOUR).amount().doubleValue(),
        24 * plan.minutes() / 60 / plate.portions(),
        1e-4);
    Plate none =
        plan.plate(
            Serving.slices(Mass.ofKilograms("4")),
            ExactMoney.of("55.40", EURO),
            ExactMoney.of("24", EURO));
    assertEquals(none.whole(), Optional.empty());
    PlanChange same = PlanChange.between(plan, plan, plate, plate);
    assertTrue(same.isNone());
    CutPlan skinned = plan(hake, "skin", "off");
    PlanChange off =
        PlanChange.between(
            plan,
            skinned,
            plate,
            skinned.plate(AT_180, ExactMoney.of("55.40", EURO), ExactMoney.of("24", EURO)));
    assertFalse(off.isNone());
    assertEquals(off.parts().stream().map(PlanChange.Change::name).toList().size(), 2);
    assertTrue(off.minutes() > 0);
  }

  @Test
  public void optionsAreAskedOnlyWhereTheyMatter() {
    List<String> hake = codes("hake", State.GUTTED);
    assertTrue(hake.containsAll(List.of("route", "ribs", "pin-bones", "belly", "collar", "skin")));
    assertFalse(hake.contains("gut"), "it came gutted");
    assertTrue(codes("hake", State.UNGUTTED).contains("gut"));
    assertFalse(codes("turbot", State.GUTTED).contains("ribs"));
    assertFalse(codes("ray", State.GUTTED).contains("skin"), "skinned by its body plan");
    assertTrue(codes("albacore", State.UNGUTTED).contains("dark-muscle"));
    assertFalse(codes("hake", State.HEADED_AND_GUTTED).contains("head"));
  }

  private static List<String> codes(String species, State state) {
    return CuttingOptions.of(CATALOGUE.getSpecies(species), state).stream()
        .map(CuttingOption::code)
        .toList();
  }

  @Test
  public void anAnswerThatDoesNotApplyFallsBackToTheUsualOne() {
    CuttingOption ribs =
        CuttingOptions.shipped().stream().filter(s -> s.code().equals("ribs")).findFirst().get();
    assertEquals(new Choices(Map.of("ribs", "sideways")).in(ribs), ribs.usual());
    Choices mine = Choices.USUAL.with("ribs", "through");
    assertEquals(mine.in(ribs).code(), "through");
    assertEquals(mine.over(Choices.USUAL.with("skin", "off")).byOption().size(), 2);
    assertEquals(Choices.USUAL.with("ribs", "over").over(mine).in(ribs).code(), "over");
    assertThrows(IllegalArgumentException.class, () -> CuttingOption.Portion.parse("most"));
    assertThrows(IllegalArgumentException.class, () -> CuttingOption.Portion.parse("1.5"));
  }

  // ---- pre-work -------------------------------------------------------------------------------

  @Test
  public void nobodyScalesAFishThatCameScaled() {
    Species pollack = CATALOGUE.getSpecies("pollack");
    List<PartFate> fillet =
        List.of(
            new PartFate(
                CATALOGUE.findKind("fillet").orElseThrow(),
                "Left fillet",
                Optional.of(Purpose.PLATE)));
    for (boolean scaled : new boolean[] {false, true}) {
      List<Item> work =
          PreWork.of(
              new PreWork.Question(
                  pollack, State.GUTTED, 1, Mass.ofKilograms("3"), scaled, Choices.USUAL, fillet));
      assertEquals(work.stream().anyMatch(item -> item.what().what() == Task.SCALE), !scaled);
    }
  }

  private static List<Item> preWork(
      String species, State state, String kilograms, Choices choices, Map<String, Purpose> fates) {
    return PreWork.of(
        new PreWork.Question(
            CATALOGUE.getSpecies(species),
            state,
            2,
            Mass.ofKilograms(kilograms),
            choices,
            fates.entrySet().stream()
                .map(
                    e ->
                        new PartFate(
                            CATALOGUE.findKind(e.getKey()).orElseThrow(),
                            e.getKey(),
                            Optional.of(e.getValue())))
                .toList()));
  }

  private static boolean says(List<Item> items, Place place, Kind kind, Task task) {
    return items.stream()
        .anyMatch(i -> i.place() == place && i.kind() == kind && i.what().what() == task);
  }

  @Test
  public void preWorkFollowsTheFinalUseOfEachPart() {
    Map<String, Purpose> pot =
        Map.of(
            "head",
            Purpose.POT,
            "frame",
            Purpose.POT,
            "fillet",
            Purpose.PLATE,
            "gills",
            Purpose.COMPOST);
    List<Item> stock = preWork("hake", State.GUTTED, "2.4", Choices.USUAL, pot);
    assertTrue(says(stock, Place.HEAD, Kind.LEAVE, Task.HEAD_UNSCALED), stock.toString());
    assertTrue(says(stock, Place.HEAD, Kind.DO, Task.EYES_OUT));
    assertTrue(says(stock, Place.GILLS, Kind.DO, Task.GILLS_OUT_FOR_THE_POT));
    assertTrue(says(stock, Place.FRAME, Kind.DO, Task.WASH_THE_SPINE));
    assertTrue(says(stock, Place.FISH, Kind.DO, Task.SCALE));

    Map<String, Purpose> curry = Map.of("head", Purpose.SECOND_PLATE, "fillet", Purpose.PLATE);
    List<Item> eaten =
        preWork("hake", State.GUTTED, "2.4", Choices.USUAL.with("skin", "off"), curry);
    assertTrue(says(eaten, Place.HEAD, Kind.DO, Task.SCALE_THE_HEAD));
    assertFalse(says(eaten, Place.HEAD, Kind.DO, Task.EYES_OUT));
    assertTrue(says(eaten, Place.FISH, Kind.LEAVE, Task.NO_SCALING), eaten.toString());
  }

  @Test
  public void aRoastKeepsTwoSpinesAndAHeavyFishTwoPeople() {
    List<Item> roast =
        preWork(
            "turbot",
            State.UNGUTTED,
            "2.2",
            Choices.USUAL,
            Map.of("whole", Purpose.PLATE, "guts", Purpose.COMPOST));
    assertTrue(says(roast, Place.FINS, Kind.DO, Task.TRIM_THE_FINS));
    assertTrue(says(roast, Place.GUTS, Kind.DO, Task.GUT_NOW));
    List<Item> later =
        preWork(
            "turbot",
            State.UNGUTTED,
            "2.2",
            Choices.USUAL.with("gut", "later"),
            Map.of("guts", Purpose.COMPOST));
    assertTrue(says(later, Place.GUTS, Kind.CARE, Task.GUT_AT_THE_CUT));
    List<Item> heavy =
        preWork("albacore", State.UNGUTTED, "14.2", Choices.USUAL, Map.of("loin", Purpose.PLATE));
    assertTrue(says(heavy, Place.FISH, Kind.CARE, Task.LIFT_TOGETHER));
    assertTrue(says(heavy, Place.FISH, Kind.CARE, Task.BACK_ON_ICE));
  }

  @Test
  public void everyPartOfEveryBodyPlanHasAStepInTheGuide() {
    CATALOGUE
        .plans()
        .forEach(
            plan ->
                plan.slots()
                    .forEach(
                        slot ->
                            assertTrue(
                                Guide.find(plan, slot).isPresent(),
                                plan.code() + " " + slot.code())));
    var flat = CATALOGUE.getSpecies("turbot").plan();
    Guide.Step step = Guide.find(flat, flat.slots().get(5)).orElseThrow();
    assertTrue(step.where().contains("midline"), "a flatfish has a step of its own");
  }
}
