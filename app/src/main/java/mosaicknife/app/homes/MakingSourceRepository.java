package mosaicknife.app.homes;

import org.springframework.data.repository.Repository;

interface MakingSourceRepository extends Repository<MakingSourceEntity, Long> {

  MakingSourceEntity save(MakingSourceEntity source);
}
