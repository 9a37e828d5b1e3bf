package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import mosaicknife.core.safety.Limit;
import mosaicknife.core.safety.Limits;

@Entity
@Table(name = "house_limit")
class HouseLimitEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Enumerated(EnumType.STRING)
  @Column(updatable = false)
  private Limit which;

  @Column(updatable = false)
  private int value;

  @Column(updatable = false)
  private String source;

  @Column(updatable = false)
  private LocalDate dated;

  @Column(name = "kept_by", updatable = false)
  private long keptBy;

  protected HouseLimitEntity() {}

  HouseLimitEntity(Limit which, Limits.Setting setting, long by) {
    this.which = which;
    this.value = setting.value();
    this.source = setting.source();
    this.dated = setting.dated();
    this.keptBy = by;
  }

  Limit which() {
    return which;
  }

  Limits.Setting toSetting() {
    return new Limits.Setting(value, source, dated);
  }
}
