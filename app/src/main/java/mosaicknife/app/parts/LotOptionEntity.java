package mosaicknife.app.parts;

import jakarta.persistence.Column;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import mosaicknife.app.catalogue.Answer;

@Entity
@Table(name = "lot_option")
class LotOptionEntity {

  @EmbeddedId private OptionKey key;
  private String choice;
  private String reason = "";

  @Column(name = "set_by")
  private long setBy;

  @Column(name = "set_at")
  private Instant setAt;

  protected LotOptionEntity() {}

  LotOptionEntity(long lotId, String option) {
    key = new OptionKey(lotId, option);
  }

  void answer(String newChoice, String why, long person, Instant at) {
    choice = newChoice;
    reason = why;
    setBy = person;
    setAt = at;
  }

  long lotId() {
    return key.lotId();
  }

  String option() {
    return key.option();
  }

  String choice() {
    return choice;
  }

  Answer toAnswer(String by) {
    return new Answer(choice, reason, by, setAt);
  }

  long setBy() {
    return setBy;
  }
}
