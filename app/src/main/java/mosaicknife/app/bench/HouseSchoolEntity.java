package mosaicknife.app.bench;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "house_school")
class HouseSchoolEntity {

  @Id private String school;
  private String choice;
  private String reason;

  @Column(name = "set_by")
  private long setBy;

  @Column(name = "set_at")
  private Instant setAt;

  protected HouseSchoolEntity() {}

  HouseSchoolEntity(String school) {
    this.school = school;
  }

  void answer(String newChoice, String why, long person, Instant at) {
    choice = newChoice;
    reason = why;
    setBy = person;
    setAt = at;
  }

  String school() {
    return school;
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
