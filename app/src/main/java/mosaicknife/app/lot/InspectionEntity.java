package mosaicknife.app.lot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import mosaicknife.core.lot.Inspection;
import mosaicknife.core.safety.Fitness;
import mosaicknife.core.safety.Freshness;
import mosaicknife.core.safety.Sign;

@Entity
@Table(name = "inspection")
class InspectionEntity extends LotFact {

  private Short eyes;
  private Short gills;
  private Short skin;
  private Short flesh;
  private Short belly;
  private Short smell;
  private BigDecimal demerits;

  @Column(name = "days_left")
  private BigDecimal daysLeft;

  @Enumerated(EnumType.STRING)
  private Fitness proposal;

  @Enumerated(EnumType.STRING)
  private Fitness decision;

  private String reason;

  protected InspectionEntity() {}

  InspectionEntity(
      UUID clientId,
      long lotId,
      Map<Sign, Integer> grades,
      Freshness judged,
      Fitness decision,
      String reason,
      long by,
      Instant at) {
    super(clientId, lotId, by, at);
    this.eyes = grade(grades, Sign.EYES);
    this.gills = grade(grades, Sign.GILLS);
    this.skin = grade(grades, Sign.SKIN);
    this.flesh = grade(grades, Sign.FLESH);
    this.belly = grade(grades, Sign.BELLY);
    this.smell = grade(grades, Sign.SMELL);
    this.demerits = BigDecimal.valueOf(judged.demerits()).setScale(4, RoundingMode.HALF_UP);
    this.daysLeft =
        judged.daysLeft().isEmpty()
            ? null
            : BigDecimal.valueOf(judged.daysLeft().getAsDouble()).setScale(1, RoundingMode.HALF_UP);
    this.proposal = judged.proposal();
    this.decision = decision;
    this.reason = reason;
  }

  private static Short grade(Map<Sign, Integer> grades, Sign sign) {
    Integer grade = grades.get(sign);
    return grade == null ? null : grade.shortValue();
  }

  Inspection toInspection(Map<Long, String> names) {
    Map<Sign, Integer> grades = new EnumMap<>(Sign.class);
    put(grades, Sign.EYES, eyes);
    put(grades, Sign.GILLS, gills);
    put(grades, Sign.SKIN, skin);
    put(grades, Sign.FLESH, flesh);
    put(grades, Sign.BELLY, belly);
    put(grades, Sign.SMELL, smell);
    return new Inspection(
        grades,
        demerits.doubleValue(),
        daysLeft == null ? OptionalDouble.empty() : OptionalDouble.of(daysLeft.doubleValue()),
        proposal,
        decision,
        reason,
        names.get(madeBy()),
        madeAt());
  }

  private static void put(Map<Sign, Integer> grades, Sign sign, Short grade) {
    if (grade != null) {
      grades.put(sign, grade.intValue());
    }
  }
}
