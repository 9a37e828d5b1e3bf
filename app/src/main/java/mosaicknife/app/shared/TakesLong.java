package mosaicknife.app.shared;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * Marks what keeps a processor busy for a second or more: schedules, plans, prints. Only so many of
 * them run at once ({@link LongWork}), so that the bench weighs on beside them.
 */
@Target({ElementType.TYPE, ElementType.METHOD})
@Retention(RetentionPolicy.RUNTIME)
public @interface TakesLong {}
