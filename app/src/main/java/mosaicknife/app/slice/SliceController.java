package mosaicknife.app.slice;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.ApartWords;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Words;
import mosaicknife.app.weighing.LotSheets;
import mosaicknife.core.lot.LotSheet;
import mosaicknife.core.lot.OnBoard;
import mosaicknife.core.portion.Serving;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.slice.PassCut;
import mosaicknife.core.slice.Style;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriUtils;

/** The Slice station of one lot: where its fillets are cut. */
@Controller
class SliceController {

  private final LotSheets sheets;
  private final SliceDesk desk;
  private final WeighedRows weighed;
  private final HouseSettings houses;
  private final Paper paper;
  private final Words words;

  SliceController(
      LotSheets sheets,
      SliceDesk desk,
      WeighedRows weighed,
      HouseSettings houses,
      Paper paper,
      Words words) {
    this.sheets = sheets;
    this.desk = desk;
    this.weighed = weighed;
    this.houses = houses;
    this.paper = paper;
    this.words = words;
  }

  /** What a page is about: a fillet of a lot, what is asked of it, and what was wrong with that. */
  private record Question(
      LotSheet sheet, List<OnBoard> board, OnBoard piece, Asked asked, String sentence) {

    /** Whether something else is asked than what the dishes want. */
    boolean isTyped() {
      return !asked.isOfDish();
    }
  }

  private Optional<Question> question(LotSheet sheet, Map<String, String> typed) {
    List<OnBoard> board = OnBoard.toSlice(sheet);
    return chosen(board, typed.getOrDefault("piece", ""))
        .map(
            piece -> {
              Formats formats = houses.house().formats();
              Serving dish = sheet.plates().servingOf(piece.part().slot());
              try {
                Asked asked =
                    typed.keySet().stream().allMatch("piece"::equals)
                        ? Asked.ofDish(dish, piece, formats)
                        : Asked.of(typed, dish, piece, sheet, formats);
                desk.check(sheet, board, asked);
                return new Question(sheet, board, piece, asked, "");
              } catch (Refusal | QuantityFormatException refusal) {
                Asked asked = Asked.ofDish(dish, piece, formats);
                return new Question(sheet, board, piece, asked, words.say(refusal));
              }
            });
  }

  private Optional<Question> question(long id, Map<String, String> typed, Model model) {
    LotSheet sheet = sheets.get(id);
    Optional<Question> question = question(sheet, typed);
    model.addAttribute("sheet", sheet);
    model.addAttribute("lot", sheet.lot());
    model.addAttribute("typed", typed);
    String query = query(typed);
    model.addAttribute("query", query);
    model.addAttribute("more", query.replaceFirst("[?]", "&"));
    model.addAttribute("chosen", question.map(one -> one.piece().key()).orElse(""));
    question
        .map(Question::sentence)
        .filter(sentence -> !sentence.isEmpty())
        .ifPresent(sentence -> model.addAttribute("sentence", sentence));
    return question;
  }

  /** What was typed, to go along to the board and onto paper. */
  private static String query(Map<String, String> typed) {
    return typed.isEmpty()
        ? ""
        : typed.entrySet().stream()
            .map(one -> encoded(one.getKey()) + "=" + encoded(one.getValue()))
            .collect(Collectors.joining("&", "?", ""));
  }

  private static String encoded(String text) {
    return UriUtils.encode(text, StandardCharsets.UTF_8);
  }

  @GetMapping("/slice/{id}")
  String slice(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
    question(id, typed, model)
        .ifPresent(
            question ->
                desk.cut(question.sheet(), question.piece(), question.asked())
                    .ifPresent(cut -> show(question, cut, model)));
    return "slice/slice";
  }

  private static Optional<OnBoard> chosen(List<OnBoard> board, String key) {
    return board.stream()
        .filter(one -> one.key().equals(key))
        .findFirst()
        .or(() -> board.stream().findFirst());
  }

