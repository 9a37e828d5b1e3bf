package mosaicknife.app.house;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface SupplierRepository extends Repository<SupplierEntity, Long> {

  SupplierEntity save(SupplierEntity supplier);

  Optional<SupplierEntity> findById(long id);

  Optional<SupplierEntity> findByNameIgnoreCase(String name);

  List<SupplierEntity> findAllByOrderByName();
}
