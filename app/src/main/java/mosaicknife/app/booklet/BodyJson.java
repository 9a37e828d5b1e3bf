package mosaicknife.app.booklet;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.annotation.PropertyAccessor;
import java.util.function.Function;
import java.util.function.ToLongFunction;
import mosaicknife.core.quantity.Length;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.quantity.Temperature;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/** What an entry says as a document: a quantity is a whole number of its smallest unit. */
final class BodyJson {

  private static final JsonMapper JSON =
      JsonMapper.builder()
          .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
          .changeDefaultVisibility(
              seen ->
                  seen.withVisibility(PropertyAccessor.GETTER, Visibility.NONE)
                      .withVisibility(PropertyAccessor.IS_GETTER, Visibility.NONE)
                      .withVisibility(PropertyAccessor.FIELD, Visibility.ANY))
          .addModule(quantities())
          .build();

  private BodyJson() {}

  static String write(Object said) {
    return JSON.writeValueAsString(said);
  }

  static <T> T read(String body, Class<T> type) {
    return JSON.readValue(body, type);
  }

  private static SimpleModule quantities() {
    SimpleModule module = new SimpleModule();
    add(module, Mass.class, Mass::milligrams, Mass::ofMilligrams);
    add(module, Length.class, Length::millimetres, mm -> new Length(Math.toIntExact(mm)));
    add(module, Temperature.class, Temperature::tenths, t -> new Temperature(Math.toIntExact(t)));
    return module;
  }

  private static <Q> void add(
      SimpleModule module, Class<Q> type, ToLongFunction<Q> count, Function<Long, Q> of) {
    module.addSerializer(
        new StdSerializer<Q>(type) {
          @Override
          public void serialize(Q quantity, JsonGenerator json, SerializationContext context) {
            json.writeNumber(count.applyAsLong(quantity));
          }
        });
    module.addDeserializer(
        type,
        new StdDeserializer<Q>(type) {
          @Override
          public Q deserialize(JsonParser json, DeserializationContext context) {
            return of.apply(json.getLongValue());
          }
        });
  }
}
