package mosaicknife.app.clock;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ServiceRepository extends Repository<ServiceEntity, Long> {

  ServiceEntity saveAndFlush(ServiceEntity service);

  @Query(
      "select s from ServiceEntity s where s.id = (select max(n.id) from ServiceEntity n"
          + " where n.venueId = s.venueId and n.name = s.name) and not s.retired"
          + " order by s.venueId, s.atMinute, s.id")
  List<ServiceEntity> findNewest();
}
