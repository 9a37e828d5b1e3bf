package mosaicknife.app.cutplan;

import java.io.Serializable;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.parts.LotDivider;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.Typed;
import mosaicknife.core.lot.LotRules;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Some fish of a lot are cut another way: they become a lot of their own, and can go back. */
@Controller
class DivisionController {

  private final LotDivider divider;
  private final HouseSettings houses;

  DivisionController(LotDivider divider, HouseSettings houses) {
    this.divider = divider;
    this.houses = houses;
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
  @Form(value = "/plan/{id}", keeps = "wish")
  Done divide(@PathVariable long id, @RequestParam int version, Wish wish, Sent sent) {
    int howMany = wish.howMany();
    Optional<Mass> together = wish.together(houses.house().formats().system().small());
    long divided = divider.divide(id, version, sent.own("own"), wish.fish(), howMany, together);
    return Done.QUIETLY.on("/plan/" + divided);
  }

  @PostMapping("/plan/{id}/division/back")
  @Form("/plan/{id}")
  Done putBack(@PathVariable long id, @RequestParam long to) {
    divider.putBack(id);
    return Done.QUIETLY.on("/plan/" + to);
  }
}
