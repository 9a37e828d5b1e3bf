package mosaicknife.app.lot;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface ClaimRepository extends Repository<ClaimEntity, Long> {

  ClaimEntity saveAndFlush(ClaimEntity claim);

  Optional<ClaimEntity> findById(long id);

  Optional<ClaimEntity> findByClientId(UUID clientId);

  List<ClaimEntity> findAllByLotIdOrderById(long lotId);

  List<ClaimEntity> findAllByStatusAndLotIdIn(Claim.Status status, List<Long> lots);
}
