package mosaicknife.app.lot;

import java.util.List;
import java.util.Optional;
import mosaicknife.core.safety.LengthRule;
import org.springframework.data.repository.Repository;

interface LengthRuleRepository extends Repository<LengthRuleEntity, Long> {

  LengthRuleEntity saveAndFlush(LengthRuleEntity rule);

  List<LengthRuleEntity> findAllByOrderBySpecies();

  List<LengthRuleEntity> findAllBySpecies(String species);

  Optional<LengthRuleEntity> findBySpeciesAndBasis(String species, LengthRule.Basis basis);

  void deleteById(Long id);
}
