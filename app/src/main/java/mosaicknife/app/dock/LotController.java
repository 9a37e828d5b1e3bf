package mosaicknife.app.dock;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.lot.Claim;
import mosaicknife.app.lot.ClaimSettler;
import mosaicknife.app.lot.Evidence;
import mosaicknife.app.lot.EvidenceFiler;
import mosaicknife.app.lot.LotInspector;
import mosaicknife.app.lot.LotRegister;
import mosaicknife.app.shared.Done;
import mosaicknife.app.shared.Form;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Sent;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Typed;
import mosaicknife.app.shared.Words;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Saying;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Sign;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** What is done with a lot at the dock: inspect, measure, prove, claim. */
@Controller
class LotController {

  private final LotRegister lots;
  private final LotInspector inspections;
  private final EvidenceFiler evidence;
  private final ClaimSettler claims;
  private final HouseSettings houses;
  private final Paper paper;

  private final Words words;

  LotController(
      LotRegister lots,
      LotInspector inspections,
      EvidenceFiler evidence,
      ClaimSettler claims,
      HouseSettings houses,
      Paper paper,
      Words words) {
    this.words = words;
    this.lots = lots;
    this.inspections = inspections;
    this.evidence = evidence;
    this.claims = claims;
    this.houses = houses;
    this.paper = paper;
  }

  private Formats formats() {
    return houses.house().formats();
  }

  private static Map<Sign, Integer> grades(Map<String, String> typed) {
    Map<Sign, Integer> grades = new EnumMap<>(Sign.class);
    for (Sign sign : Sign.values()) {
      String grade = typed.getOrDefault("sign-" + sign.name(), "");
      if (grade.matches("[0-3]")) {
        grades.put(sign, Integer.valueOf(grade));
      }
    }
    return grades;
  }

  /** The verdict alone, as the signs are tapped. */
  @PostMapping("/dock/{id}/judge")
  String judge(@PathVariable long id, @RequestParam Map<String, String> typed, Model model) {
    Lot lot = lots.get(id);
    Map<Sign, Integer> grades = grades(typed);
    try {
      model.addAttribute("verdict", VerdictView.of(inspections.judge(lot, grades)));
    } catch (Refusal refusal) {
      model.addAttribute("waiting", words.say(refusal));
    }
    return "dock/inspect :: verdict";
  }

  @PostMapping("/dock/{id}/inspect")
  @Form(value = "/dock/{id}#inspect", keeps = "typedSigns")
  Done inspect(@PathVariable("id") long lot, Sent sent) {
    Fitness decision =
        Typed.choice(Fitness.values(), sent.text("decision"))
            .orElseThrow(() -> Refusal.ofField("decision", "dock.problem.what-may-it-become-the"));
    inspections.inspect(lot, sent.own(), grades(sent.typed()), decision, sent.text("reason"));
    return Done.said("dock.said.inspected", decision);
  }

  @PostMapping("/dock/{id}/fish")
  @Form(value = "/dock/{id}#fish", keeps = "typedFish")
  Done measure(@PathVariable long id, @ModelAttribute MeasureForm form) {
    inspections.measure(id, form.understood(formats()));
    return Done.said("dock.said.the-fish-are-kept-one");
  }

  @PostMapping("/dock/{id}/evidence")
  @Form("/dock/{id}#evidence")
  Done addEvidence(
      @PathVariable("id") long lot,
      @RequestParam Evidence.Kind kind,
      @RequestParam(required = false) Set<Saying> shows,
      @RequestParam MultipartFile file,
      Sent sent)
      throws IOException {
    Set<Saying> shown = shows == null ? Set.of() : shows;
    evidence.add(lot, sent.own(), kind, shown, file.getOriginalFilename(), file.getBytes());
    return Done.said("dock.said.kept-with-the-lot");
  }

  @GetMapping("/dock/{id}/evidence/{number}")
  ResponseEntity<byte[]> show(
      @PathVariable long id,
      @PathVariable long number,
      @RequestParam(defaultValue = "false") boolean small) {
    EvidenceFiler.Bytes bytes = evidence.bytes(id, number, small);
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(bytes.mediaType()))
        .header("Content-Security-Policy", "default-src 'none'; sandbox")
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.inline()
                .filename(bytes.name(), StandardCharsets.UTF_8)
                .build()
                .toString())
        .body(bytes.content());
  }

  @PostMapping("/dock/{id}/claims")
  @Form(value = "/dock/{id}#claims", keeps = "typedClaim")
  Done claim(@PathVariable long id, @ModelAttribute ClaimForm form) {
    claims.ask(id, form.understood(formats()));
    return Done.said("dock.said.the-claim-is-made-print");
  }

  @PostMapping("/dock/{id}/claims/{claim}")
  @Form("/dock/{id}#claims")
  Done settle(
      @PathVariable long id,
      @PathVariable long claim,
      @RequestParam int version,
      @RequestParam Claim.Status status,
      @RequestParam String amount) {
    claims.settle(id, claim, version, status, ClaimForm.money(amount, formats()));
    return Done.said("dock.said.claim-" + status);
  }

  /** It shows the price, so it is for those who see costs. */
  @PreAuthorize("hasAuthority('SEE_COSTS')")
  @TakesLong
  @GetMapping("/dock/{id}/claims/{claim}/sheet.pdf")
  ResponseEntity<byte[]> claimSheet(@PathVariable long id, @PathVariable long claim) {
    Lot lot = lots.get(id);
    return paper.sheet(
        "dock/claim-sheet",
        Map.of(
            "lot", lot,
            "claim", claims.get(id, claim),
            "pictures", pictures(id),
            "house", houses.house(),
            "f", formats()),
        "claim-" + claim + ".pdf");
  }

  /** The thumbnails of a lot, written into the sheet itself. */
  private List<String> pictures(long id) {
    return evidence.of(id).stream()
        .filter(Evidence::picture)
        .limit(6)
        .map(
            e ->
                words.say("dock.said.data-image-jpeg-base64")
                    + Base64.getEncoder()
                        .encodeToString(evidence.bytes(id, e.id(), true).content()))
        .toList();
  }
}
