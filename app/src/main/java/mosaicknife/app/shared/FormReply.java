package mosaicknife.app.shared;

import java.util.HashMap;
import java.util.Map;
import mosaicknife.core.quantity.QuantityFormatException;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Answers a form with the page it came from: what was done, or why not and what was typed. */
@Component
public class FormReply {

  private final Words words;

  FormReply(Words words) {
    this.words = words;
  }

  /** What a form asks for. */
  public interface Change {

    /**
     * Does it.
     *
     * @return the sentence it is answered with
     */
    String done();
  }

  /**
   * A form.
   *
   * @param page where it came from
   * @param name under which the page looks for what was typed
   * @param typed what was typed, by field
   */
  public record Form(String page, String name, Map<String, String> typed) {}

  /**
   * Does what a form asks for.
   *
   * @param form the form as typed
   * @param later what the next page is told
   * @param work what it asks for
   * @return the page it came from
   * @throws Refusal if what it is about is not there
   */
  public String after(Form form, RedirectAttributes later, Change work) {
    try {
      later.addFlashAttribute("done", work.done());
    } catch (Refusal | QuantityFormatException refusal) {
      if (refusal instanceof Refusal missing && missing.kind() == Refusal.Kind.MISSING) {
        throw missing;
      }
      later.addFlashAttribute("sentence", words.say(refusal));
      later.addFlashAttribute(form.name(), new HashMap<>(form.typed()));
    }
    return "redirect:" + form.page();
  }
}
