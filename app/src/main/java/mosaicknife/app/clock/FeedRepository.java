package mosaicknife.app.clock;

import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface FeedRepository extends Repository<FeedEntity, Long> {

  FeedEntity saveAndFlush(FeedEntity feed);

  @Query(
      "select f from FeedEntity f where f.tokenHash = :hash and not f.ended and f.id = (select"
          + " max(n.id) from FeedEntity n where n.personId = f.personId)")
  Optional<FeedEntity> findByHash(String hash);

  @Query(
      "select f from FeedEntity f where f.personId = :person and f.id = (select max(n.id) from"
          + " FeedEntity n where n.personId = :person)")
  Optional<FeedEntity> findNewest(long person);
}
