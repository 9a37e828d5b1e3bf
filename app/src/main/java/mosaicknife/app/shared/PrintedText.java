package mosaicknife.app.shared;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import org.springframework.core.io.ClassPathResource;

/**
 * Makes text fit for paper. People name fish in any script; what no font here can draw becomes an
 * open box, which is seen and asked about, and what is no letter at all breaks no sheet.
 */
final class PrintedText {

  /** The house's own font first, then one with many more letters. */
  static final String OWN = "paper-fonts/atkinson-hyperlegible-400.ttf";

  static final String OWN_BOLD = "paper-fonts/atkinson-hyperlegible-700.ttf";
  static final String WIDE = "net/sf/jasperreports/fonts/dejavu/DejaVuSans.ttf";
  static final String WIDE_BOLD = "net/sf/jasperreports/fonts/dejavu/DejaVuSans-Bold.ttf";

  private static final int BOX = 0x25A1;
  private static final List<Font> FONTS = List.of(load(OWN), load(WIDE));

  private PrintedText() {}

  private static Font load(String name) {
    try (InputStream file = new ClassPathResource(name).getInputStream()) {
      return Font.createFont(Font.TRUETYPE_FONT, file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (FontFormatException e) {
      throw new IllegalStateException("Bug: a font that is shipped is none", e);
    }
  }

  /**
   * Returns a page with every letter that can be printed, and boxes for the others.
   *
   * @param page the page, as XML
   * @return the page, still XML
   */
  static String fit(String page) {
    StringBuilder fit = new StringBuilder(page.length());
    page.codePoints()
        .forEach(
            letter -> {
              if (isSpace(letter) || (letter < 0x7F && letter > 0x1F)) {
                fit.appendCodePoint(letter);
              } else if (!isUnseen(letter)) {
                fit.appendCodePoint(isDrawn(letter) ? letter : BOX);
              }
            });
    return fit.toString();
  }

  private static boolean isSpace(int letter) {
    return letter == '\n' || letter == '\t' || letter == '\r';
  }

  /** XML 1.0 allows no controls, no halves of letters and neither of the two last of a plane. */
  private static boolean isDrawn(int letter) {
    boolean allowed =
        letter >= 0x20
            && (letter < Character.MIN_SURROGATE || letter > Character.MAX_SURROGATE)
            && (letter & 0xFFFE) != 0xFFFE;
    return allowed && FONTS.stream().anyMatch(font -> font.canDisplay(letter));
  }

  /** Joiners and marks of direction are not drawn anyway; a box for each would be noise. */
  private static boolean isUnseen(int letter) {
    int type = Character.getType(letter);
    return type == Character.FORMAT || (letter >= 0xFE00 && letter <= 0xFE0F);
  }
}
