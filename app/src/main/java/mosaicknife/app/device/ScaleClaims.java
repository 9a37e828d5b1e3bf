package mosaicknife.app.device;

import java.sql.Timestamp;
import java.util.Optional;
import java.util.UUID;
import mosaicknife.core.quantity.Mass;
import mosaicknife.core.scale.Claim;
import mosaicknife.core.scale.ScaleReading;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What lies on a scale is taken once, by whichever instance: each hears the scale itself, and the
 * database says who took what lies there. An instance takes it by naming the claim it saw end.
 */
@Component
public class ScaleClaims {

  private final Scale scale;
  private final JdbcClient jdbc;

  ScaleClaims(Scale scale, JdbcClient jdbc) {
    this.scale = scale;
    this.jdbc = jdbc;
  }

  /**
   * Reserves what lies on the pan for one weighing, so that a second tap cannot take the same part
   * for the next one.
   *
   * @param weighing the weighing it is for
   * @param reading what was seen and is taken
   * @return false if another weighing took it already, here or elsewhere
   */
  public boolean claim(UUID weighing, ScaleReading reading) {
    Optional<UUID> before = scale.ended();
    Optional<Claim> claim = scale.claim(weighing, reading);
    if (claim.isEmpty() || scale.name().isEmpty()) {
      return claim.isPresent();
    }
    if (put(claim.get(), before.orElse(weighing))) {
      return true;
    }
    // another instance took what lay here last: has this one seen it go?
    Optional<Claim> other = other();
    boolean gone = other.isEmpty() || !scale.learn(other.get());
    return gone
        && scale
            .claim(weighing, reading)
            .filter(own -> put(own, seen(other, weighing)))
            .isPresent();
  }

  private static UUID seen(Optional<Claim> other, UUID weighing) {
    return other.map(Claim::weighing).orElse(weighing);
  }

  private boolean put(Claim claim, UUID ended) {
    return jdbc.sql(
                """
                insert into scale_claim (scale, weighing, gross_mg, tare_mg, step_mg, taken_at)
                values (:scale, :weighing, :gross, :tare, :step, :at)
                on conflict (scale) do update set weighing = excluded.weighing,
                  gross_mg = excluded.gross_mg, tare_mg = excluded.tare_mg,
                  step_mg = excluded.step_mg, taken_at = excluded.taken_at
                where scale_claim.weighing in (excluded.weighing, :ended)
                """)
            .param("scale", scale.name())
            .param("weighing", claim.weighing())
            .param("gross", claim.gross().milligrams())
            .param("tare", claim.tare().milligrams())
            .param("step", claim.step().milligrams())
            .param("at", Timestamp.from(claim.at()))
            .param("ended", ended)
            .update()
        > 0;
  }

  private Optional<Claim> other() {
    return jdbc.sql("select * from scale_claim where scale = :scale")
        .param("scale", scale.name())
        .query(
            (row, number) ->
                new Claim(
                    row.getObject("weighing", UUID.class),
                    Mass.ofMilligrams(row.getLong("gross_mg")),
                    Mass.ofMilligrams(row.getLong("tare_mg")),
                    Mass.ofMilligrams(row.getLong("step_mg")),
                    row.getTimestamp("taken_at").toInstant(),
                    false))
        .optional();
  }

  /** Gives back what was reserved last here: the weighing was refused or taken back. */
  public void release() {
    scale
        .release()
        .ifPresent(
            weighing ->
                jdbc.sql("delete from scale_claim where scale = :scale and weighing = :weighing")
                    .param("scale", scale.name())
                    .param("weighing", weighing)
                    .update());
  }
}
