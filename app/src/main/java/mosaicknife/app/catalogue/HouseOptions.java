package mosaicknife.app.catalogue;

import java.util.Map;
import java.util.stream.Collectors;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.booklet.HouseBook;
import mosaicknife.app.booklet.Section;
import mosaicknife.app.booklet.Written;
import mosaicknife.app.shared.AskedOnce;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.plan.Choices;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How this house answers the cutting options, with the reason and who gave it. */
@Service
@Transactional
public class HouseOptions {

  private static final int LONGEST_REASON = 200;

  private static final Section<Said> ANSWERS = new Section<>("OPTION", Said.class);

  private final HouseBook book;
  private final PeopleRegister people;

  HouseOptions(HouseBook book, PeopleRegister people) {
    this.book = book;
    this.people = people;
  }

  /** What an entry says. */
  record Said(String choice, String reason) {}

  private static Answer answer(Written<Said> entry, Map<Long, String> names) {
    return new Answer(
        entry.said().choice(),
        entry.said().reason(),
        names.get(entry.by()),
        entry.at().orElseThrow());
  }

  /**
   * Returns the answers of the house.
   *
   * @return the answers by option, with who gave them and why
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public Map<String, Answer> answers() {
    Map<Long, String> names = people.names();
    return book.standing(ANSWERS).stream()
        .collect(Collectors.toMap(Written::code, answer -> answer(answer, names)));
  }

  /**
   * Returns the answers of the house as choices.
   *
   * @return the choices; an option without answer takes its usual one
   */
  @Transactional(readOnly = true)
  @AskedOnce
  public Choices choices() {
    return new Choices(
        book.standing(ANSWERS).stream()
            .collect(Collectors.toMap(Written::code, answer -> answer.said().choice())));
  }

  /**
   * Makes an answer the answer of the house, for lots to come.
   *
   * @param option the code of the option
   * @param choice the code of the choice
   * @param reason why, for those who ask later
   * @throws Refusal if no reason is given
   */
  @PreAuthorize("hasAuthority('EDIT_CATALOGUE')")
  public void answer(String option, String choice, String reason) {
    String why = PlainText.line(reason, LONGEST_REASON, "reason", FieldName.REASON);
    if (why.isEmpty()) {
      throw Refusal.ofField("reason", "catalogue.problem.say-why-so-that-others");
    }
    book.write(ANSWERS, option, new Said(choice, why));
  }
}
