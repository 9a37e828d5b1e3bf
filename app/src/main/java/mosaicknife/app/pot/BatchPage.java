package mosaicknife.app.pot;

import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.booklet.HouseRules;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.larder.KeepingDays;
import mosaicknife.app.shared.Formats;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.heat.CoolingRule;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.pot.PotStep;
import mosaicknife.core.safety.FoodState;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What the page of a batch shows. */
@Component
class BatchPage {

  private final HouseRules limits;
  private final KeepingDays days;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final PotPrices prices;
  private final HouseSettings houses;
  private final Clock clock;

  BatchPage(
      HouseRules limits,
      KeepingDays days,
      PeopleRegister people,
      CurrentPerson current,
      PotPrices prices,
      HouseSettings houses,
      Clock clock) {
    this.limits = limits;
    this.days = days;
    this.people = people;
    this.current = current;
    this.prices = prices;
    this.houses = houses;
    this.clock = clock;
  }

  private Formats formats() {
    return houses.house().formats();
  }

  private CoolingRule rule() {
    return CoolingRule.of(limits.limits());
  }

  void show(Brew brew, Model model) {
    Instant now = clock.instant();
    CoolingRule rule = rule();
    Formats formats = formats();
    model.addAttribute("brew", brew);
    model.addAttribute("card", PotView.card(brew, rule, now, houses.venueNames(), formats));
    model.addAttribute("steps", PotView.steps(brew, rule, now, formats));
    model.addAttribute("ready", PotView.ready(brew, rule, now, formats));
    model.addAttribute("inTime", PotView.isReadyInTime(brew, rule, now));
    model.addAttribute("cools", PotView.cools(brew, rule, now, formats));
    model.addAttribute("curve", CurvePicture.of(brew, rule, now, formats));
    model.addAttribute("probed", brew.probed());
    model.addAttribute("names", people.names());
    model.addAttribute(
        "instrument",
        brew.probed().stream()
            .filter(one -> !one.byProbe())
            .reduce((one, next) -> next)
            .map(Brew.Probed::instrument)
            .orElse(""));
    List<PotStep> chain = brew.run().steps();
    Optional<PotStep> on = brew.run().current();
    model.addAttribute("last", chain.get(chain.size() - 1).code());
    model.addAttribute(
        "cooling",
        !brew.probed().isEmpty() || on.filter(s -> s.work() == PotStep.Work.COOL).isPresent());
    Optional<Finding> keptOff = brew.cooling(rule).shelving(brew.since(now));
    boolean chained = brew.run().beforePacking().isEmpty();
    model.addAttribute("packing", chained && keptOff.isEmpty());
    model.addAttribute("keptOff", keptOff.filter(f -> chained).map(formats::say).orElse(""));
    model.addAttribute(
        "goesIn",
        brew.plan().ingredients().stream()
            .map(one -> formats.say("pot.said.ingredient", one.line().name(), one.mass()))
            .toList());
    model.addAttribute("cost", prices.said(brew.plan(), brew.making().use(), brew.making().from()));
    model.addAttribute("water", PotView.litres(brew.plan().water()));
    model.addAttribute("bones", formats.about(brew.making().mass()));
    model.addAttribute(
        "places",
        List.of(Surroundings.ROOM, Surroundings.FRIDGE, Surroundings.ICE_BATH, Surroundings.BLAST));
    model.addAttribute("people", people.everybody());
    model.addAttribute("me", current.get().id());
    model.addAttribute(
        "until",
        days.keeping(Optional.of(FoodState.COOKED), false, brew.making().from())
            .atMost(houses.today().plusDays(brew.plan().method().keeps())));
    model.addAttribute("clockNow", formats.time(now));
    model.addAttribute("jellies", PotKeeper.Jelly.values());
    model.addAttribute("looks", PotKeeper.Look.values());
    model.addAttribute("newId", UUID.randomUUID());
  }

  /** The log of the cooling as a paper shows it. */
  Map<String, Object> log(Brew brew) {
    Instant now = clock.instant();
    Map<String, Object> model = new LinkedHashMap<>();
    model.put("house", houses.house());
    model.put("f", formats());
    model.put("card", PotView.card(brew, rule(), now, houses.venueNames(), formats()));
    model.put("probed", brew.probed());
    model.put("names", people.names());
    model.put("cools", PotView.cools(brew, rule(), now, formats()));
    model.put("curve", CurvePicture.of(brew, rule(), now, formats()));
    return model;
  }
}
