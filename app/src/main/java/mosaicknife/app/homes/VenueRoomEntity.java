package mosaicknife.app.homes;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "venue_room")
class VenueRoomEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "venue_id")
  private long venueId;

  private String what;
  private int amount;

  @Column(name = "kept_by")
  private long keptBy;

  @Column(name = "kept_at")
  private Instant keptAt;

  protected VenueRoomEntity() {}

  VenueRoomEntity(long venueId, String what, int amount, long by, Instant at) {
    this.venueId = venueId;
    this.what = what;
    this.amount = amount;
    this.keptBy = by;
    this.keptAt = at;
  }

  long venueId() {
    return venueId;
  }

  String what() {
    return what;
  }

  int amount() {
    return amount;
  }
}
