package mosaicknife.app.kitchen;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.kitchen.Roast;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.plan.CutPlan;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Fish cooked whole, and fish on planks. */
@Controller
class RoastController {

  private static final BigDecimal LEAST_HOURS = new BigDecimal("0.5");
  private static final BigDecimal MOST_HOURS = BigDecimal.valueOf(24);
  private static final BigDecimal MINUTES = BigDecimal.valueOf(60);
  private static final int MOST_PLANKS = 200;

  private final LotSheets sheets;
  private final HouseSettings houses;
  private final Said said;
  private final Clock clock;

  RoastController(LotSheets sheets, HouseSettings houses, Said said, Clock clock) {
    this.sheets = sheets;
    this.houses = houses;
    this.said = said;
    this.clock = clock;
  }

  /** How many a fish serves. */
  @GetMapping("/kitchen/roast")
  String roast(@RequestParam Map<String, String> typed, Model model) {
    Formats formats = houses.house().formats();
    return said.worked(
        model,
        "roast",
        () -> {
          LotSheet sheet = sheets.get(Typed.id(typed.getOrDefault("lot", ""), "lot"));
          Mass each =
              MassText.parse(typed.getOrDefault("weight", ""), formats.system().small()).mass();
          if (!each.isPositive()) {
            throw Refusal.ofField("weight", "larder.problem.nothing");
          }
          int fish = sheet.lot().fish();
          Mass edible =
              Mass.total(sheet.plan().parts().stream().map(CutPlan.Planned::edible).toList());
          Roast roast =
              new Roast(
                  Mass.ofMilligrams(sheet.lot().purchased().milligrams() / fish),
                  Mass.ofMilligrams(edible.milligrams() / fish),
                  each);
          return List.of(
              formats.say(
                  "kitchen.said.serves",
                  roast.serves(),
                  formats.mass(roast.each()),
                  formats.about(roast.edible()),
                  formats.mass(roast.whole()),
                  Roast.LOSS),
              formats.say("kitchen.said.spine"),
              formats.say("kitchen.said.fillet-after"));
        });
  }

  /** When planks go into the water. */
  @GetMapping("/kitchen/plank")
  String plank(@RequestParam Map<String, String> typed, Model model) {
    Formats formats = houses.house().formats();
    return said.worked(
        model,
        "plank",
        () -> {
          int planks = Typed.count(typed.getOrDefault("planks", ""), 1, MOST_PLANKS, "planks");
          long minutes =
              Typed.decimal(typed.getOrDefault("hours", ""), 1, LEAST_HOURS, MOST_HOURS, "hours")
                  .multiply(MINUTES)
                  .longValue();
          Instant in =
              Typed.moment(typed.getOrDefault("at", ""), formats.zone(), "at")
                  .minus(Duration.ofMinutes(minutes));
          List<String> lines = new ArrayList<>();
          lines.add(formats.say("kitchen.said.plank", planks, formats.moment(in)));
          long late = Duration.between(in, clock.instant()).toMinutes();
          if (late > 0) {
            lines.add(
                formats.say(
                    "kitchen.said.plank-late",
                    late,
                    formats.say("kitchen.said.hours", minutes / 60, minutes % 60)));
          }
          lines.add(formats.say("kitchen.said.plank-freeze"));
          return lines;
        });
  }
}
