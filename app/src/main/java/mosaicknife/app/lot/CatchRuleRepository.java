package mosaicknife.app.lot;

import java.util.List;
import org.springframework.data.repository.Repository;

interface CatchRuleRepository extends Repository<CatchRuleEntity, Long> {

  CatchRuleEntity saveAndFlush(CatchRuleEntity rule);

  List<CatchRuleEntity> findAllBySpeciesOrderById(String species);

  List<CatchRuleEntity> findAllByOrderBySpeciesAscIdAsc();

  void deleteById(long id);
}
