package mosaicknife.app.dock;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.Map;

/** The square code of a lot's passport, as one SVG path. */
final class PassportView {

  private PassportView() {}

  /** A code of so many modules a side, drawn by one path. */
  record Code(int side, String path) {}

  static Code code(String address) {
    try {
      BitMatrix bits =
          new QRCodeWriter()
              .encode(
                  address,
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
      return new Code(bits.getWidth(), path.toString());
    } catch (WriterException e) {
      throw new IllegalStateException("Bug: an address fits a code", e);
    }
  }
}
