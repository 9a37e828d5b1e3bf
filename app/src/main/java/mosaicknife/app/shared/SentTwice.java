package mosaicknife.app.shared;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.lang.reflect.Method;
import org.hibernate.exception.ConstraintViolationException;
import org.hibernate.exception.ConstraintViolationException.ConstraintKind;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.resilience.annotation.Retryable;
import org.springframework.resilience.retry.MethodRetryPredicate;

/**
 * A change that may arrive twice at the same moment, as by a double tap. If the database refuses it
 * because its twin was a moment quicker, it is made once more in a transaction of its own, and then
 * finds what the twin stored.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
@Retryable(maxRetries = 1, delay = 0, predicate = SentTwice.TwinWasFirst.class)
public @interface SentTwice {

  /** Only what is there already is asked again; what may not be there at all is not. */
  final class TwinWasFirst implements MethodRetryPredicate {

    @Override
    public boolean shouldRetry(Method method, Throwable problem) {
      return problem instanceof DataIntegrityViolationException
          && problem.getCause() instanceof ConstraintViolationException refused
          && refused.getKind() == ConstraintKind.UNIQUE;
    }
  }
}
