package mosaicknife.app.pot;

import java.util.List;
import org.springframework.data.repository.Repository;

interface PotResultRepository extends Repository<PotResultEntity, Long> {

  PotResultEntity saveAndFlush(PotResultEntity result);

  boolean existsById(long batch);

  List<PotResultEntity> findTop200ByOrderByMadeAtDesc();
}
