package mosaicknife.app.house;

import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import mosaicknife.app.shared.Sent;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Gives a handler what its form sent, read as this house writes. */
@Component
class SentArgument implements HandlerMethodArgumentResolver, WebMvcConfigurer {

  private final ObjectProvider<HouseSettings> houses;

  SentArgument(ObjectProvider<HouseSettings> houses) {
    this.houses = houses;
  }

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(this);
  }

  @Override
  public boolean supportsParameter(MethodParameter parameter) {
    return parameter.getParameterType() == Sent.class;
  }

  @Override
  public Object resolveArgument(
      MethodParameter parameter,
      ModelAndViewContainer answer,
      NativeWebRequest web,
      WebDataBinderFactory binders) {
    Map<String, String> typed = new HashMap<>();
    web.getNativeRequest(HttpServletRequest.class)
        .getParameterMap()
        .forEach((field, values) -> typed.put(field, values[0]));
    return new Sent(typed, houses.getObject().house().formats());
  }
}
