package mosaicknife.app.house;

import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;

/** A row that is only a name. */
@MappedSuperclass
abstract class NamedRow {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  private String name;

  protected NamedRow() {}

  NamedRow(String name) {
    this.name = name;
  }

  Named toNamed() {
    return new Named(id, name);
  }
}
