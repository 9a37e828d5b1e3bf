package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.Optional;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Temperature;
import mosaicknife.core.safety.FreezingRule;

@Entity
@Table(name = "freezing_rule")
class FreezingRuleEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "at_most_dc", updatable = false)
  private Temperature atMost;

  @Column(updatable = false)
  private int hours;

  @Column(name = "thickest_mm", updatable = false)
  private Length thickest;

  @Column(updatable = false)
  private String source;

  @Column(updatable = false)
  private LocalDate dated;

  @Column(updatable = false)
  private LocalDate expires;

  @Column(name = "kept_by", updatable = false)
  private long keptBy;

  protected FreezingRuleEntity() {}

  FreezingRuleEntity(FreezingRule rule, long by) {
    this.atMost = rule.atMost();
    this.hours = rule.hours();
    this.thickest = rule.thickest().orElse(null);
    this.source = rule.source();
    this.dated = rule.dated();
    this.expires = rule.expires();
    this.keptBy = by;
  }

  Long id() {
    return id;
  }

  FreezingRule toRule() {
    return new FreezingRule(atMost, hours, Optional.ofNullable(thickest), source, dated, expires);
  }
}
