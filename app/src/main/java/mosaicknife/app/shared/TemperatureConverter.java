package mosaicknife.app.shared;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import mosaicknife.core.quantity.Temperature;

/** Keeps temperatures as tenths of a degree Celsius. */
@Converter(autoApply = true)
class TemperatureConverter implements AttributeConverter<Temperature, Integer> {

  @Override
  public Integer convertToDatabaseColumn(Temperature temperature) {
    return temperature == null ? null : temperature.tenths();
  }

  @Override
  public Temperature convertToEntityAttribute(Integer tenths) {
    return tenths == null ? null : new Temperature(tenths);
  }
}
