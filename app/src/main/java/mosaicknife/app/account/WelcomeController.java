package mosaicknife.app.account;

import jakarta.servlet.http.HttpServletResponse;
import java.time.ZoneId;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page of the one-time link. */
@Controller
class WelcomeController {

  private final WelcomeLink links;
  private final Words words;

  WelcomeController(WelcomeLink links, Words words) {
    this.links = links;
    this.words = words;
  }

  @GetMapping("/welcome")
  String welcome(@RequestParam String link, @ModelAttribute("form") WelcomeForm form, Model model) {
    return page(model, link, kindOf(link));
  }

  private WelcomeLink.Kind kindOf(String link) {
    return links
        .find(link)
        .orElseThrow(() -> Refusal.ofStale("account.problem.this-link-was-used-or"));
  }

  private static String page(Model model, String link, WelcomeLink.Kind kind) {
    model.addAttribute("link", link);
    if (kind == WelcomeLink.Kind.OWNER) {
      return "account/owner";
    }
    model.addAttribute("zones", ZoneId.getAvailableZoneIds().stream().sorted().toList());
    return "account/welcome";
  }

  @PostMapping("/welcome")
  String found(
      @RequestParam String link,
      @ModelAttribute("form") WelcomeForm form,
      Model model,
      HttpServletResponse response) {
    WelcomeLink.Kind kind = kindOf(link);
    try {
      if (kind == WelcomeLink.Kind.OWNER) {
        links.useForOwner(link, form);
      } else {
        links.use(link, form);
      }
      return "redirect:/sign-in";
    } catch (Refusal refusal) {
      response.setStatus(422);
      model.addAttribute("sentence", words.say(refusal));
      return page(model, link, kind);
    }
  }
}
