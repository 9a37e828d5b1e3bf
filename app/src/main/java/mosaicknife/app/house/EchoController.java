package mosaicknife.app.house;

import java.util.List;
import java.util.Optional;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Words;
import mosaicknife.core.finding.Finding;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.PriceText;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.Slip;
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
   * @param question what to ask before it counts, empty if nothing is odd
   * @param typed the text it is about
   */
  record Echo(String understood, List<String> remarks, String question, String typed) {

    Echo(String understood, List<String> remarks) {
      this(understood, remarks, "", "");
    }
  }

  /**
   * About what is typed there, in mg; neither where nothing is expected.
   *
   * @param expected the norm
   * @param spread its standard deviation
   */
  record Norm(Optional<Long> expected, Optional<Long> spread) {

    Optional<Mass> about() {
      return expected.filter(mg -> mg > 0).map(Mass::ofMilligrams);
    }

    Optional<Slip> slip(Mass figure) {
      Mass off = Mass.ofMilligrams(spread.filter(mg -> mg > 0).orElse(0L));
      return about().flatMap(norm -> Slip.find(figure, norm, off));
    }
  }

  @GetMapping("/understood")
  String understood(
      @RequestParam What what,
      @RequestParam(defaultValue = "") String typed,
      Norm norm,
      Model model) {
    model.addAttribute("echo", echo(what, typed, norm));
    return "shared/echo :: echo";
  }

  private Echo echo(What what, String typed, Norm norm) {
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
          what == What.PORTION
              ? formats.system().small()
              : formats.system().meant(typed, norm.about());
      MassText text = MassText.parse(typed, bare);
      String question =
          norm.slip(text.mass())
              .map(slip -> words.say(Finding.of(slip, norm.about().orElseThrow())))
              .orElse("");
      return new Echo(
          shown(typed, text.echo()),
          text.note().stream().map(words::say).toList(),
          question,
          typed.strip());
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
