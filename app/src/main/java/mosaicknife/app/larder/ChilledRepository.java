package mosaicknife.app.larder;

import java.util.List;
import org.springframework.data.repository.Repository;

interface ChilledRepository extends Repository<ChilledEntity, Long> {

  ChilledEntity save(ChilledEntity chilled);

  List<ChilledEntity> findAllByItemIdOrderById(long itemId);
}
