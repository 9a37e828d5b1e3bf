package mosaicknife.app.clock;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.annotations.Immutable;

@Entity
@Immutable
@Table(name = "clock_feed")
class FeedEntity {

  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  private Long id;

  @Column(name = "person_id")
  private long personId;

  @Column(name = "token_hash")
  private String tokenHash;

  private boolean ended;

  @Column(name = "made_at")
  private Instant madeAt;

  protected FeedEntity() {}

  FeedEntity(long personId, String tokenHash, boolean ended, Instant madeAt) {
    this.personId = personId;
    this.tokenHash = tokenHash;
    this.ended = ended;
    this.madeAt = madeAt;
  }

  long id() {
    return id;
  }

  long personId() {
    return personId;
  }

  String tokenHash() {
    return tokenHash;
  }

  boolean isEnded() {
    return ended;
  }

  Instant madeAt() {
    return madeAt;
  }
}
