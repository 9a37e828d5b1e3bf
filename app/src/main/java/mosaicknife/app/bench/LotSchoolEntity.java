package mosaicknife.app.bench;

import jakarta.persistence.Column;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;

@Entity
@Table(name = "lot_school")
class LotSchoolEntity {

  @EmbeddedId private SchoolKey key;
  private String choice;
  private String reason = "";

  @Column(name = "set_by")
  private long setBy;

  @Column(name = "set_at")
  private Instant setAt;

  protected LotSchoolEntity() {}

  LotSchoolEntity(long lotId, String school) {
    key = new SchoolKey(lotId, school);
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

  String school() {
    return key.school();
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
