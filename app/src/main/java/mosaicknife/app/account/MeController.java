package mosaicknife.app.account;

import jakarta.servlet.http.HttpServletRequest;
import java.util.OptionalLong;
import mosaicknife.app.house.HouseSettings;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import org.springframework.security.core.AuthenticationException;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The own account: the password, and the tokens that programs use in this person's name. */
@Controller
class MeController {

  private static final String BACK = "redirect:/me";

  private final PeopleRegister people;
  private final GuardedSignIn signIn;
  private final TokenIssuer tokens;
  private final HouseSettings houses;
  private final CurrentPerson current;
  private final Words words;

  MeController(
      PeopleRegister people,
      GuardedSignIn signIn,
      TokenIssuer tokens,
      HouseSettings houses,
      CurrentPerson current,
      Words words) {
    this.people = people;
    this.signIn = signIn;
    this.tokens = tokens;
    this.houses = houses;
    this.current = current;
    this.words = words;
  }

  /**
   * A token as the page writes it.
   *
   * @param id its number
   * @param person whose it is
   * @param since since when
   * @param used when it was last used, empty if never
   * @param until when it ends
   */
  record TokenRow(long id, String person, String since, String used, String until) {}

  @GetMapping("/me")
  String show(Model model) {
    Formats formats = houses.house().formats();
    boolean all = current.may(Permission.MANAGE_HOUSE);
    model.addAttribute("me", current.get());
    model.addAttribute("everybody", all);
    model.addAttribute(
        "tokens", tokens.held(whose(all)).stream().map(held -> row(held, formats)).toList());
    return "account/me";
  }

  private OptionalLong whose(boolean all) {
    return all ? OptionalLong.empty() : OptionalLong.of(current.get().id());
  }

  private static TokenRow row(TokenIssuer.Held held, Formats formats) {
    return new TokenRow(
        held.id(),
        held.person(),
        formats.moment(held.createdAt()),
        held.lastUsedAt().map(formats::moment).orElse(""),
        formats.moment(held.expiresAt()));
  }

  @PostMapping("/me/password")
  String changePassword(
      @RequestParam String present,
      @RequestParam String password,
      HttpServletRequest request,
      RedirectAttributes later) {
    Person me = current.get();
    checkPresent(me, present, new Visit(request));
    people.changeOwnPassword(me.id(), password, request.getSession().getId());
    later.addFlashAttribute("done", words.say("account.me.password-changed"));
    return BACK;
  }

  /** Behind the same guard as the door: an unwatched tablet is no place to guess. */
  private void checkPresent(Person me, String present, Visit visit) {
    try {
      signIn.check(me.signIn(), present, visit);
    } catch (AuthenticationException e) {
      throw Refusal.ofField("present", SignInController.ownSentence(e));
    }
  }

  @PostMapping("/me/tokens/{id}/end")
  String endToken(@PathVariable long id) {
    tokens.end(id, whose(current.may(Permission.MANAGE_HOUSE)));
    return BACK;
  }

  @ExceptionHandler(Refusal.class)
  String refused(Refusal refusal, RedirectAttributes later) {
    later.addFlashAttribute("sentence", words.say(refusal));
    return BACK;
  }
}
