package mosaicknife.app.house;

import java.util.List;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Words;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.PriceText;
import mosaicknife.core.quantity.QuantityFormatException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Says back what was understood of a weight or a price, while it is typed and before it counts. */
@Controller
class EchoController {

  private final HouseSettings houses;

  private final Words words;

  EchoController(HouseSettings houses, Words words) {
    this.words = words;
    this.houses = houses;
  }

  /** What is typed into: each reads a bare number in its own unit. */
  enum What {
    WEIGHT,
    PORTION,
    PRICE
  }

  /**
   * What was understood.
   *
   * @param understood the value in both systems, without what was typed; empty if nothing was
   * @param remarks what to look at
   */
  record Echo(String understood, List<String> remarks) {}

  @GetMapping("/understood")
  String understood(
      @RequestParam What what,
      @RequestParam(defaultValue = "") String typed,
      @RequestParam Optional<Long> expected,
      Model model) {
    Optional<Mass> about = expected.filter(mg -> mg > 0).map(Mass::ofMilligrams);
    model.addAttribute("echo", echo(what, typed, about));
    return "shared/echo :: echo";
  }

  private Echo echo(What what, String typed, Optional<Mass> expected) {
    if (typed.isBlank()) {
      return new Echo("", List.of());
    }
    Formats formats = houses.house().formats();
    try {
      if (what == What.PRICE) {
        PriceText text = PriceText.parse(typed, formats.system().large(), formats.currency());
        return new Echo(afterEqualSign(text.echo()), text.note().stream().map(words::say).toList());
      }
      MassUnit bare =
          what == What.PORTION ? formats.system().small() : formats.system().meant(typed, expected);
      MassText text = MassText.parse(typed, bare);
      return new Echo(shown(typed, text.echo()), text.note().stream().map(words::say).toList());
    } catch (QuantityFormatException problem) {
      return new Echo("", List.of(words.say(problem)));
    }
  }

  /** A number without unit comes back with the one it was read in. */
  private static String shown(String typed, String echo) {
    boolean bare = typed.chars().noneMatch(Character::isLetter);
    return bare ? echo : afterEqualSign(echo);
  }

  private static String afterEqualSign(String echo) {
    return echo.substring(echo.indexOf('=') + 2);
  }
}
