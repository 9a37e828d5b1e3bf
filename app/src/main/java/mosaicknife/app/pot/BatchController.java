package mosaicknife.app.pot;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import mosaicknife.app.homes.Makings.Made;
import mosaicknife.app.larder.Spots;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.heat.Surroundings;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.quantity.Temperature;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** A batch: its steps, what probes show of it, and its packing. */
@Controller
class BatchController {

  private static final BigDecimal LEAST_LITRES = new BigDecimal("0.1");
  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(500);
  private static final int MOST_UNITS = 100_000;

  private final PotBook book;
  private final PotKeeper keeper;
  private final PotProbe probe;
  private final Spots spots;
  private final BatchPage page;
  private final Paper paper;
  private final Words words;
  private final Clock clock;

  BatchController(
      PotBook book,
      PotKeeper keeper,
      PotProbe probe,
      Spots spots,
      BatchPage page,
      Paper paper,
      Words words,
      Clock clock) {
    this.book = book;
    this.keeper = keeper;
    this.probe = probe;
    this.spots = spots;
    this.page = page;
    this.paper = paper;
    this.words = words;
    this.clock = clock;
  }

  @GetMapping("/pot/{id}")
  String batch(@PathVariable long id, Model model, RedirectAttributes later) {
    Optional<Brew> found = book.find(id);
    if (found.isEmpty()) {
      // it was packed just now, or meanwhile on another tablet: what is said of it goes along
      for (String said : List.of("done", "sentence")) {
        if (model.containsAttribute(said)) {
          later.addFlashAttribute(said, model.getAttribute(said));
        }
      }
      return "redirect:/pot";
    }
    page.show(found.get(), model);
    return "pot/batch";
  }

  /** The same, asked for every few seconds. */
  @GetMapping("/pot/{id}/now")
  String now(@PathVariable long id, Model model) {
    return live(id, model, "live");
  }

  /** How it cools, asked for the same way; what is being typed beside it stays. */
  @GetMapping("/pot/{id}/cooling")
  String cooling(@PathVariable long id, Model model) {
    return live(id, model, "cool");
  }

  /** Of a pot that was packed meanwhile, on another tablet say, it asks no more. */
  private String live(long id, Model model, String fragment) {
    Optional<Brew> found = book.find(id);
    found.ifPresent(brew -> page.show(brew, model));
    return (found.isPresent() ? "pot/batch :: " : "pot/packed :: ") + fragment;
  }

  @PostMapping("/pot/{id}/begin")
  @Form("/pot/{id}")
  Done begin(@PathVariable long id, Sent sent) {
    keeper.begin(id, sent.text("step"), clock.instant());
    return Done.said("pot.said.begun");
  }

  @PostMapping("/pot/{id}/done")
  @Form("/pot/{id}")
  Done done(@PathVariable long id, Sent sent) {
    keeper.done(id, sent.text("step"), clock.instant());
    return Done.said("pot.said.done-now");
  }

  @PostMapping("/pot/{id}/read")
  @Form("/pot/{id}")
  Done read(@PathVariable long id, Sent sent) {
    Temperature read = sent.temperature("temperature");
    Instant now = clock.instant();
    Instant at = sent.given("at", field -> sent.lately(field, now)).orElse(now);
    probe.read(sent.own("sent"), id, read, at, sent.text("instrument"));
    return Done.said("pot.said.read", read);
  }

  @PostMapping("/pot/{id}/probe")
  @Form("/pot/{id}")
  Done probe(@PathVariable long id, Sent sent) {
    return Done.said("pot.said.read", probe.read(sent.own("sent"), id));
  }

  @PostMapping("/pot/{id}/strike")
  @Form("/pot/{id}")
  Done strike(@PathVariable long id, Sent sent) {
    probe.strike(id, sent.id("reading"));
    return Done.said("pot.said.struck");
  }

  @PostMapping("/pot/{id}/stand")
  @Form("/pot/{id}")
  Done stand(@PathVariable long id, Sent sent) {
    Surroundings place = sent.choice(Surroundings.values(), "where");
    probe.stand(id, place, !sent.text("probe").isEmpty());
    return Done.said("pot.said.stands", words.say("Surroundings." + place.name()));
  }

  @PostMapping("/pot/{id}/pack")
  @Form("/pot/{id}")
  Done pack(@PathVariable long id, Sent sent) {
    Brew brew = book.find(id).orElseThrow(() -> Refusal.ofStale("pot.problem.packed-already"));
    Shelved.Spot spot = spots.read(brew.making().venue(), sent);
    Made made =
        new Made(
            sent.count("units", 1, MOST_UNITS),
            sent.given("weight", sent::mass),
            sent.given("until", sent::day),
            spot,
            false,
            Optional.empty());
    PotKeeper.Gave gave =
        new PotKeeper.Gave(
            sent.decimal("litres", 2, LEAST_LITRES, MOST_LITRES),
            Typed.choice(PotKeeper.Jelly.values(), sent.text("jelly"))
                .orElse(PotKeeper.Jelly.UNKNOWN),
            sent.choice(PotKeeper.Look.values(), "look"),
            sent.text("taste"));
    return Done.said("pot.said.packed", keeper.pack(id, made, gave), spot.place());
  }

  /** The log of the cooling, to file. */
  @TakesLong
  @GetMapping("/pot/{id}/cooling.pdf")
  ResponseEntity<byte[]> log(@PathVariable long id) {
    Brew brew = book.find(id).orElseThrow(() -> Refusal.ofMissing("pot.problem.no-such-batch"));
    return paper.sheet("pot/cooling-log", page.log(brew), "cooling-log.pdf");
  }
}
