package mosaicknife.core.safety;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertFalse;
import static org.testng.Assert.assertThrows;
import static org.testng.Assert.assertTrue;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.core.anatomy.Catalogue;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.Freshness.Reason;
import mosaicknife.core.safety.LengthRule.Basis;
import mosaicknife.core.safety.LengthRule.Warning;
import org.testng.annotations.Test;

public class FreshnessTest {

  private static final Catalogue CATALOGUE = Catalogue.shipped();
  private static final Species HAKE = CATALOGUE.getSpecies("hake");
  private static final Species MACKEREL = CATALOGUE.getSpecies("mackerel");
  private static final Optional<Temperature> COLD = Optional.of(Temperature.ofCelsius(1));
  private static final LocalDate DAY = LocalDate.of(2026, 11, 25);

  @Test
  public void aPerfectFishKeepsLongestAndMayBeRaw() {
    Freshness perfect = judged(HAKE, State.GUTTED, all(0), COLD);
    assertEquals(perfect.demerits(), 0.0);
    // 12 days on melting ice, at 1 °C by the rate (1 + 0.1)²
    assertEquals(perfect.daysLeft().orElseThrow(), 12 / 1.21, 1e-9);
    assertEquals(perfect.proposal(), Fitness.RAW);
  }

  @Test
  public void daysFallInAStraightLineWithTheDemerits() {
    Map<Sign, Integer> slightly = all(0);
    slightly.put(Sign.EYES, 1);
    slightly.put(Sign.SKIN, 1);
    slightly.put(Sign.BELLY, 1);
    Freshness judged = judged(HAKE, State.GUTTED, slightly, COLD);
    // weights: gills and smell 1.5, four others 1: 3 of 21 demerits
    assertEquals(judged.demerits(), 3 / 21.0, 1e-9);
    assertEquals(judged.daysLeft().orElseThrow(), 12 * (1 - 3 / 21.0 / 0.68) / 1.21, 1e-9);
    assertEquals(judged.proposal(), Fitness.RAW);
    assertEquals(judged(HAKE, State.GUTTED, all(1), COLD).proposal(), Fitness.COOK);
  }

  @Test
  public void oneBadSignDecidesAlone() {
    Map<Sign, Integer> rank = all(0);
    rank.put(Sign.SMELL, 3);
    Freshness judged = judged(HAKE, State.GUTTED, rank, COLD);
    assertEquals(judged.proposal(), Fitness.REFUSE);
    assertEquals(judged.daysLeft().orElseThrow(), 0.0);
    assertTrue(
        judged
            .reasons()
            .contains(Finding.of(Reason.DECIDES_ALONE, Sign.SMELL, Sign.SMELL.look(Sign.WORST))),
        judged.toString());
    Map<Sign, Integer> soft = all(0);
    soft.put(Sign.FLESH, 2);
    assertEquals(judged(HAKE, State.GUTTED, soft, COLD).proposal(), Fitness.POT);
    assertEquals(judged(HAKE, State.GUTTED, all(3), COLD).proposal(), Fitness.REFUSE);
  }

  @Test
  public void aHeadedFishIsJudgedWithoutEyesAndGills() {
    Map<Sign, Integer> grades = all(0);
    grades.remove(Sign.EYES);
    grades.remove(Sign.GILLS);
    assertEquals(judged(HAKE, State.HEADED_AND_GUTTED, grades, COLD).proposal(), Fitness.RAW);
    assertThrows(IllegalArgumentException.class, () -> judged(HAKE, State.GUTTED, grades, COLD));
    assertFalse(Freshness.isThere(Sign.GILLS, State.GUTTED_AND_GILLED));
    assertTrue(Freshness.isThere(Sign.EYES, State.GUTTED_AND_GILLED));
    Map<Sign, Integer> tooMuch = all(0);
    tooMuch.put(Sign.SKIN, 4);
    assertThrows(IllegalArgumentException.class, () -> judged(HAKE, State.GUTTED, tooMuch, COLD));
  }

