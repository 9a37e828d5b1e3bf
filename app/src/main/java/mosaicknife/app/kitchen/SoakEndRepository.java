package mosaicknife.app.kitchen;

import org.springframework.data.repository.Repository;

interface SoakEndRepository extends Repository<SoakEndEntity, Long> {

  SoakEndEntity saveAndFlush(SoakEndEntity end);

  boolean existsById(long soak);
}
