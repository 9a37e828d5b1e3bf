package mosaicknife.app.pot;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;
import org.springframework.data.domain.Persistable;

@Entity
@Immutable
@Table(name = "pot_scrap_end")
class ScrapEndEntity implements Persistable<Long> {

  @Id
  @Column(name = "scrap_id")
  private Long scrapId;

  @Column(name = "batch_id")
  private Long batchId;

  @Column(name = "made_by")
  private long madeBy;

  @Column(name = "made_at")
  private Instant madeAt;

  protected ScrapEndEntity() {}

  ScrapEndEntity(long scrapId, Long batchId, long madeBy, Instant madeAt) {
    this.scrapId = scrapId;
    this.batchId = batchId;
    this.madeBy = madeBy;
    this.madeAt = madeAt;
  }

  @Override
  public Long getId() {
    return scrapId;
  }

  /** Always written, never read back first: the second end of a scrap meets the key. */
  @Override
  public boolean isNew() {
    return true;
  }
}
