package mosaicknife.app.shared;

import java.util.Arrays;
import java.util.List;
import java.util.Set;
import org.springframework.cache.Cache;
import org.springframework.cache.CacheManager;
import org.springframework.cache.annotation.EnableCaching;
import org.springframework.cache.concurrent.ConcurrentMapCache;
import org.springframework.cache.interceptor.KeyGenerator;
import org.springframework.cache.support.NoOpCache;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Keeps what was {@linkplain AskedOnce asked once} as long as the request for one page lasts. */
@Configuration
@EnableCaching(order = Ordered.LOWEST_PRECEDENCE - 1)
class PageAnswers {

  private static final Set<String> LOOKS = Set.of("GET", "HEAD");

  @Bean
  CacheManager onePage() {
    return new CacheManager() {
      @Override
      public Cache getCache(String name) {
        return of(name, RequestContextHolder.getRequestAttributes());
      }

      @Override
      public List<String> getCacheNames() {
        return List.of();
      }
    };
  }

  private static Cache of(String name, RequestAttributes attributes) {
    if (!(attributes instanceof ServletRequestAttributes request)
        || !LOOKS.contains(request.getRequest().getMethod())) {
      return new NoOpCache(name);
    }
    String key = PageAnswers.class.getName();
    Cache known = (Cache) request.getAttribute(key, RequestAttributes.SCOPE_REQUEST);
    if (known == null) {
      known = new ConcurrentMapCache(name);
      request.setAttribute(key, known, RequestAttributes.SCOPE_REQUEST);
    }
    return known;
  }

  /** A question is a method of a service with what it was asked with. */
  private record Question(Object service, String method, List<Object> with) {}

  @Bean
  KeyGenerator pageQuestion() {
    return (service, method, with) -> new Question(service, method.getName(), Arrays.asList(with));
  }
}