  @Test
  public void aWarmHistamineFishIsRefusedAndAnUnmeasuredOneIsNotRaw() {
    Freshness warm = judged(MACKEREL, State.UNGUTTED, all(0), Optional.of(new Temperature(52)));
    assertEquals(warm.proposal(), Fitness.REFUSE);
    assertEquals(
        warm.reasons().get(1),
        Finding.of(Reason.HISTAMINE, new Temperature(52), new Temperature(40)));
    assertEquals(
        judged(MACKEREL, State.UNGUTTED, all(0), Optional.empty()).proposal(), Fitness.COOK);
    assertEquals(judged(MACKEREL, State.UNGUTTED, all(0), COLD).proposal(), Fitness.RAW);
    assertEquals(
        judged(HAKE, State.GUTTED, all(0), Optional.of(Temperature.ofCelsius(8))).proposal(),
        Fitness.COOK);
  }

  @Test
  public void withoutATemperatureNothingIsSaidOfDaysAndNothingIsRaw() {
    Freshness unmeasured = judged(HAKE, State.GUTTED, all(0), Optional.empty());
    assertTrue(unmeasured.daysLeft().isEmpty());
    assertEquals(unmeasured.proposal(), Fitness.COOK);
    assertTrue(unmeasured.reasons().contains(Finding.of(Reason.NOT_MEASURED)));
    // at 15 °C a fish ages (1 + 1.5)² = 6.25 times as fast
    Freshness warm = judged(HAKE, State.GUTTED, all(0), Optional.of(Temperature.ofCelsius(15)));
    assertEquals(warm.daysLeft().orElseThrow(), 12 / 6.25, 1e-9);
    Freshness frozen = judged(HAKE, State.GUTTED, all(0), Optional.of(Temperature.ofCelsius(-2)));
    assertEquals(frozen.daysLeft().orElseThrow(), 12, 1e-9, "no longer than on ice");
  }

  @Test
  public void everyFishAgesInAGroup() {
    assertEquals(FreshnessGroup.of(CATALOGUE.getSpecies("turbot")), FreshnessGroup.FLAT);
    assertEquals(FreshnessGroup.of(CATALOGUE.getSpecies("ray")), FreshnessGroup.CARTILAGE);
    assertEquals(FreshnessGroup.of(CATALOGUE.getSpecies("trout")), FreshnessGroup.SALMON);
    assertEquals(FreshnessGroup.of(MACKEREL), FreshnessGroup.OILY);
    for (String tuna : List.of("albacore", "bluefin", "skipjack", "bonito", "swordfish")) {
      assertEquals(FreshnessGroup.of(CATALOGUE.getSpecies(tuna)), FreshnessGroup.TUNA, tuna);
    }
    for (String shark : List.of("dogfish", "smooth-hound", "gummy-shark")) {
      assertEquals(FreshnessGroup.of(CATALOGUE.getSpecies(shark)), FreshnessGroup.CARTILAGE, shark);
    }
    assertEquals(FreshnessGroup.of(CATALOGUE.getSpecies("sturgeon")), FreshnessGroup.WHITE);
    assertEquals(FreshnessGroup.of(CATALOGUE.getSpecies("kingfish")), FreshnessGroup.OILY);
    assertEquals(FreshnessGroup.of(CATALOGUE.getSpecies("char")), FreshnessGroup.SALMON);
  }

  @Test
  public void aLengthRuleWarnsAndNeverMixesForkAndTotal() {
    LengthRule rule =
        new LengthRule(
            "hake",
            Basis.TOTAL,
            Length.parse("27"),
            "harbour notice board",
            DAY.minusDays(30),
            DAY.plusDays(30));
    assertTrue(rule.warning(Length.parse("27 cm"), Basis.TOTAL, DAY).isEmpty());
    assertEquals(
        rule.warning(Length.parse("265 mm"), Basis.TOTAL, DAY),
        Optional.of(
            Finding.of(
                Warning.TOO_SHORT,
                Length.parse("26.5"),
                Length.parse("27"),
                Basis.TOTAL,
                "harbour notice board",
                DAY.minusDays(30))));
    assertEquals(
        rule.warning(Length.parse("30"), Basis.FORK, DAY),
        Optional.of(Finding.of(Warning.OTHER_BASIS, Basis.TOTAL, Basis.FORK)));
    assertEquals(rule.warning(Length.parse("30"), Basis.TOTAL, DAY.plusDays(30)), Optional.empty());
    assertEquals(
        rule.warning(Length.parse("30"), Basis.TOTAL, DAY.plusDays(31)).orElseThrow().what(),
        Warning.EXPIRED);
    assertThrows(
        IllegalArgumentException.class,
        () -> new LengthRule("hake", Basis.FORK, Length.parse("27"), "x", DAY, DAY.minusDays(1)));
  }

