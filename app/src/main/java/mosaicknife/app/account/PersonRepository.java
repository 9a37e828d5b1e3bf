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

  /** The owners who may sign in, by number; nobody else changes them before this one is done. */
  @NativeQuery("select id from person where role = 'OWNER' and active order by id for update")
  List<Long> lockOwners();

  long count();
}
