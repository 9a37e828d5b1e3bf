package mosaicknife.core.plan;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertTrue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.core.anatomy.BodyPlan;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.PartKind;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.Specification;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.breakdown.HouseNorms;
import mosaicknife.core.plan.CutPlan.Fish;
import mosaicknife.core.plan.CutPlan.Planned;
import mosaicknife.core.plan.PreWork.PartFate;
import mosaicknife.core.plan.PreWork.Place;
import mosaicknife.core.plan.PreWork.Task;
import mosaicknife.core.quantity.Mass;
import org.testng.annotations.Test;

/** One fish by different routes: which parts come off, in which order, and what is asked. */
public class RoutesTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();

  private static Fish fish(String species, State state, int count, String kilograms) {
    return new Fish(
        CATALOGUE.getSpecies(species),
        state,
        count,
        Mass.ofKilograms(kilograms),
        HouseNorms.STARTING);
  }

  private static Choices answers(String... choices) {
    Choices chosen = Choices.USUAL;
    for (int i = 0; i < choices.length; i += 2) {
      chosen = chosen.with(choices[i], choices[i + 1]);
    }
    return chosen;
  }

  private static CutPlan plan(Fish fish, String... choices) {
    return CutPlan.of(fish, answers(choices), CATALOGUE);
  }

  private static List<String> slots(CutPlan plan) {
    return plan.parts().stream().map(part -> part.slot().code()).toList();
  }

  /** Grams by slot, to the tenth. */
  private static Map<String, Double> grams(CutPlan plan) {
    return plan.parts().stream()
        .collect(
            Collectors.toMap(
                part -> part.slot().code(), part -> part.mass().milligrams() / 100 / 10.0));
  }

  private static List<String> asked(Fish fish, String... choices) {
    return CuttingOptions.of(fish.species(), fish.state(), answers(choices)).stream()
        .map(CuttingOption::code)
        .toList();
  }

  private static List<Task> preWork(Fish fish, String... choices) {
    List<PartFate> fates =
        plan(fish, choices).parts().stream()
            .map(p -> new PartFate(p.slot().kind(), p.slot().name(), Optional.of(p.purpose())))
            .toList();
    return PreWork.of(
            new PreWork.Question(
                fish.species(), fish.state(), fish.count(), fish.mean(), answers(choices), fates))
        .stream()
        .map(item -> (Task) item.what().what())
        .toList();
  }

  @Test
  public void everyBodyPlanHasRoutesEachNamedOnceAndTheUsualOneMovesNothing() {
    for (BodyPlan plan : CATALOGUE.plans()) {
      List<CuttingOption.Choice> routes = CuttingOptions.routesOf(plan);
      assertTrue(routes.size() >= 2, plan.code());
      assertEquals(
          routes.stream().map(CuttingOption.Choice::code).distinct().count(), routes.size());
      assertTrue(routes.get(0).shifts().isEmpty(), plan.code() + " is counted for its first route");
    }
  }

  @Test
  public void everyRouteWithEveryOtherAnswerFillsTheFish() {
    for (BodyPlan plan : CATALOGUE.plans()) {
      Species species =
          CATALOGUE.species().stream().filter(s -> s.plan().equals(plan)).findFirst().orElseThrow();
      for (State state : State.OF_FISH) {
        Fish fish = new Fish(species, state, 2, Mass.ofKilograms("6"), HouseNorms.STARTING);
        List<CuttingOption> options = CuttingOptions.of(species, state);
        for (CuttingOption one : options) {
          for (CuttingOption.Choice first : one.choices()) {
            for (CuttingOption.Choice last : options.get(options.size() - 1).choices()) {
              Choices both =
                  answers(
                      one.code(),
                      first.code(),
                      options.get(options.size() - 1).code(),
                      last.code());
              CutPlan cut = CutPlan.of(fish, both, CATALOGUE);
              double sum = cut.parts().stream().mapToLong(p -> p.mass().milligrams()).sum() / 1e3;
              // 1.5 % of 6 kg drip away
              assertEquals(sum, 5910, 0.2, species.code() + " " + state + " " + both);
              assertTrue(cut.mains().isPositive(), species.code() + " " + state + " " + both);
              assertEquals(slots(cut).stream().distinct().count(), slots(cut).size());
            }
          }
        }
      }
    }
  }

  @Test
  public void mackerelButterfliedByTheBellyIsOnePieceAndNobodyAsksForItsRibs() {
    Fish mackerel = fish("mackerel", State.GUTTED, 4, "1.6");
    Map<String, Double> fillets = grams(plan(mackerel));
    CutPlan open = plan(mackerel, "route", "belly-butterflied");
    assertEquals(slots(open), List.of("fins", "gills", "head", "butterflied", "frame"));
    assertEquals(
        grams(open).get("butterflied"),
        fillets.get("fillet-left") + fillets.get("fillet-right"),
        0.2);
    assertEquals(open.mains(), plan(mackerel).mains());
    assertTrue(asked(mackerel, "route", "belly-butterflied").containsAll(List.of("skin", "route")));
    assertFalse(asked(mackerel, "route", "belly-butterflied").contains("shape"));
    CuttingOption shape =
        CuttingOptions.of(mackerel.species(), mackerel.state()).stream()
            .filter(option -> option.code().equals("shape"))
            .findFirst()
            .orElseThrow();
    assertTrue(shape.find("cylinder").isEmpty(), "nobody ties a roast of a mackerel");
  }

  @Test
  public void anUnguttedFishIsFilletedWithEverythingStayingOnTheHead() {
    Fish gurnard = fish("gurnard", State.UNGUTTED, 1, "0.800");
    Map<String, Double> apart = grams(plan(gurnard));
    CutPlan once = plan(gurnard, "together", "with-guts");
    assertEquals(
        slots(once),
        List.of("collar", "fillet-left", "fillet-right", "belly", "carcass-with-guts"));
    assertEquals(
        grams(once).get("carcass-with-guts"),
        apart.get("guts")
            + apart.get("gills")
            + apart.get("head")
            + apart.get("fins")
            + apart.get("frame"),
        0.5);
    Planned carcass = once.parts().get(4);
    assertEquals(carcass.purpose(), Purpose.COMPOST);
    assertFalse(carcass.slot().kind().mayBeFor(Purpose.POT), "guts spoil every pot");
    List<Task> work = preWork(gurnard, "together", "with-guts");
    assertFalse(work.contains(Task.GUT_NOW) || work.contains(Task.GILLS_OUT), work.toString());
    assertTrue(preWork(gurnard).contains(Task.GUT_NOW));
    assertEquals(once.mains(), plan(gurnard).mains(), "the fillets are the same");
    assertTrue(once.minutes() < plan(gurnard).minutes());
    // bought gutted, there are no guts to stay anywhere
    assertTrue(
        CuttingOptions.of(gurnard.species(), State.GUTTED).stream()
            .filter(option -> option.code().equals("together"))
            .noneMatch(option -> option.find("with-guts").isPresent()));
  }

  @Test
  public void theCommonMergesAreOneAnswerEach() {
    Fish hake = fish("hake", State.UNGUTTED, 1, "2.4");
    Map<String, Double> apart = grams(plan(hake));
    Map<String, Double> fins = grams(plan(hake, "together", "fins"));
    assertFalse(fins.containsKey("fins"));
    assertEquals(fins.get("frame"), apart.get("frame") + apart.get("fins"), 0.2);
    Map<String, Double> carcass = grams(plan(hake, "together", "carcass"));
    assertEquals(
        carcass.get("carcass"), apart.get("frame") + apart.get("fins") + apart.get("head"), 0.3);
    CutPlan pluck = plan(hake, "cleaning", "together");
    assertEquals(slots(pluck).subList(0, 3), List.of("fins", "guts-and-gills", "head"));
    assertEquals(grams(pluck).get("guts-and-gills"), apart.get("guts") + apart.get("gills"), 0.2);
    // the collar that stays on the head is in the carcass too
    Map<String, Double> all = grams(plan(hake, "together", "carcass", "collar", "head"));
    assertEquals(all.get("carcass"), carcass.get("carcass") + apart.get("collar"), 0.3);
  }

  @Test
  public void aFlatfishInTwoFilletsHasOneOfEachSide() {
    Fish plaice = fish("plaice", State.GUTTED, 1, "0.900");
    Map<String, Double> four = grams(plan(plaice));
    CutPlan two = plan(plaice, "route", "two-fillets");
    List<String> names =
        two.parts().stream().filter(p -> p.slot().isMain()).map(p -> p.slot().name()).toList();
    assertEquals(names, List.of("Eye side fillet", "Blind side fillet"));
    assertEquals(
        grams(two).get("fillet-eye"),
        four.get("fillet-eye-back") + four.get("fillet-eye-belly"),
        0.2);
  }

  @Test
  public void onTheBoneOnlyTheFleshIsEaten() {
    Fish bass = fish("farmed-bass", State.GUTTED, 1, "1.250");
    CutPlan whole = plan(bass, "route", "whole");
    Planned fish =
        whole.parts().stream()
            .filter(p -> p.slot().kind().is(PartKind.Trait.WHOLE_FISH))
            .findFirst()
            .orElseThrow();
    assertEquals(fish.edible(), plan(bass).mains(), "head and bones feed nobody");
    assertTrue(fish.mass().compareTo(Mass.ofGrams(1000)) > 0);
    assertEquals(plan(bass, "route", "after-cooking").mains(), whole.mains());
    assertFalse(asked(bass, "route", "whole").contains("ribs"));
    assertEquals(plan(bass, "route", "steaks").mains(), plan(bass).mains());
    assertEquals(plan(bass, "route", "boned-whole").mains(), plan(bass).mains());
  }

  @Test
  public void bonedWholeIsTheFishWithoutItsSkeletonAndIsNeverSaidToHaveBones() {
    for (String code : List.of("hake", "farmed-bass", "trout")) {
      Fish fish = fish(code, State.GUTTED_AND_GILLED, 1, "1");
      CutPlan boned = plan(fish, "route", "boned-whole");
      assertEquals(slots(boned), List.of("boned-whole", "frame"), code);
      double skeleton = grams(boned).get("frame") / 985;
      assertTrue(skeleton > 0.10 && skeleton < 0.20, code + " " + skeleton);
      assertFalse(preWork(fish, "route", "boned-whole").contains(Task.BONES_INSIDE), code);
      assertTrue(preWork(fish).contains(Task.BONES_INSIDE), code);
    }
  }

  @Test
  public void scrapedToPasteGivesTwoThirdsOfTheFilletWithItsSkin() {
    Fish shad =
        CATALOGUE.species().stream()
            .filter(s -> s.plan().code().equals("soft-boned"))
            .findFirst()
            .map(s -> new Fish(s, State.GUTTED, 1, Mass.ofKilograms("2"), HouseNorms.STARTING))
            .orElseThrow();
    Map<String, Double> fillets = grams(plan(shad));
    Map<String, Double> paste = grams(plan(shad, "route", "paste"));
    double skinOn = fillets.get("fillet-left") + fillets.get("fillet-right");
    // 60–70 %, a starting estimate
    assertEquals(paste.get("paste"), 0.65 * skinOn, 0.3);
    assertEquals(paste.get("skin-and-bones"), 0.35 * skinOn, 0.3);
    assertFalse(asked(shad, "route", "paste").contains("skin"));
  }

  @Test
  public void theRibsHaveFourAnswersAndPinBonesThatLeftWithThemAreNotPulled() {
    Fish hake = fish("hake", State.GUTTED, 1, "2.4");
    assertTrue(asked(hake).containsAll(List.of("ribs", "pin-bones", "belly")));
    List<String> left = asked(hake, "ribs", "piece");
    assertFalse(left.contains("pin-bones") || left.contains("belly"), left.toString());
    Map<String, Double> piece = grams(plan(hake, "ribs", "piece"));
    assertFalse(piece.containsKey("belly"));
    assertTrue(piece.get("rib-cage") > grams(plan(hake)).get("belly"));
    assertFalse(preWork(hake, "ribs", "piece").contains(Task.BONES_INSIDE));
    Map<String, Double> onFrame = grams(plan(hake, "ribs", "frame"));
    Map<String, Double> over = grams(plan(hake));
    double gained = onFrame.get("frame") - over.get("frame");
    double lost =
        over.get("fillet-left")
            + over.get("fillet-right")
            - onFrame.get("fillet-left")
            - onFrame.get("fillet-right");
    assertEquals(gained, lost, 0.3);
    assertTrue(gained > 20, "meat stays between the ribs: " + gained);
  }

  @Test
  public void aDishInFilletsIsNotPlannedFromSteaksThoughTheHouseCutsThem() {
    Species hake = CATALOGUE.getSpecies("hake");
    List<CuttingOption> options = CuttingOptions.of(hake, State.GUTTED);
    for (String route : List.of("steaks", "boned-whole", "belly-butterflied", "whole")) {
      Choices met = answers("route", route).meeting(Specification.SKINLESS, false, options);
      assertEquals(met.byOption().get("route"), "cuts", route);
    }
    Choices ribs = answers("ribs", "piece").meeting(Specification.SKINLESS, false, options);
    assertEquals(ribs.byOption().get("ribs"), "piece", "boneless by the house's own way");
    assertFalse(ribs.byOption().containsKey("pin-bones"));
  }

  @Test
  public void preWorkOfACarcassInOnePieceStillMindsTheGills() {
    Fish hake = fish("hake", State.GUTTED, 1, "2.4");
    assertTrue(
        preWork(hake, "together", "carcass").contains(Task.GILLS_OUT_FOR_THE_POT),
        "gills spoil the pot the carcass goes to");
    assertEquals(
        PreWork.of(
                new PreWork.Question(
                    hake.species(),
                    hake.state(),
                    1,
                    hake.mean(),
                    answers("route", "whole"),
                    List.of(
                        new PartFate(
                            CATALOGUE.findKind("whole").orElseThrow(),
                            "Whole fish",
                            Optional.of(Purpose.PLATE)))))
            .stream()
            .filter(item -> item.place() == Place.FINS)
            .count(),
        1,
        "two spines stay, the fins come off");
  }
}
