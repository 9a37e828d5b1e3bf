package mosaicknife.app.exchange;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.core.ResolvableType;

/** Says in the description of the API which fields an answer always has. */
@Configuration
class RequiredFields {

  private final Set<Class<?>> answers = ConcurrentHashMap.newKeySet();

  @Bean
  @Lazy
  OperationCustomizer findAnswers() {
    return (operation, method) -> {
      gather(ResolvableType.forMethodReturnType(method.getMethod()));
      return operation;
    };
  }

  /** An answer, and whatever it is made of. */
  private void gather(ResolvableType type) {
    Arrays.stream(type.getGenerics()).forEach(this::gather);
    Class<?> raw = type.resolve(Object.class);
    if (raw.isRecord() && raw.getName().startsWith("mosaicknife.") && answers.add(raw)) {
      for (RecordComponent field : raw.getRecordComponents()) {
        gather(ResolvableType.forType(field.getGenericType()));
      }
    }
  }

  @Bean
  @Lazy
  OpenApiCustomizer requireFields() {
    return api ->
        answers.forEach(
            type -> require(api.getComponents().getSchemas().get(type.getSimpleName()), type));
  }

  /** What is left out where it is empty is not always there. */
  private static void require(Schema<?> schema, Class<?> type) {
    boolean isWhole = type.getAnnotation(JsonInclude.class) == null;
    for (RecordComponent field : type.getRecordComponents()) {
      if (schema != null
          && schema.getProperties() != null
          && schema.getProperties().containsKey(field.getName())
          && (isWhole || field.getType().isPrimitive())) {
        schema.addRequiredItem(field.getName());
      }
    }
  }
}
