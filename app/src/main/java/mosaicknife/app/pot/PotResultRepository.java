package mosaicknife.app.pot;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface PotResultRepository extends Repository<PotResultEntity, Long> {

  PotResultEntity saveAndFlush(PotResultEntity result);

  @Query(
      "select new mosaicknife.app.pot.MethodGave("
          + "b.methodBody, r.litres, r.bonesMilligrams, r.jelly, r.look)"
          + " from PotResultEntity r, PotBatchEntity b where b.id = r.batchId order by b.id")
  List<MethodGave> findGiven();
}
