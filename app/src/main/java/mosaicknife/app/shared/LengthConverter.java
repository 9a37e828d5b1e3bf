package mosaicknife.app.shared;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import mosaicknife.core.quantity.Length;

/** Keeps lengths as whole millimetres. */
@Converter(autoApply = true)
class LengthConverter implements AttributeConverter<Length, Integer> {

  @Override
  public Integer convertToDatabaseColumn(Length length) {
    return length == null ? null : length.millimetres();
  }

  @Override
  public Length convertToEntityAttribute(Integer millimetres) {
    return millimetres == null ? null : new Length(millimetres);
  }
}
