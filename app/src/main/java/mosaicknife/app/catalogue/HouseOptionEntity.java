package mosaicknife.app.catalogue;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "house_option")
class HouseOptionEntity {

  @Id private String option;
  private String choice;
  private String reason;

  @Column(name = "set_by")
  private long setBy;

  @Column(name = "set_at")
  private Instant setAt;

  protected HouseOptionEntity() {}

  HouseOptionEntity(String option) {
    this.option = option;
  }

  void answer(String newChoice, String why, long person, Instant at) {
    choice = newChoice;
    reason = why;
    setBy = person;
    setAt = at;
  }

  String option() {
    return option;
  }

  String choice() {
    return choice;
  }

  String reason() {
    return reason;
  }

  long setBy() {
    return setBy;
  }

  Answer toAnswer(String by) {
    return new Answer(choice, reason, by, setAt);
  }
}
