package mosaicknife.app.shared;

import java.lang.annotation.Documented;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * A change that the form of a page asks for. The page it came from is shown again: with what the
 * method says was done, or with why not and what was typed. Only what is not there at all has
 * another page.
 */
@Documented
@Retention(RetentionPolicy.RUNTIME)
@Target(ElementType.METHOD)
public @interface Form {

  /** The page, with variables of its address and fields of the form in braces. */
  String value();

  /** Under which name the page finds what was typed, with the variables of the address. */
  String keeps() default "typed";
}
