package mosaicknife.app.homes;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.parts.PurposeAssigner;
import mosaicknife.app.parts.Use;
import mosaicknife.app.picture.LotMosaic;
import mosaicknife.app.picture.MosaicPicture.Size;
import mosaicknife.app.picture.MosaicPicture.Slice;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.Words;
import mosaicknife.app.weighing.CookedRecorder;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.app.weighing.UsualPurposes;
import mosaicknife.core.anatomy.Purpose;
import mosaicknife.core.lot.Held;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.quantity.PriceText;
import mosaicknife.core.quantity.UnitPrice;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Second life station. */
@Controller
class UseController {

  private final LotSheets sheets;
  private final PurposeAssigner purposes;
  private final UsualPurposes usual;
  private final CookedRecorder cooked;
  private final Decided decided;
  private final PeopleRegister people;
  private final HouseSettings houses;

  private final Words words;

  UseController(
      LotSheets sheets,
      PurposeAssigner purposes,
      UsualPurposes usual,
      CookedRecorder cooked,
      Decided decided,
      PeopleRegister people,
      HouseSettings houses,
      Words words) {
    this.words = words;
    this.sheets = sheets;
    this.purposes = purposes;
    this.usual = usual;
    this.cooked = cooked;
    this.decided = decided;
    this.people = people;
    this.houses = houses;
  }

  @GetMapping("/uses/{id}")
  String use(@PathVariable long id, @RequestParam Optional<String> part, Model model) {
    Formats formats = houses.house().formats();
    LotSheet sheet = sheets.get(id);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("use", UseView.of(sheet, cooked.of(sheet), people.names(), formats));
    Map<String, List<Slice>> slices = slices(id);
    model.addAttribute("mosaic", LotMosaic.of(sheet, slices, Size.LARGE, formats));
    model.addAttribute("decided", said(slices, formats));
    model.addAttribute("none", List.of());
    model.addAttribute("people", people.everybody());
    model.addAttribute("venueOfLot", sheet.lot().venue().id());
    model.addAttribute(
        "detail",
        part.or(() -> Sent.kept(model, "typedUse").map(typed -> typed.get("slot"))).orElse(""));
    return "homes/part";
  }

  private Map<String, List<Slice>> slices(long id) {
    Map<Long, String> venues = houses.venueNames();
    Map<String, List<Slice>> slices = new HashMap<>();
    decided
        .of(id)
        .forEach(
            (slot, shares) ->
                slices.put(
                    slot,
                    shares.stream()
                        .map(
                            one ->
                                new Slice(
                                    words.say(
                                        "homes.part.said.at", one.use(), venues.get(one.venue())),
                                    one.mass()))
                        .toList()));
    return slices;
  }

  /** Only what goes several ways is said gram by gram; one way is what the part becomes. */
  private static Map<String, List<String>> said(Map<String, List<Slice>> slices, Formats formats) {
    Map<String, List<String>> said = new HashMap<>();
    slices.forEach(
        (slot, of) -> {
          if (of.size() > 1) {
            said.put(
                slot,
                of.stream()
                    .map(one -> formats.say("homes.part.said.so-much", one.mass(), one.name()))
                    .toList());
          }
        });
    return said;
  }

  @PostMapping("/uses/{id}/parts/{slot}")
  @Form(value = "/uses/{id}", keeps = "typedUse")
  Done assign(
      @PathVariable long id,
      @PathVariable String slot,
      @RequestParam int version,
      @RequestParam Purpose purpose,
      Sent sent) {
    purposes.assign(id, slot, version, purpose, use(sent, purpose));
    return Done.QUIETLY;
  }

  /** What a part weighed after cooking; empty fields take it back. */
  @PostMapping("/uses/{id}/parts/{slot}/cooked")
  @Form(value = "/uses/{id}#row-{slot}", keeps = "typedCooked")
  Done cooked(@PathVariable long id, @PathVariable String slot, Sent sent) {
    cooked.weigh(id, slot, sent.given("out", sent::mass), sent.given("flesh", sent::mass));
    return Done.QUIETLY;
  }

  @PostMapping("/uses/{id}/usual")
  @Form("/uses/{id}")
  Done usual(@PathVariable long id) {
    List<String> left = usual.ofWeighed(id);
    return left.isEmpty()
        ? Done.QUIETLY
        : Done.QUIETLY.with(
            "left", words.say("homes.part.said.no-usual-purpose", String.join(", ", left)));
  }

  private Use use(Sent sent, Purpose purpose) {
    Formats formats = houses.house().formats();
    boolean credited = purpose == Purpose.SECOND_PLATE || purpose == Purpose.POT;
    Optional<UnitPrice> value =
        credited
            ? sent.given("value", sent::text)
                .map(
                    typed ->
                        PriceText.parse(typed, formats.system().large(), formats.currency())
                            .price())
            : Optional.empty();
    return new Use(
        PlainText.line(sent.text("becomes"), 120, "becomes", FieldName.USE),
        value,
        purpose == Purpose.HOLD ? held(sent) : Optional.empty());
  }

  private static Optional<Held> held(Sent sent) {
    String place = PlainText.line(sent.text("place"), 80, "place", FieldName.PLACE);
    if (sent.text("until").isEmpty()
        || place.isEmpty()
        || !sent.text("keeper").matches("\\d{1,18}")) {
      return Optional.empty();
    }
    return Optional.of(new Held(sent.day("until"), place, sent.id("keeper")));
  }
}
