package mosaicknife.app.exchange;

import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.ObjectSchema;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.media.StringSchema;
import io.swagger.v3.oas.models.responses.ApiResponse;
import java.lang.reflect.Parameter;
import java.util.Arrays;
import java.util.Map;
import java.util.TreeMap;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Lazy;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.method.HandlerMethod;

/** Says for each operation of the API what it answers when something is wrong. */
@Configuration
class DocumentedErrors {

  @Bean
  @Lazy
  OperationCustomizer documentErrors() {
    return (operation, method) -> {
      errorsOf(method).forEach((status, why) -> add(operation, status, why));
      return operation;
    };
  }

  private static Map<String, String> errorsOf(HandlerMethod method) {
    Map<String, String> errors = new TreeMap<>();
    Parameter[] parameters = method.getMethod().getParameters();
    errors.put("400", "Not readable: a name or a type is not as described here.");
    if (method.getBeanType() == TokenApi.class) {
      errors.put("401", "A wrong name or password.");
      errors.put("429", "Too many tries; Retry-After says when to come back.");
    } else {
      errors.put("401", "No token, or one that has ended.");
      errors.put(
          "403",
          "The role of the token does not allow it, or it is kept at another venue than theirs.");
    }
    errors.put("405", "This address does not take this method.");
    errors.put("406", "It answers application/json only.");
    if (Arrays.stream(parameters).anyMatch(p -> p.isAnnotationPresent(PathVariable.class))) {
      errors.put("404", "There is no such lot.");
    }
    if (Arrays.stream(parameters).anyMatch(p -> p.isAnnotationPresent(RequestBody.class))) {
      errors.put("409", "Somebody else was first: read it again.");
      errors.put("413", "The request is too large.");
      errors.put("415", "Send application/json.");
      errors.put("422", "Understood, but not possible; fields tells which and why.");
    }
    return errors;
  }

  private static void add(Operation operation, String status, String why) {
    Schema<?> problem =
        new ObjectSchema()
            .addProperty("status", new Schema<Integer>().type("integer"))
            .addProperty("title", new StringSchema())
            .addProperty("detail", new StringSchema())
            .addProperty("fields", new ObjectSchema().additionalProperties(new StringSchema()));
    Content content =
        new Content().addMediaType("application/problem+json", new MediaType().schema(problem));
    operation
        .getResponses()
        .addApiResponse(status, new ApiResponse().description(why).content(content));
  }
}
