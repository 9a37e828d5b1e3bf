package mosaicknife.app.account;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface PersonRepository extends Repository<PersonEntity, Long> {

  PersonEntity save(PersonEntity person);

  Optional<PersonEntity> findById(long id);

  Optional<PersonEntity> findBySignIn(String signIn);

  List<PersonEntity> findAllByOrderByName();

  long countByRoleAndActiveTrue(Role role);

  long count();
}
