package mosaicknife.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import com.fasterxml.jackson.databind.type.TypeFactory;
import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.core.converter.ModelConverter;
import io.swagger.v3.core.converter.ModelConverterContext;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Iterator;
import java.util.Set;
import org.springframework.context.annotation.Lazy;
import org.springframework.stereotype.Component;

/** Says in the description of the API which fields an answer always has. */
@Component
@Lazy
class RequiredFields implements ModelConverter {

  /** What is sent and not named a request; in what is sent, fields may be left out. */
  private static final Set<String> SENT = Set.of("SignIn", "WeighingJson", "ReceiptForm");

  @Override
  public Schema<?> resolve(
      AnnotatedType type, ModelConverterContext context, Iterator<ModelConverter> chain) {
    if (!chain.hasNext()) {
      return null;
    }
    Schema<?> schema = chain.next().resolve(type, context, chain);
    Class<?> raw = TypeFactory.defaultInstance().constructType(type.getType()).getRawClass();
    if (raw.isRecord() && raw.getName().startsWith("mosaicknife.") && !isSent(raw)) {
      Schema<?> defined = context.getDefinedModels().getOrDefault(raw.getSimpleName(), schema);
      for (RecordComponent field : raw.getRecordComponents()) {
        if (isAlwaysThere(raw, field)
            && defined != null
            && defined.getProperties() != null
            && defined.getProperties().containsKey(field.getName())) {
          defined.addRequiredItem(field.getName());
        }
      }
    }
    return schema;
  }

  private static boolean isSent(Class<?> type) {
    return type.getName().contains("Request") || SENT.contains(type.getSimpleName());
  }

  private static boolean isAlwaysThere(Class<?> owner, RecordComponent field) {
    JsonInclude include = owner.getAnnotation(JsonInclude.class);
    return include == null || field.getType().isPrimitive();
  }
}
