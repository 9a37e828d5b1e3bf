package mosaicknife.app.shared;

import jakarta.servlet.http.HttpServletRequest;

/** What is sent along with a request: a form, or a file. */
public final class Uploads {

  /** No form and no weighing is larger. */
  public static final int MOST_FORM_BYTES = 512 * 1024;

  private Uploads() {}

  /**
   * Returns whether files come along: photos, price lists and catalogues.
   *
   * @param request the request
   * @return true for a body of several parts
   */
  public static boolean is(HttpServletRequest request) {
    String type = request.getContentType();
    return type != null && type.startsWith("multipart/");
  }
}
