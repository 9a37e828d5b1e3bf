package mosaicknife.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.Permission;
import mosaicknife.app.bench.BenchPages.Place;
import mosaicknife.app.device.Scale;
import mosaicknife.app.device.ScaleClaims;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.house.HouseTray;
import mosaicknife.app.house.TrayEditor;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.parts.LotParts;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.app.weighing.BenchStream;
import mosaicknife.app.weighing.Entry;
import mosaicknife.app.weighing.Take;
import mosaicknife.app.weighing.TallyMender;
import mosaicknife.app.weighing.WeighForm;
import mosaicknife.app.weighing.WeighingRecorder;
import mosaicknife.app.weighing.WeighingRecorder.Weighed;
import mosaicknife.core.breakdown.Explanation.Cause;
import mosaicknife.core.quantity.MassText;
import mosaicknife.core.quantity.MassUnit;
import mosaicknife.core.quantity.QuantityFormatException;
import mosaicknife.core.quantity.UnitSystem;
import mosaicknife.core.scale.ScaleReading;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/**
 * The Bench station. Every change answers with the sheet, to be swapped in, or without script with
 * a redirect to the page; a refused one with the same sheet and the sentence on it.
 */
@Controller
class BenchController {

  private static final int UNPROCESSABLE = 422;
  private static final int CONFLICT = 409;

  private static final MediaType PLAIN = new MediaType("text", "plain", StandardCharsets.UTF_8);

  private final BenchPages pages;
  private final WeighingRecorder book;
  private final LotParts parts;
  private final BenchStream stream;
  private final TallyMender tallies;
  private final NoteRecorder notes;
  private final TrayEditor trays;
  private final LotRegister lots;
  private final Scale scale;
  private final ScaleClaims claims;
  private final HouseSettings houses;
  private final CurrentPerson person;

  private final Words words;

  BenchController(
      BenchPages pages,
      WeighingRecorder book,
      LotParts parts,
      BenchStream stream,
      TallyMender tallies,
      NoteRecorder notes,
      TrayEditor trays,
      LotRegister lots,
      Scale scale,
      ScaleClaims claims,
      HouseSettings houses,
      CurrentPerson person,
      Words words) {
    this.words = words;
    this.pages = pages;
    this.book = book;
    this.parts = parts;
    this.stream = stream;
    this.tallies = tallies;
    this.notes = notes;
    this.trays = trays;
    this.lots = lots;
    this.scale = scale;
    this.claims = claims;
    this.houses = houses;
    this.person = person;
  }

  @GetMapping("/bench/{id}")
  String bench(
      @PathVariable long id,
      @RequestParam Optional<String> part,
      @RequestParam(defaultValue = "1") int fish,
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      HttpServletResponse response,
      Model model) {
    pages.fill(model, new Place(id, part, fish));
    if (htmx == null && person.may(Permission.WEIGH)) {
      notes.begin(id);
    }
    response.addHeader("Vary", "HX-Request");
    return htmx == null ? "bench/bench" : "bench/bench :: sheet";
  }

