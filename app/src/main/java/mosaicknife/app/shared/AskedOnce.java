package mosaicknife.app.shared;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.cache.annotation.Cacheable;

/**
 * What is asked once while a page is shown: whoever asks the same again on the way to the same page
 * is given the same answer. What answers must change nothing, and what it returns nobody may
 * change. Where something is sent, and outside a request, it is asked every time.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
@Cacheable(cacheManager = "onePage", cacheNames = "page", keyGenerator = "pageQuestion")
public @interface AskedOnce {}
