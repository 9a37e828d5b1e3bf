package mosaicknife.app.pot;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface PotPriceRepository extends Repository<PotPriceEntity, Long> {

  PotPriceEntity saveAndFlush(PotPriceEntity price);

  Optional<PotPriceEntity> findFirstByOrderByIdDesc();
}