  private void show(Question question, PassCut cut, Model model) {
    Formats formats = houses.house().formats();
    LotSheet sheet = question.sheet();
    Asked asked = question.asked();
    model.addAttribute("serving", asked.serving());
    model.addAttribute("styles", Style.values());
    model.addAttribute("ways", asked.bones());
    model.addAttribute(
        "view",
        SliceView.of(
            sheet,
            question.piece(),
            cut,
            asked,
            desk.ways(sheet, question.piece(), asked),
            desk.home(sheet, question.piece(), cut),
            formats));
    model.addAttribute(
        "picture", SlicePicture.of(cut, SliceView.isRaw(sheet, question.piece()), formats));
    List<SliceView.Side> sides = new ArrayList<>();
    for (OnBoard other : question.board()) {
      Asked ofOther = asked(sheet, other, Optional.of(question), formats);
      desk.cut(sheet, other, ofOther)
          .ifPresent(one -> sides.add(SliceView.side(other, one, ofOther, formats)));
    }
    model.addAttribute("sides", sides);
    model.addAttribute("plates", SliceView.plates(sheet, formats));
    model.addAttribute("apart", ApartWords.of(sheet, formats));
    if (question.isTyped()) {
      model.addAttribute("asked", sides.stream().mapToLong(SliceView.Side::count).sum());
    }
    model.addAttribute("weighed", weighed.of(List.of(sheet)));
  }

  /** One cut at a time, large, beside a ruler as long as it is. */
  @GetMapping("/slice/{id}/board")
  String board(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
    Map<String, String> asked = new LinkedHashMap<>(typed);
    String step = asked.remove("step");
    question(id, asked, model)
        .ifPresent(
            question ->
                desk.cut(question.sheet(), question.piece(), question.asked())
                    .ifPresent(cut -> showOnBoard(question, cut, step, model)));
    return "slice/board";
  }

  private void showOnBoard(Question question, PassCut cut, String step, Model model) {
    Formats formats = houses.house().formats();
    boolean raw = SliceView.isRaw(question.sheet(), question.piece());
    BoardView view = BoardView.of(question.piece(), cut, step, raw, formats);
    model.addAttribute("view", view);
    model.addAttribute("picture", SlicePicture.of(cut, raw, formats));
  }

  /** Every portion of the lot, to be hung beside the board and to go along to the pass. */
  @TakesLong
  @GetMapping("/slice/{id}/portions.pdf")
  ResponseEntity<byte[]> list(@PathVariable long id, @RequestParam Map<String, String> typed) {
    LotSheet sheet = sheets.get(id);
    Map<String, Object> model = new LinkedHashMap<>();
    model.put("house", houses.house());
    model.put("lot", sheet.lot());
    model.put("printed", printed(sheet, typed));
    return paper.sheet("slice/portions", model, "portions-" + id + ".pdf");
  }

  /** A label for every portion of the lot. */
  @TakesLong
  @GetMapping("/slice/{id}/labels.pdf")
  ResponseEntity<byte[]> labels(@PathVariable long id, @RequestParam Map<String, String> typed) {
    LotSheet sheet = sheets.get(id);
    Map<String, Object> model = new LinkedHashMap<>();
    model.put("house", houses.house());
    model.put("f", houses.house().formats());
    model.put("lot", sheet.lot());
    model.put("today", houses.today());
    model.put("printed", printed(sheet, typed));
    return paper.sheet("slice/labels", model, "labels-" + id + ".pdf");
  }

  private List<SliceView.Printed> printed(LotSheet sheet, Map<String, String> typed) {
    Formats formats = houses.house().formats();
    Optional<Question> question = question(sheet, typed);
    List<SliceView.Printed> printed = new ArrayList<>();
    for (OnBoard one : OnBoard.toSlice(sheet)) {
      Asked asked = asked(sheet, one, question, formats);
      desk.cut(sheet, one, asked)
          .ifPresent(cut -> printed.add(SliceView.printed(sheet, one, cut, formats)));
    }
    return printed;
  }

  /** As on the page where something was asked there; else what the dish of each cut wants. */
  private static Asked asked(
      LotSheet sheet, OnBoard one, Optional<Question> question, Formats formats) {
    if (question.filter(Question::isTyped).isEmpty()) {
      return Asked.ofDish(sheet.plates().servingOf(one.part().slot()), one, formats);
    }
    boolean here = one.key().equals(question.get().piece().key());
    return here ? question.get().asked() : question.get().asked().elsewhere();
  }
}
