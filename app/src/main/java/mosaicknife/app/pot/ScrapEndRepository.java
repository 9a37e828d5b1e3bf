package mosaicknife.app.pot;

import org.springframework.data.repository.Repository;

interface ScrapEndRepository extends Repository<ScrapEndEntity, Long> {

  ScrapEndEntity saveAndFlush(ScrapEndEntity end);
}
