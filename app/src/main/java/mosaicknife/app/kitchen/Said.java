package mosaicknife.app.kitchen;

import java.util.List;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.quantity.QuantityFormatException;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Answers a form while it is typed: what was worked out, or what is wrong with it. */
@Component
class Said {

  private final Words words;

  Said(Words words) {
    this.words = words;
  }

  /** What is worked out of what is typed. */
  interface Work {

    /** Works it out, in sentences. */
    List<String> said();
  }

  String worked(Model model, String what, Work work) {
    try {
      model.addAttribute("said", work.said());
      model.addAttribute("problem", "");
    } catch (Refusal | QuantityFormatException refusal) {
      model.addAttribute("said", List.of());
      model.addAttribute("problem", words.say(refusal));
    }
    model.addAttribute("what", what);
    return "kitchen/said :: said";
  }
}
