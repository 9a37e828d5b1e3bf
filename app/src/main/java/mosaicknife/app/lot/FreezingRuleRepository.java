package mosaicknife.app.lot;

import java.util.List;
import org.springframework.data.repository.Repository;

interface FreezingRuleRepository extends Repository<FreezingRuleEntity, Long> {

  FreezingRuleEntity saveAndFlush(FreezingRuleEntity rule);

  List<FreezingRuleEntity> findAllByOrderById();

  void deleteById(Long id);
}
