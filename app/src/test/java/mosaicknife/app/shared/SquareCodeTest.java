package mosaicknife.app.shared;

import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.decoder.Decoder;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.testng.annotations.Test;

public class SquareCodeTest {

  private static final Pattern MODULE = Pattern.compile("M(\\d+) (\\d+)h1v1h-1z");
  private static final int QUIET = 2;

  @Test
  public void theDrawnCodeIsReadBackAsTheAddressOfTheLot() throws Exception {
    String address = "http://127.0.0.1:8080/dock/12";
    SquareCode code = SquareCode.of(address);
    BitMatrix bits = new BitMatrix(code.side() - 2 * QUIET);
    Matcher modules = MODULE.matcher(code.path());
    int count = 0;
    while (modules.find()) {
      bits.set(
          Integer.parseInt(modules.group(1)) - QUIET, Integer.parseInt(modules.group(2)) - QUIET);
      count++;
    }
    assertTrue(count > 200, count + " modules");
    assertEquals(new Decoder().decode(bits).getText(), address);
  }
}
