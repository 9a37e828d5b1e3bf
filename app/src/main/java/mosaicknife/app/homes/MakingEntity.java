package mosaicknife.app.homes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "making")
class MakingEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "client_id")
  private UUID clientId;

  @Column(name = "use_code")
  private String useCode;

  private String name;

  @Column(name = "venue_id")
  private long venueId;

  private int units;

  @Column(name = "planned_by")
  private long plannedBy;

  @Column(name = "planned_at")
  private Instant plannedAt;

  protected MakingEntity() {}

  MakingEntity(
      UUID clientId, String useCode, String name, long venueId, long units, long by, Instant at) {
    this.clientId = clientId;
    this.useCode = useCode;
    this.name = name;
    this.venueId = venueId;
    this.units = Math.toIntExact(units);
    this.plannedBy = by;
    this.plannedAt = at;
  }

  long id() {
    return id;
  }

  String useCode() {
    return useCode;
  }

  String name() {
    return name;
  }

  long venueId() {
    return venueId;
  }

  int units() {
    return units;
  }
}
