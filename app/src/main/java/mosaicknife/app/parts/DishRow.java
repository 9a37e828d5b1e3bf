package mosaicknife.app.parts;

import jakarta.persistence.Column;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import mosaicknife.app.shared.StoredServing;
import mosaicknife.core.lot.Destination;
import org.hibernate.annotations.Immutable;

/** A dish as its parts see it: it is read with them and changed elsewhere. */
@Entity
@Immutable
@Table(name = "dish")
class DishRow {

  @Id private Long id;

  private String name;

  @Column(name = "venue_id")
  private long venueId;

  private boolean raw;
  private boolean active;

  @Embedded private StoredServing serving;

  protected DishRow() {}

  boolean isActive() {
    return active;
  }

  long venueId() {
    return venueId;
  }

  Destination.ToDish toDish() {
    return new Destination.ToDish(id, name, raw, serving.serving());
  }
}
