package mosaicknife.app.dock;

import java.util.Arrays;
import java.util.Optional;
import mosaicknife.app.lot.Claim;
import mosaicknife.app.lot.ClaimSettler;
import mosaicknife.app.shared.ClientIds;
import mosaicknife.app.shared.Formats;
import mosaicknife.app.shared.Refusal;
import mosaicknife.core.quantity.ExactMoney;
import mosaicknife.core.quantity.MassText;

/** A claim as typed. */
record ClaimForm(String id, String kind, String mass, String amount, String reason) {

  ClaimSettler.Asked understood(Formats formats) {
    return new ClaimSettler.Asked(
        ClientIds.of(id),
        Arrays.stream(Claim.Kind.values())
            .filter(k -> k.name().equals(kind))
            .findFirst()
            .orElseThrow(() -> Refusal.ofField("kind", "dock.problem.what-is-the-claim-about")),
        blank(mass)
            ? Optional.empty()
            : Optional.of(MassText.parse(mass, formats.system().large()).mass()),
        blank(amount) ? Optional.empty() : Optional.of(money(amount, formats)),
        reason);
  }

  static ExactMoney money(String typed, Formats formats) {
    String plain = typed.strip().replace(',', '.').replaceAll("^[^0-9-]+", "");
    if (!plain.matches("[0-9]{1,9}(\\.[0-9]{1,4})?")) {
      throw Refusal.ofField(
          "amount",
          "dock.problem.is-no-amount-of-money",
          typed.length() > 20 ? typed.substring(0, 20) + "…" : typed);
    }
    return ExactMoney.of(plain, formats.currency());
  }

  private static boolean blank(String text) {
    return text == null || text.isBlank();
  }
}
