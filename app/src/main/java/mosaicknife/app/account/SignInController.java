package mosaicknife.app.account;

import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The sign-in page. */
@Controller
class SignInController {

  private static final String WRONG = "account.problem.the-name-or-the-password";
  private static final String TOO_MANY = "account.problem.too-many-tries-wait-a";

  private final boolean demo;
  private final PeopleRegister people;

  SignInController(@Value("${mosaic.demo:false}") boolean demo, PeopleRegister people) {
    this.demo = demo;
    this.people = people;
  }

  static String problem(AuthenticationException e) {
    return e instanceof LockedException ? "many" : "wrong";
  }

  static String sentence(AuthenticationException e) {
    return e instanceof LockedException ? TOO_MANY : WRONG;
  }

  static String ownSentence(AuthenticationException e) {
    return e instanceof LockedException ? TOO_MANY : "account.problem.present-password";
  }

  @GetMapping("/sign-in")
  String signIn(
      @RequestParam(defaultValue = "/") String next,
      @RequestParam Optional<String> problem,
      @RequestParam Optional<String> ended,
      @RequestParam Optional<String> out,
      Model model) {
    model.addAttribute("next", next);
    model.addAttribute(
        "problem", problem.map(p -> p.equals("many") ? TOO_MANY : WRONG).orElse(null));
    model.addAttribute("ended", ended.isPresent());
    model.addAttribute("out", out.isPresent());
    model.addAttribute("demoPeople", demo ? people.everybody() : List.of());
    model.addAttribute("demoPassword", demo ? DemoAccounts.PASSWORD : null);
    model.addAttribute("founded", !people.isEmpty());
    return "account/sign-in";
  }
}
