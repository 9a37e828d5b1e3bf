package mosaicknife.app.house;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;

@Entity
@Table(name = "venue")
class VenueEntity extends NamedRow {

  protected VenueEntity() {}

  VenueEntity(String name) {
    super(name);
  }
}
