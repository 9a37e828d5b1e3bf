package mosaicknife.app.buy;

import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Embedded;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import mosaicknife.app.shared.StoredPrice;
import mosaicknife.core.anatomy.SizeGrade;
import mosaicknife.core.anatomy.Species;
import mosaicknife.core.anatomy.State;
import mosaicknife.core.buying.Offer.Form;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.UnitPrice;

/** What is offered or ordered, and at which price, as stored. */
@Embeddable
record Ware(
    String species,
    @Enumerated(EnumType.STRING) Form form,
    @Enumerated(EnumType.STRING) State state,
    @Column(name = "from_mg") Mass from,
    @Column(name = "to_mg") Mass to,
    @Embedded StoredPrice stored) {

  static Ware of(Species species, Form form, State state, SizeGrade grade, UnitPrice price) {
    return new Ware(species.code(), form, state, grade.from(), grade.to(), StoredPrice.of(price));
  }

  SizeGrade grade() {
    return new SizeGrade(from, to);
  }

  UnitPrice price() {
    return stored.price();
  }
}
