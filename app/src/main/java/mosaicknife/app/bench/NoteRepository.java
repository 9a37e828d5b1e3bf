package mosaicknife.app.bench;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface NoteRepository extends Repository<NoteEntity, UUID> {

  NoteEntity save(NoteEntity note);

  /** The notes of a lot become those of another, which has not its parts. */
  @Modifying(flushAutomatically = true, clearAutomatically = true)
  @Query("update NoteEntity n set n.lotId = :to, n.partId = null where n.lotId = :lotId")
  void move(long lotId, long to);

  boolean existsById(UUID id);

  List<NoteEntity> findByLotIdOrderByWrittenAtDesc(long lotId);
}
