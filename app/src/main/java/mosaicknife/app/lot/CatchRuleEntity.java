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
import java.time.MonthDay;
import java.util.Optional;
import mosaicknife.core.lot.CatchMethod;
import mosaicknife.core.lot.CatchRule;

@Entity
@Table(name = "catch_rule")
class CatchRuleEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String species;

  @Enumerated(EnumType.STRING)
  private CatchRule.Kind kind;

  private String area;

  @Enumerated(EnumType.STRING)
  private CatchMethod method;

  @Column(name = "from_day")
  private String from;

  @Column(name = "to_day")
  private String to;

  private Integer most;
  private String source;
  private LocalDate dated;
  private LocalDate expires;

  @Column(name = "kept_by")
  private long keptBy;

  protected CatchRuleEntity() {}

  CatchRuleEntity(CatchRule rule, long by) {
    species = rule.species();
    kind = rule.kind();
    area = rule.area();
    method = rule.method().orElse(null);
    from = rule.from().map(MonthDay::toString).orElse(null);
    to = rule.to().map(MonthDay::toString).orElse(null);
    most = rule.most().orElse(null);
    source = rule.source();
    dated = rule.dated();
    expires = rule.expires();
    keptBy = by;
  }

  Long id() {
    return id;
  }

  CatchRule toRule() {
    return new CatchRule(
        species,
        kind,
        area,
        Optional.ofNullable(method),
        Optional.ofNullable(from).map(MonthDay::parse),
        Optional.ofNullable(to).map(MonthDay::parse),
        Optional.ofNullable(most),
        source,
        dated,
        expires);
  }
}
