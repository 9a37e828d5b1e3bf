package mosaicknife.app.house;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.Set;
import java.util.stream.Collectors;
import mosaicknife.core.buying.DeliveryDays;

/** Keeps days of delivery as the numbers of the week, such as {@code 2,5}; Monday is 1. */
@Converter(autoApply = true)
class DeliveryDaysConverter implements AttributeConverter<DeliveryDays, String> {

  @Override
  public String convertToDatabaseColumn(DeliveryDays days) {
    return days.days().stream()
        .map(day -> String.valueOf(day.getValue()))
        .collect(Collectors.joining(","));
  }

  @Override
  public DeliveryDays convertToEntityAttribute(String stored) {
    Set<DayOfWeek> days =
        Arrays.stream(stored.split(","))
            .filter(number -> !number.isEmpty())
            .map(number -> DayOfWeek.of(Integer.parseInt(number)))
            .collect(Collectors.toSet());
    return new DeliveryDays(days);
  }
}
