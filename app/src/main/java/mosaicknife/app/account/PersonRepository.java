package mosaicknife.app.account;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.NativeQuery;
import org.springframework.data.repository.Repository;

interface PersonRepository extends Repository<PersonEntity, Long> {

  PersonEntity save(PersonEntity person);

  Optional<PersonEntity> findById(long id);

  // written out, because "SignIn" would be read as a property "sign" and the keyword "In"
  @NativeQuery("select * from person where sign_in = :signIn")
  Optional<PersonEntity> findBySignIn(String signIn);

  List<PersonEntity> findAllByOrderByName();

  long countByRoleAndActiveTrue(Role role);

  long count();
}
