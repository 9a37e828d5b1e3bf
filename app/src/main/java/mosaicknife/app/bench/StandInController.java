package mosaicknife.app.bench;

import mosaicknife.app.device.StandInPanel;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.Mass;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The panel beside the scale stand-in: puts a part of the current fish on it. */
@Controller
class StandInController {

  private final LotSheets sheets;
  private final SimulatedFish fish;
  private final StandInPanel hands;

  StandInController(LotSheets sheets, SimulatedFish fish, StandInPanel hands) {
    this.sheets = sheets;
    this.fish = fish;
    this.hands = hands;
  }

  @PostMapping("/bench/{id}/stand-in")
  @PreAuthorize("hasAuthority('WEIGH')")
  ResponseEntity<Void> play(
      @PathVariable long id,
      @RequestParam String action,
      @RequestParam(defaultValue = "") String part,
      @RequestParam(name = "fish", defaultValue = "1") int fishNo,
      @RequestHeader(name = "HX-Request", required = false) String htmx) {
    LotSheet sheet = sheets.get(id);
    switch (action) {
      case "put" -> hands.putOn(fish.massOf(sheet, part, Math.min(fishNo, sheet.lot().fish())));
      case "off" -> hands.takeOff();
      case "tray" -> hands.changeTray();
      case "step1" -> hands.changeStep(Mass.ofGrams(1));
      case "step2" -> hands.changeStep(Mass.ofGrams(2));
      case "step5" -> hands.changeStep(Mass.ofGrams(5));
      case "over" -> hands.overload();
      case "gone" -> hands.pullThePlug();
      default -> throw Refusal.ofInput("bench.problem.the-stand-in-cannot-do");
    }
    return htmx == null
        ? ResponseEntity.status(HttpStatus.SEE_OTHER)
            .location(
                UriComponentsBuilder.fromPath("/bench/" + id)
                    .queryParam("part", "{part}")
                    .queryParam("fish", fishNo)
                    .encode()
                    .buildAndExpand(part)
                    .toUri())
            .build()
        : ResponseEntity.noContent().build();
  }
}
