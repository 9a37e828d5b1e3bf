package mosaicknife.app.house;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;

@Entity
@Table(name = "supplier")
class SupplierEntity extends NamedRow {

  protected SupplierEntity() {}

  SupplierEntity(String name) {
    super(name);
  }
}
