package mosaicknife.app.shared;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import mosaicknife.core.quantity.Mass;

/** Keeps masses as whole milligrams. */
@Converter(autoApply = true)
class MassConverter implements AttributeConverter<Mass, Long> {

  @Override
  public Long convertToDatabaseColumn(Mass mass) {
    return mass == null ? null : mass.milligrams();
  }

  @Override
  public Mass convertToEntityAttribute(Long milligrams) {
    return milligrams == null ? null : Mass.ofMilligrams(milligrams);
  }
}
