package mosaicknife.app.house;

import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.util.WebUtils;

/** Gives every page the house, its number formats and the chosen theme. */
@ControllerAdvice(annotations = Controller.class)
class PageAdvice {

  private final HouseSettings book;

  PageAdvice(HouseSettings book) {
    this.book = book;
  }

  @ModelAttribute("house")
  House house() {
    return book.house();
  }

  /** The theme chosen by the switch; {@code auto} follows the system. */
  @ModelAttribute("theme")
  String theme(HttpServletRequest request) {
    Cookie cookie = WebUtils.getCookie(request, "mosaic_theme");
    return cookie != null && Arrays.asList("light", "dark").contains(cookie.getValue())
        ? cookie.getValue()
        : "auto";
  }
}
