package mosaicknife.app.homes;

import org.springframework.data.repository.Repository;

interface MakingEndRepository extends Repository<MakingEndEntity, Long> {

  MakingEndEntity saveAndFlush(MakingEndEntity end);

  boolean existsById(long making);
}
