package mosaicknife.app.larder;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface LarderEntryRepository extends Repository<LarderEntryEntity, Long> {

  LarderEntryEntity saveAndFlush(LarderEntryEntity entry);

  boolean existsByClientId(UUID clientId);

  List<LarderEntryEntity> findAllByItemIdInOrderById(Collection<Long> items);
}
