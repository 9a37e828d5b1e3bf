package mosaicknife.app.catalogue;

import java.time.Clock;
import java.util.Map;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
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

  private final HouseOptionRepository options;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final Clock clock;

  HouseOptions(
      HouseOptionRepository options, PeopleRegister people, CurrentPerson current, Clock clock) {
    this.options = options;
    this.people = people;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Returns the answers of the house.
   *
   * @return the answers by option, with who gave them and why
   */
  @Transactional(readOnly = true)
  public Map<String, Answer> answers() {
    Map<Long, String> names = people.names();
    return options.findAll().stream()
        .collect(
            Collectors.toMap(HouseOptionEntity::option, a -> a.toAnswer(names.get(a.setBy()))));
  }

  /**
   * Returns the answers of the house as choices.
   *
   * @return the choices; an option without answer takes its usual one
   */
  @Transactional(readOnly = true)
  public Choices choices() {
    return new Choices(
        options.findAll().stream()
            .collect(Collectors.toMap(HouseOptionEntity::option, HouseOptionEntity::choice)));
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
    HouseOptionEntity answer =
        options.findById(option).orElseGet(() -> new HouseOptionEntity(option));
    answer.answer(choice, why, current.get().id(), clock.instant());
    options.save(answer);
  }
}
