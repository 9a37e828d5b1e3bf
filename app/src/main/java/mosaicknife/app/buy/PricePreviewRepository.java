package mosaicknife.app.buy;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface PricePreviewRepository extends Repository<PricePreviewEntity, UUID> {

  PricePreviewEntity save(PricePreviewEntity preview);

  Optional<PricePreviewEntity> findById(UUID id);

  void delete(PricePreviewEntity preview);

  void deleteByReadAtBefore(Instant old);
}
