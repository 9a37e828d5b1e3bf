package mosaicknife.app.parts;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PreWorkRepository extends Repository<PreWorkEntity, PreWorkEntity.Key> {

  PreWorkEntity save(PreWorkEntity done);

  void delete(PreWorkEntity done);

  Optional<PreWorkEntity> findById(PreWorkEntity.Key key);

  @Query("select w from PreWorkEntity w where w.key.lotId = :lotId")
  List<PreWorkEntity> findOfLot(long lotId);

  @Query("select w from PreWorkEntity w where w.key.lotId in :lots")
  List<PreWorkEntity> findOfLots(Collection<Long> lots);
}
