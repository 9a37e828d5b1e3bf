package mosaicknife.app.shared;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Lets only so much long work run at once, and only so many wait for it. Whoever comes then is told
 * so at once, instead of holding a thread and a connection that the bench needs.
 */
@Component
class LongWork implements HandlerInterceptor, WebMvcConfigurer {

  private static final int AT_ONCE = 4;
  private static final int MOST_WAITING = 24;
  private static final int WAIT_SECONDS = 20;
  private static final String HELD = LongWork.class.getName();

  private final Semaphore places = new Semaphore(AT_ONCE, true);
  private final BareAnswer answers;
  private final Words words;

  LongWork(BareAnswer answers, Words words) {
    this.answers = answers;
    this.words = words;
  }

  @Override
  public void addInterceptors(InterceptorRegistry registry) {
    registry.addInterceptor(this);
  }

  @Override
  public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler)
      throws IOException {
    if (!takesLong(handler) || request.getAttribute(HELD) != null) {
      return true;
    }
    if (!hasPlace()) {
      answers.send(
          request, response, HttpStatus.SERVICE_UNAVAILABLE, words.say("shared.problem.busy"), 5);
      return false;
    }
    request.setAttribute(HELD, true);
    return true;
  }

  private boolean hasPlace() {
    if (places.getQueueLength() >= MOST_WAITING) {
      return false;
    }
    try {
      return places.tryAcquire(WAIT_SECONDS, TimeUnit.SECONDS);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      return false;
    }
  }

  @Override
  public void afterCompletion(
      HttpServletRequest request, HttpServletResponse response, Object handler, Exception e) {
    if (request.getAttribute(HELD) != null) {
      request.removeAttribute(HELD);
      places.release();
    }
  }

  private static boolean takesLong(Object handler) {
    return handler instanceof HandlerMethod method
        && (method.hasMethodAnnotation(TakesLong.class)
            || method.getBeanType().isAnnotationPresent(TakesLong.class));
  }
}
