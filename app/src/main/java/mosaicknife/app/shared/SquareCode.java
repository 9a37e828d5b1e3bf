package mosaicknife.app.shared;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/**
 * A square code as one SVG path.
 *
 * @param side how many modules a side has
 * @param path the path that draws them
 */
public record SquareCode(int side, String path) {

  /**
   * Makes the code of a text.
   *
   * @param text what it says, short enough for a code
   * @return the code
   */
  public static SquareCode of(String text) {
    try {
      BitMatrix bits =
          new QRCodeWriter()
              .encode(
                  text,
                  BarcodeFormat.QR_CODE,
                  0,
                  0,
                  Map.of(
                      EncodeHintType.MARGIN,
                      2,
                      EncodeHintType.ERROR_CORRECTION,
                      ErrorCorrectionLevel.M));
      StringBuilder path = new StringBuilder();
      for (int y = 0; y < bits.getHeight(); y++) {
        for (int x = 0; x < bits.getWidth(); x++) {
          if (bits.get(x, y)) {
            path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
          }
        }
      }
      return new SquareCode(bits.getWidth(), path.toString());
    } catch (WriterException e) {
      throw new IllegalStateException("Bug: the text fits a code", e);
    }
  }
}
