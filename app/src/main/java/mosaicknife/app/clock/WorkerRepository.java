package mosaicknife.app.clock;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface WorkerRepository extends Repository<WorkerEntity, Long> {

  WorkerEntity saveAndFlush(WorkerEntity worker);

  @Query(
      "select w from WorkerEntity w where w.id = (select max(n.id) from WorkerEntity n"
          + " where n.personId = w.personId) and not w.retired order by w.personId")
  List<WorkerEntity> findNewest();
}
