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
import mosaicknife.core.quantity.Length;
import mosaicknife.core.safety.LengthRule;

@Entity
@Table(name = "length_rule")
class LengthRuleEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String species;

  @Enumerated(EnumType.STRING)
  private LengthRule.Basis basis;

  @Column(name = "minimum_mm")
  private Length minimum;

  private String source;
  private LocalDate dated;
  private LocalDate expires;

  @Column(name = "kept_by")
  private long keptBy;

  protected LengthRuleEntity() {}

  LengthRuleEntity(LengthRule rule, long by) {
    this.species = rule.species();
    this.basis = rule.basis();
    change(rule, by);
  }

  final void change(LengthRule rule, long by) {
    minimum = rule.minimum();
    source = rule.source();
    dated = rule.dated();
    expires = rule.expires();
    keptBy = by;
  }

  Long id() {
    return id;
  }

  LengthRule toRule() {
    return new LengthRule(species, basis, minimum, source, dated, expires);
  }
}
