package mosaicknife.app.house;

/** A row that is only a name. */
interface NamedRow {

  Long id();

  String name();

  default Named toNamed() {
    return new Named(id(), name());
  }
}
