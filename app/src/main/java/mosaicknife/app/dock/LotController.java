package mosaicknife.app.dock;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Base64;
import java.util.EnumMap;
import java.util.HashMap;
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
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Paper;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.SentTwice;
import mosaicknife.app.shared.TakesLong;
import mosaicknife.app.shared.Words;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Saying;
import mosaicknife.core.quantity.QuantityFormatException;
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
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

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
  String inspect(
      @PathVariable long id, @RequestParam Map<String, String> typed, RedirectAttributes later) {
    try {
      Fitness decision =
          Arrays.stream(Fitness.values())
              .filter(f -> f.name().equals(typed.get("decision")))
              .findFirst()
              .orElseThrow(
                  () -> Refusal.ofField("decision", "dock.problem.what-may-it-become-the"));
      SentTwice.survive(
          () -> {
            inspections.inspect(
                id,
                ClientIds.of(typed.get("id")),
                grades(typed),
                decision,
                typed.getOrDefault("reason", ""));
            return id;
          });
      later.addFlashAttribute("done", words.say("dock.said.inspected", decision));
    } catch (Refusal refusal) {
      if (refusal.kind() == Refusal.Kind.MISSING) {
        throw refusal;
      }
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute("typedSigns", new HashMap<>(typed));
    }
    return "redirect:/dock/" + id + "#inspect";
  }

  @PostMapping("/dock/{id}/fish")
  String measure(
      @PathVariable long id, @ModelAttribute MeasureForm form, RedirectAttributes later) {
    try {
      inspections.measure(id, form.understood(formats()));
      later.addFlashAttribute("done", words.say("dock.said.the-fish-are-kept-one"));
    } catch (Refusal refusal) {
      if (refusal.kind() == Refusal.Kind.MISSING) {
        throw refusal;
      }
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute("typedFish", form.fish());
    }
    return "redirect:/dock/" + id + "#fish";
  }

  @PostMapping("/dock/{id}/evidence")
  String addEvidence(
      @PathVariable long id,
      @RequestParam(name = "id", required = false) String clientId,
      @RequestParam Evidence.Kind kind,
      @RequestParam(required = false) Set<Saying> shows,
      @RequestParam MultipartFile file,
      RedirectAttributes later)
      throws IOException {
    try {
      evidence.add(
          id,
          ClientIds.of(clientId),
          kind,
          shows == null ? Set.of() : shows,
          file.getOriginalFilename(),
          file.getBytes());
      later.addFlashAttribute("done", words.say("dock.said.kept-with-the-lot"));
    } catch (Refusal refusal) {
      if (refusal.kind() == Refusal.Kind.MISSING) {
        throw refusal;
      }
      later.addFlashAttribute("sentence", words.say(refusal));
    }
    return "redirect:/dock/" + id + "#evidence";
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
  String claim(@PathVariable long id, @ModelAttribute ClaimForm form, RedirectAttributes later) {
    try {
      ClaimSettler.Asked asked = form.understood(formats());
      SentTwice.survive(() -> claims.ask(id, asked));
      later.addFlashAttribute("done", words.say("dock.said.the-claim-is-made-print"));
    } catch (Refusal | QuantityFormatException refusal) {
      if (refusal instanceof Refusal missing && missing.kind() == Refusal.Kind.MISSING) {
        throw missing;
      }
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute(
          "typedClaim",
          new HashMap<>(
              Map.of(
                  "kind", text(form.kind()),
                  "mass", text(form.mass()),
                  "amount", text(form.amount()),
                  "reason", text(form.reason()))));
    }
    return "redirect:/dock/" + id + "#claims";
  }

  private static String text(String typed) {
    return typed == null ? "" : typed;
  }

  @PostMapping("/dock/{id}/claims/{claim}")
  String settle(
      @PathVariable long id,
      @PathVariable long claim,
      @RequestParam int version,
      @RequestParam Claim.Status status,
      @RequestParam String amount,
      RedirectAttributes later) {
    try {
      claims.settle(id, claim, version, status, ClaimForm.money(amount, formats()));
      later.addFlashAttribute("done", words.say("dock.said.claim-" + status));
    } catch (Refusal refusal) {
      if (refusal.kind() == Refusal.Kind.MISSING) {
        throw refusal;
      }
      later.addFlashAttribute("sentence", words.say(refusal));
    }
    return "redirect:/dock/" + id + "#claims";
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
