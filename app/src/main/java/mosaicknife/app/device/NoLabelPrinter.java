package mosaicknife.app.device;

import java.util.Optional;

/** No label printer: labels come as a sheet. */
final class NoLabelPrinter implements LabelPrinter {

  @Override
  public boolean print(String code, byte[] page) {
    return false;
  }

  @Override
  public Optional<byte[]> last(String code) {
    return Optional.empty();
  }
}