  @Test
  public void readsLengthsAndTemperaturesInEveryUnit() {
    assertEquals(Length.parse("42,5").millimetres(), 425);
    assertEquals(Length.parse("16.5 in").millimetres(), 419);
    assertEquals(Length.parse("2 m").toString(), "200 cm");
    assertEquals(Temperature.parse("36 F").toString(), "2.2 °C");
    assertEquals(Temperature.parse("-18 °C").toString(), "−18.0 °C");
    assertEquals(Temperature.parse("2,1").tenths(), 21);
    for (String typed : List.of("", "abc", "-3", "0", "90 m", "<script>")) {
      assertThrows(QuantityFormatException.class, () -> Length.parse(typed));
    }
    for (String typed : List.of("", "warm", "900", "-90", "4 K")) {
      assertThrows(QuantityFormatException.class, () -> Temperature.parse(typed));
    }
  }

  @Test
  public void questionsATwoMetreGurnard() {
    Species gurnard = CATALOGUE.getSpecies("gurnard");
    Finding tooLong =
        Plausible.question(gurnard, Length.parse("2 m"), Optional.empty()).orElseThrow();
    assertEquals(tooLong.what(), Plausible.Question.TOO_LONG);
    assertEquals(tooLong.figures().get(0), "Tub gurnard");
    assertTrue(
        Plausible.question(gurnard, Length.parse("40"), Optional.of(Mass.ofGrams(700))).isEmpty());
    assertTrue(
        Plausible.question(gurnard, Length.parse("40"), Optional.of(Mass.ofGrams(70_000)))
            .isPresent());
    Species conger = CATALOGUE.getSpecies("conger");
    assertTrue(Plausible.question(conger, Length.parse("2 m"), Optional.empty()).isEmpty());
    assertTrue(Plausible.question(gurnard, Mass.ofKilograms("40"), 1).isPresent());
    assertTrue(Plausible.question(gurnard, Mass.ofKilograms("4"), 4).isEmpty());
    for (Species species : CATALOGUE.species()) {
      assertTrue(
          Plausible.question(species, species.usualMass().highest(), 1).isEmpty(), species.code());
    }
  }

  private static Map<Sign, Integer> all(int grade) {
    Map<Sign, Integer> grades = new EnumMap<>(Sign.class);
    for (Sign sign : Sign.values()) {
      grades.put(sign, grade);
    }
    return grades;
  }

  private static Freshness judged(
      Species species, State state, Map<Sign, Integer> grades, Optional<Temperature> temperature) {
    return Freshness.of(species, state, grades, temperature, 0, Limits.STARTING);
  }

  @Test
  public void histamineTimeAddsUpAndTheLimitIsTheHouses() {
    Map<Sign, Integer> best = all(0);
    assertEquals(fitness(MACKEREL, best, COLD, 120, Limits.STARTING), Fitness.RAW);
    assertEquals(fitness(MACKEREL, best, COLD, 121, Limits.STARTING), Fitness.REFUSE);
    Limits stricter =
        new Limits(
            Map.of(
                Limit.HISTAMINE_TIME,
                new Limits.Setting(30, "our adviser", LocalDate.of(2026, 11, 1))));
    assertEquals(fitness(MACKEREL, best, COLD, 31, stricter), Fitness.REFUSE);
    assertEquals(fitness(HAKE, best, COLD, 600, Limits.STARTING), Fitness.RAW, "no histamine fish");
  }

  private static Fitness fitness(
      Species species,
      Map<Sign, Integer> grades,
      Optional<Temperature> temperature,
      int warm,
      Limits limits) {
    return Freshness.of(species, State.GUTTED, grades, temperature, warm, limits).proposal();
  }
}
