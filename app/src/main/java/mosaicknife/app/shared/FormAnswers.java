package mosaicknife.app.shared;

import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.method.support.HandlerMethodReturnValueHandler;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.support.RequestContextUtils;
import org.springframework.web.util.UriComponents.UriTemplateVariables;
import org.springframework.web.util.UriComponentsBuilder;

/** Answers every {@link Form} with its page. */
@Component
class FormAnswers implements HandlerMethodReturnValueHandler, WebMvcConfigurer {

  private final Words words;

  FormAnswers(Words words) {
    this.words = words;
  }

  @Override
  public void addReturnValueHandlers(List<HandlerMethodReturnValueHandler> handlers) {
    handlers.add(this);
  }

  @Override
  public boolean supportsReturnType(MethodParameter returned) {
    return returned.getParameterType() == Done.class;
  }

  @Override
  public void handleReturnValue(
      Object value, MethodParameter returned, ModelAndViewContainer answer, NativeWebRequest web) {
    HttpServletRequest request = web.getNativeRequest(HttpServletRequest.class);
    Done done = (Done) value;
    Map<String, Object> told = RequestContextUtils.getOutputFlashMap(request);
    done.said().ifPresent(key -> told.put("done", words.say(key, done.facts().toArray())));
    told.putAll(done.told());
    answer.setRedirectModelScenario(true);
    answer.setViewName(
        "redirect:"
            + done.page().orElseGet(() -> page(returned.getMethodAnnotation(Form.class), request)));
  }

  /**
   * Answers a form that was refused.
   *
   * @param refusal why
   * @param handler what was asked
   * @param request the request
   * @return the page of the form with what was typed; empty if it is no form
   */
  Optional<ModelAndView> refused(
      RuntimeException refusal, HandlerMethod handler, HttpServletRequest request) {
    Form form = handler.getMethodAnnotation(Form.class);
    if (form == null) {
      return Optional.empty();
    }
    Map<String, Object> told = RequestContextUtils.getOutputFlashMap(request);
    told.put("sentence", words.say(refusal));
    told.put(form.keeps(), typed(request));
    return Optional.of(new ModelAndView("redirect:" + page(form, request)));
  }

  private static String page(Form form, HttpServletRequest request) {
    Map<String, String> known = typed(request);
    UriTemplateVariables variables = name -> known.getOrDefault(name, "");
    // encoded before it is filled: what was typed is never more than one step of an address
    return UriComponentsBuilder.fromUriString(form.value())
        .encode()
        .build()
        .expand(variables)
        .toUriString();
  }

  /** What was typed, by field; the variables of the address go before fields of their name. */
  private static HashMap<String, String> typed(HttpServletRequest request) {
    HashMap<String, String> typed = new HashMap<>();
    request
        .getParameterMap()
        .forEach((field, values) -> typed.put(field, String.join(",", values)));
    Object variables = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
    if (variables instanceof Map<?, ?> address) {
      address.forEach((name, value) -> typed.put(name.toString(), value.toString()));
    }
    return typed;
  }
}