  @GetMapping(path = "/bench/{id}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
  SseEmitter stream(
      @PathVariable long id,
      @RequestParam Optional<Long> tray,
      HttpSession session,
      HttpServletResponse response) {
    // a proxy that gathers an answer before it passes it on would hold back the scale
    response.setHeader("X-Accel-Buffering", "no");
    return stream.open(lots.get(id).id(), tray.flatMap(trays::find), session.getId());
  }

  /**
   * Takes a weight. The script asks for the shortest answer: it shows the weight already, and reads
   * one sheet after the last of several.
   */
  @PostMapping(path = "/bench/{id}/weighings", headers = "Prefer=return=minimal")
  Object takeOnly(@PathVariable long id, @ModelAttribute WeighForm form, Reply answer) {
    return attempt(
        answer.at(id, Optional.of(form.slot()), form.fishNo()),
        () -> ResponseEntity.ok().contentType(PLAIN).body(take(id, form)));
  }

  @PostMapping("/bench/{id}/weighings")
  String take(@PathVariable long id, @ModelAttribute WeighForm form, Reply answer) {
    return change(
        answer.at(id, Optional.of(form.slot()), form.fishNo()),
        () -> {
          String said = take(id, form);
          answer.keepRow(form.slot());
          return said;
        });
  }

  private String take(long id, WeighForm form) {
    Entry entry = entry(id, form);
    Take take = form.toTake(id, entry);
    boolean live = !form.isTyped() && !form.isLate();
    Weighed weighed = live ? claimed(take, scale.find(form.reading()).orElseThrow()) : stored(take);
    return words.say("bench.said.taken", weighed.part(), formats().mass(weighed.mass()));
  }

  private static int status(Refusal refusal) {
    return refusal.kind() == Refusal.Kind.STALE ? CONFLICT : UNPROCESSABLE;
  }

  private Weighed stored(Take take) {
    return book.take(take);
  }

  /** What lies on the scale is taken once: the next weight needs it to be gone first. */
  private Weighed claimed(Take take, ScaleReading reading) {
    if (!claims.claim(take.id(), reading)) {
      throw Refusal.ofInput("bench.problem.that-weight-was-taken-already");
    }
    try {
      return stored(take);
    } catch (Refusal refusal) {
      claims.release();
      throw refusal;
    }
  }

  private Entry entry(long id, WeighForm form) {
    Optional<HouseTray> tray = Optional.ofNullable(form.tray()).flatMap(trays::find);
    if (form.isTyped()) {
      return Entry.of(MassText.parse(form.typed(), bareUnit(id, form)), tray);
    }
    Optional<ScaleReading> reading =
        form.isLate() ? form.seen() : scale.find(form.reading() == null ? 0 : form.reading());
    return Entry.of(
        reading.orElseThrow(() -> Refusal.ofInput("bench.problem.that-reading-is-gone-wait")),
        tray);
  }

  /** A number without unit is read by what is expected there; what has one needs no look at it. */
  private MassUnit bareUnit(long id, WeighForm form) {
    UnitSystem system = formats().system();
    String typed = form.typed() == null ? "" : form.typed();
    boolean hasUnit = typed.isBlank() || typed.chars().anyMatch(Character::isLetter);
    return hasUnit ? system.large() : system.meant(typed, pages.expected(id, form));
  }

  /** Takes back a weighing that the script names, or without script the last one of the person. */
  @PostMapping("/bench/{id}/back")
  String takeBack(
      @PathVariable long id,
      @RequestParam Optional<UUID> own,
      @RequestParam Optional<UUID> weighing,
      @RequestParam Optional<String> part,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return change(
        answer.at(id, part, fish),
        () -> {
          String name =
              weighing.isEmpty()
                  ? book.takeBack(id)
                  : book.takeBack(id, own.orElseGet(UUID::randomUUID), weighing.get());
          claims.release();
          answer.keepPart();
          return words.say("bench.said.taken-back", name);
        });
  }

  @PostMapping("/bench/{id}/mend")
  String mend(
      @PathVariable long id,
      @RequestParam String own,
      @RequestParam String line,
      @RequestParam Cause cause,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return change(
        answer.at(id, Optional.empty(), fish),
        () -> {
          Optional<String> next =
              tallies.mend(
                  id,
                  ClientIds.of(own),
                  line,
                  cause,
                  (sheet, e) -> Suspicion.reason(sheet, e, formats()));
          next.ifPresent(answer::select);
          return next.isPresent()
              ? words.say("bench.said.put-it-on-the-scale")
              : words.say("bench.said.mended-the-old-figure-is");
        });
  }

  @PostMapping("/bench/{id}/row")
  String row(
      @PathVariable long id,
      @RequestParam String part,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return change(
        answer.at(id, Optional.of(part), fish),
        () -> {
          answer.select(parts.startRow(id, part));
          return words.say("bench.said.every-reading-is-one-portion");
        });
  }

  @PostMapping("/bench/{id}/notes")
  String note(
      @PathVariable long id,
      @RequestParam String own,
      @RequestParam(defaultValue = "") String part,
      @RequestParam(defaultValue = "") String note,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return change(
        answer.at(id, Optional.of(part), fish),
        () -> {
          notes.write(ClientIds.of(own), id, part, note);
          answer.keepPart();
          return words.say("bench.said.noted");
        });
  }

  @PostMapping("/bench/{id}/parts")
  String addPart(
      @PathVariable long id,
      @RequestParam(defaultValue = "") String kind,
      @RequestParam(defaultValue = "") String parent,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return change(
        answer.at(id, Optional.empty(), fish),
        () -> {
          answer.select(parts.addPart(id, kind, parent));
          return words.say("bench.said.part-added-put-it-on");
        });
  }

  /** Gives a part that was cut or added a name of its own. */
  @PostMapping("/bench/{id}/name")
  String call(
      @PathVariable long id,
      @RequestParam String part,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return listed(answer.at(id, Optional.of(part), fish), () -> parts.call(id, part, name));
  }

  /** Cuts a part into the pieces of another. */
  @PostMapping("/bench/{id}/parts/like")
  String cutLike(
      @PathVariable long id,
      @RequestParam String part,
      @RequestParam String like,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return change(
        answer.at(id, Optional.empty(), fish),
        () -> {
          answer.select(parts.cutLike(id, part, like));
          return words.say("bench.said.pieces-repeated");
        });
  }

  /** A change of the list of parts. */
  private String listed(Reply answer, Runnable work) {
    return change(
        answer,
        () -> {
          work.run();
          return words.say("bench.said.the-list-of-parts-was");
        });
  }

  /** Leaves a part on another: one weight for both. */
  @PostMapping("/bench/{id}/stay")
  String stay(
      @PathVariable long id,
      @RequestParam String part,
      @RequestParam String on,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return listed(answer.at(id, Optional.empty(), fish), () -> parts.stayOn(id, part, on));
  }

  /** Puts a weighed part back into another: it is served with it. */
  @PostMapping("/bench/{id}/put-back")
  String putBack(
      @PathVariable long id,
      @RequestParam String part,
      @RequestParam(defaultValue = "") String into,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    Optional<String> other = Optional.of(into).filter(slot -> !slot.isEmpty());
    return listed(answer.at(id, Optional.empty(), fish), () -> parts.putBack(id, part, other));
  }

  /** Moves a weight that was booked on the wrong row. */
  @PostMapping("/bench/{id}/move")
  String move(
      @PathVariable long id,
      @RequestParam String own,
      @RequestParam UUID weighing,
      @RequestParam String to,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return change(
        answer.at(id, Optional.empty(), fish),
        () -> {
          Weighed moved = book.move(id, ClientIds.of(own), weighing, to);
          return words.say("bench.said.moved", formats().mass(moved.mass()), moved.part());
        });
  }

  @PostMapping("/bench/{id}/skip")
  String skip(
      @PathVariable long id,
      @RequestParam String part,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return listed(answer.at(id, Optional.empty(), fish), () -> parts.skipOrExpect(id, part));
  }

  @PostMapping("/bench/{id}/tare")
  String tare(
      @PathVariable long id,
      @RequestParam Optional<String> part,
      @RequestParam(defaultValue = "1") int fish,
      Reply answer) {
    return change(
        answer.at(id, part, fish),
        () -> {
          if (scale.latest().isEmpty()) {
            throw Refusal.ofInput("bench.problem.no-scale-to-tare");
          }
          scale.tare();
          answer.keepPart();
          return words.say("bench.said.tare-taken");
        });
  }

  @PostMapping("/bench/{id}/finish")
  String finish(@PathVariable long id, @RequestParam int version, Reply answer) {
    return change(
        answer.at(id, Optional.empty(), 1),
        () -> {
          lots.finish(id, version);
          return words.say("bench.said.lot-is-closed", id);
        });
  }

  @PostMapping("/bench/{id}/reopen")
  String reopen(@PathVariable long id, @RequestParam int version, Reply answer) {
    return change(
        answer.at(id, Optional.empty(), 1),
        () -> {
          lots.reopen(id, version);
          return words.say("bench.said.lot-is-open-again", id);
        });
  }

  /** Makes a change and answers with the sheet after it, or with the sentence that refuses it. */
  private String change(Reply answer, Supplier<String> work) {
    return (String) attempt(answer, () -> answer.done(work.get()));
  }

  private Object attempt(Reply answer, Supplier<Object> work) {
    try {
      return work.get();
    } catch (Refusal refusal) {
      if (refusal.kind() == Refusal.Kind.MISSING) {
        throw refusal;
      }
      return answer.refused(status(refusal), words.say(refusal));
    } catch (QuantityFormatException problem) {
      return answer.refused(UNPROCESSABLE, words.say(problem));
    }
  }

  @ModelAttribute
  Reply answer(
      @RequestHeader(name = "HX-Request", required = false) String htmx,
      HttpServletResponse response,
      Model model,
      RedirectAttributes later) {
    return new Reply(pages, model, response, later, htmx != null);
  }

  private Formats formats() {
    return houses.house().formats();
  }

  /** The answer to a change: the sheet at once, or by redirect where there is no script. */
  static final class Reply {

    private final BenchPages pages;
    private final Model model;
    private final HttpServletResponse response;
    private final RedirectAttributes later;
    private final boolean fragment;
    private Place place;
    private Optional<String> selected = Optional.empty();

    private Reply(
        BenchPages pages,
        Model model,
        HttpServletResponse response,
        RedirectAttributes later,
        boolean fragment) {
      this.pages = pages;
      this.model = model;
      this.response = response;
      this.later = later;
      this.fragment = fragment;
    }

    private Reply at(long lotId, Optional<String> part, int fish) {
      place = new Place(lotId, part, fish);
      return this;
    }

    private void select(String part) {
      selected = Optional.of(part);
    }

    /** The next reading is the next piece of a row. */
    private void keepRow(String part) {
      selected = part.startsWith("portion-of-") ? Optional.of(part) : Optional.empty();
    }

    private void keepPart() {
      selected = place.part();
    }

    private String done(String said) {
      return show(selected, "said", said);
    }

    private String refused(int status, String sentence) {
      if (fragment) {
        response.setStatus(status);
      }
      return show(place.part(), "sentence", sentence);
    }

    private String show(Optional<String> part, String name, String words) {
      if (!fragment) {
        later.addFlashAttribute(name, words);
        part.ifPresent(slot -> later.addAttribute("part", slot));
        later.addAttribute("fish", place.fish());
        return "redirect:/bench/" + place.lotId();
      }
      pages.fill(model, new Place(place.lotId(), part, place.fish()));
      model.addAttribute(name, words);
      return "bench/bench :: sheet";
    }
  }
}
