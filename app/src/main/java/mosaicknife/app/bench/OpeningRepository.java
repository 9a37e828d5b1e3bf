package mosaicknife.app.bench;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface OpeningRepository extends Repository<OpeningEntity, Long> {

  OpeningEntity saveAndFlush(OpeningEntity opening);

  Optional<OpeningEntity> findById(Long lotId);
}
