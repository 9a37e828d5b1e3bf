package mosaicknife.app.lot;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface EvidenceRepository extends Repository<EvidenceEntity, Long> {

  EvidenceEntity saveAndFlush(EvidenceEntity evidence);

  Optional<EvidenceEntity> findByIdAndLotId(long id, long lotId);

  Optional<EvidenceEntity> findByClientId(UUID clientId);

  long countByLotId(long lotId);

  /** All of a lot without the bytes. */
  @NativeQuery(
      """
      select id, kind, name, media_type, made_by, made_at, shows
        from evidence where lot_id = :lotId order by id
      """)
  List<Object[]> findHeads(long lotId);
}
