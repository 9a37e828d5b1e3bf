package mosaicknife.app.house;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface TrayRepository extends Repository<TrayEntity, Long> {

  TrayEntity saveAndFlush(TrayEntity tray);

  Optional<TrayEntity> findById(long id);

  List<TrayEntity> findByActiveTrueOrderByMass();

  boolean existsByActiveTrueAndNameIgnoreCase(String name);
}
