package mosaicknife.app.bench;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface NoteRepository extends Repository<NoteEntity, UUID> {

  NoteEntity save(NoteEntity note);

  boolean existsById(UUID id);

  List<NoteEntity> findByLotIdOrderByWrittenAtDesc(long lotId);
}
