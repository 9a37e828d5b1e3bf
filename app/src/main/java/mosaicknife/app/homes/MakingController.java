package mosaicknife.app.homes;

import java.time.Clock;
import java.util.List;
import mosaicknife.app.homes.Makings.Made;
import mosaicknife.app.larder.ChilledForm;
import mosaicknife.app.larder.Spots;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.core.larder.Shelved;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** What becomes of something that was decided: brought, made or dropped. */
@Controller
@PreAuthorize("hasAuthority('DECIDE_PURPOSE')")
class MakingController {

  private static final int MOST = 100_000;

  private final Makings makings;
  private final Transfers transfers;
  private final OnTheHob hob;
  private final Spots spots;
  private final Clock clock;

  MakingController(Makings makings, Transfers transfers, OnTheHob hob, Spots spots, Clock clock) {
    this.makings = makings;
    this.transfers = transfers;
    this.hob = hob;
    this.spots = spots;
    this.clock = clock;
  }

  @PostMapping("/uses/makings/{id}/made")
  @Form(value = "/uses#make-{id}", keeps = "typedMade")
  Done made(@PathVariable long id, Sent sent) {
    if (hob.pots().containsKey(id)) {
      throw Refusal.ofStale("homes.problem.on-the-hob");
    }
    Shelved.Spot spot = spots.read(sent.id("venue"), sent);
    boolean served = !sent.text("served").isEmpty();
    Made made =
        new Made(
            sent.count("units", 1, MOST),
            sent.given("weight", sent::mass),
            sent.given("until", sent::day),
            spot,
            served,
            ChilledForm.read(sent, clock.instant()));
    String code = makings.made(id, made);
    return Done.said(
        served ? "homes.said.made-and-served" : "homes.said.made", sent.text("place"), code);
  }

  /** What lies at another venue goes on its way, under a label. */
  @PostMapping("/uses/makings/{id}/send")
  @Form("/uses#make-{id}")
  Done send(@PathVariable long id, Sent sent) {
    List<String> codes =
        sent.text("number").equals("all")
            ? transfers.sendAll(id)
            : List.of(transfers.send(id, sent.count("number", 0, MOST)));
    return Done.said("homes.said.sent", String.join(", ", codes));
  }

  @PostMapping("/uses/makings/{id}/drop")
  @Form(value = "/uses#make-{id}", keeps = "typedDrop")
  Done drop(@PathVariable long id, Sent sent) {
    makings.drop(id, sent.text("reason"));
    return Done.said("homes.said.dropped");
  }
}
