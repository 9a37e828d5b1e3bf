package mosaicknife.app.homes;

import java.util.List;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface VenueRoomRepository extends Repository<VenueRoomEntity, Long> {

  VenueRoomEntity save(VenueRoomEntity room);

  @Query(
      "select r from VenueRoomEntity r where r.id = (select max(s.id) from VenueRoomEntity s"
          + " where s.venueId = r.venueId and s.what = r.what)")
  List<VenueRoomEntity> findNewest();
}
