package mosaicknife.app.cutplan;

import java.io.Serializable;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.parts.LotDivider;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.QuantityFormatException;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Some fish of a lot are cut another way: they become a lot of their own, and can go back. */
@Controller
class DivisionController {

  private final LotDivider divider;
  private final HouseSettings houses;
  private final Words words;

  DivisionController(LotDivider divider, HouseSettings houses, Words words) {
    this.divider = divider;
    this.houses = houses;
    this.words = words;
  }

  /**
   * What was ticked or typed; kept when it was refused.
   *
   * @param fish the numbers of the fish, where each was weighed by itself
   * @param count how many, as typed, where they were not
   * @param mass what those weigh, as typed
   */
  record Wish(List<Integer> fish, String count, String mass) implements Serializable {

    /** Copies the numbers. */
    Wish {
      fish = fish == null ? List.of() : List.copyOf(fish);
    }

    private int howMany() {
      return count == null ? 0 : Typed.count(count, 1, LotRules.MOST_FISH, "count");
    }

    private Optional<Mass> together(MassUnit usual) {
      return Optional.ofNullable(mass)
          .filter(typed -> !typed.isBlank())
          .map(typed -> MassText.parse(typed, usual).mass());
    }
  }

  @PostMapping("/plan/{id}/division")
  String divide(
      @PathVariable long id,
      @RequestParam int version,
      @RequestParam String own,
      Wish wish,
      RedirectAttributes later) {
    try {
      UUID sentAs = ClientIds.of(own);
      int howMany = wish.howMany();
      Optional<Mass> together = wish.together(houses.house().formats().system().small());
      return "redirect:/plan/"
          + SentTwice.survive(
              () -> divider.divide(id, version, sentAs, wish.fish(), howMany, together));
    } catch (Refusal | QuantityFormatException refusal) {
      later.addFlashAttribute("wish", wish);
      return refused(id, refusal, later);
    }
  }

  @PostMapping("/plan/{id}/division/back")
  String putBack(@PathVariable long id, @RequestParam long to, RedirectAttributes later) {
    try {
      divider.putBack(id);
      return "redirect:/plan/" + to;
    } catch (Refusal refusal) {
      return refused(id, refusal, later);
    }
  }

  private String refused(long id, RuntimeException refusal, RedirectAttributes later) {
    if (refusal instanceof Refusal missing && missing.kind() == Refusal.Kind.MISSING) {
      throw missing;
    }
    later.addFlashAttribute("sentence", words.say(refusal));
    return "redirect:/plan/" + id;
  }
}
