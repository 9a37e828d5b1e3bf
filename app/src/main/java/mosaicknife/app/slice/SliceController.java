package mosaicknife.app.slice;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.slice.Fillet;
import mosaicknife.core.slice.PortionType;
import mosaicknife.core.slice.Slicer;
import mosaicknife.core.slice.Slicing;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The Slice station. */
@Controller
class SliceController {

  private static final BigDecimal MOST_THICK = BigDecimal.valueOf(200);
  private static final BigDecimal LEAST_LENGTH = BigDecimal.ONE;
  private static final BigDecimal MOST_LENGTH = BigDecimal.valueOf(300);
  private static final BigDecimal MOST_TOLERANCE = BigDecimal.valueOf(30);
  private static final int HUNDRED = 100;

  private final LotSheets sheets;
  private final HouseSettings houses;
  private final Paper paper;
  private final Words words;

  SliceController(LotSheets sheets, HouseSettings houses, Paper paper, Words words) {
    this.sheets = sheets;
    this.houses = houses;
    this.paper = paper;
    this.words = words;
  }

  /** What is asked of the fillets: as typed, or as the dish has it. */
  private record Asked(
      Serving serving, double millimetres, boolean boneless, Optional<Double> length) {

    PortionType type(String name) {
      return PortionType.of(name, serving, millimetres, boneless);
    }
  }

  @GetMapping("/slice/{id}")
  String slice(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
    LotSheet sheet = sheets.get(id);
    Formats formats = houses.house().formats();
    List<OnBoard> board = OnBoard.of(sheet);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    Optional<OnBoard> chosen = chosen(board, typed.getOrDefault("piece", ""));
    model.addAttribute("chosen", chosen.map(SliceController::key).orElse(""));
    model.addAttribute("typed", typed);
    if (chosen.isPresent()) {
      Serving dish = sheet.plates().servingOf(chosen.get().part().slot());
      Asked asked = new Asked(dish, 0, false, Optional.empty());
      try {
        asked = asked(typed, dish, chosen.get(), sheet, formats);
      } catch (Refusal | QuantityFormatException refusal) {
        model.addAttribute("sentence", words.say(refusal));
      }
      show(sheet, board, chosen.get(), asked, formats, model);
    }
    return "slice/slice";
  }

  static String key(OnBoard one) {
    return one.part().slot() + ":" + one.fish();
  }

  private static Optional<OnBoard> chosen(List<OnBoard> board, String key) {
    return board.stream()
        .filter(one -> key(one).equals(key))
        .findFirst()
        .or(() -> board.stream().findFirst());
  }

  private Asked asked(
      Map<String, String> typed, Serving dish, OnBoard piece, LotSheet sheet, Formats formats) {
    String weight = typed.getOrDefault("portion", "").strip();
    String tolerance = typed.getOrDefault("tolerance", "").strip();
    String thick = typed.getOrDefault("thick", "").strip();
    String length = typed.getOrDefault("length", "").strip();
    Mass target =
        weight.isEmpty() ? dish.target() : MassText.parse(weight, formats.system().small()).mass();
    if (!target.isPositive()) {
      throw Refusal.ofField("portion", "slice.problem.no-portion");
    }
    double share =
        tolerance.isEmpty()
            ? dish.tolerance()
            : Typed.percent(tolerance, BigDecimal.ZERO, MOST_TOLERANCE, "tolerance").doubleValue()
                / HUNDRED;
    Optional<Double> measured =
        length.isEmpty()
            ? Optional.empty()
            : Optional.of(
                Typed.decimal(length, 1, LEAST_LENGTH, MOST_LENGTH, "length").doubleValue());
    if (measured.isPresent() && !piece.isLength(sheet.lot(), measured.get())) {
      throw Refusal.ofField("length", "slice.problem.length", length);
    }
    return new Asked(
        new Serving(Serving.Form.SLICES, target, share, 1, false),
        thick.isEmpty()
            ? 0
            : Typed.decimal(thick, 1, BigDecimal.ZERO, MOST_THICK, "thick").doubleValue(),
        typed.containsKey("boneless"),
        measured);
  }

  private static void show(
      LotSheet sheet,
      List<OnBoard> board,
      OnBoard piece,
      Asked asked,
      Formats formats,
      Model model) {
    PortionType type = asked.type(piece.part().name());
    Optional<Fillet> fillet = piece.shape(sheet.lot(), asked.length());
    if (fillet.isEmpty()) {
      return;
    }
    Slicing best = Slicer.best(fillet.get(), List.of(type), 0);
    model.addAttribute("serving", asked.serving());
    model.addAttribute("view", SliceView.of(piece, best, type, formats));
    model.addAttribute("picture", SlicePicture.of(best, formats));
    List<SliceView.Side> sides = new ArrayList<>();
    for (OnBoard other : board) {
      other
          .shape(sheet.lot(), Optional.empty())
          .ifPresent(
              shape ->
                  sides.add(SliceView.side(other, Slicer.best(shape, List.of(type), 0), formats)));
    }
    model.addAttribute("sides", sides);
    model.addAttribute("total", sides.stream().mapToInt(SliceView.Side::count).sum());
    model.addAttribute("measured", board.stream().allMatch(OnBoard::measured));
  }

  /** Every portion of the lot, to be hung beside the board and to go along to the pass. */
  @GetMapping("/slice/{id}/portions.pdf")
  ResponseEntity<byte[]> list(@PathVariable long id) {
    LotSheet sheet = sheets.get(id);
    Formats formats = houses.house().formats();
    List<SliceView.Printed> printed = new ArrayList<>();
    for (OnBoard one : OnBoard.of(sheet)) {
      Serving dish = sheet.plates().servingOf(one.part().slot());
      one.shape(sheet.lot(), Optional.empty())
          .ifPresent(
              shape ->
                  printed.add(
                      SliceView.printed(
                          one,
                          Slicer.best(
                              shape,
                              List.of(
                                  new Asked(dish, 0, false, Optional.empty())
                                      .type(one.part().name())),
                              0),
                          formats)));
    }
    Map<String, Object> model = new LinkedHashMap<>();
    model.put("house", houses.house());
    model.put("f", formats);
    model.put("lot", sheet.lot());
    model.put("printed", printed);
    return paper.sheet("slice/portions", model, "portions-" + id + ".pdf");
  }
}
