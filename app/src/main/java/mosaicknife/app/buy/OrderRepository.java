package mosaicknife.app.buy;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface OrderRepository extends Repository<OrderEntity, Long> {

  OrderEntity saveAndFlush(OrderEntity order);

  Optional<OrderEntity> findById(long id);

  List<OrderEntity> findAllByOrderByIdDesc(Pageable page);

  long count();

  List<OrderEntity> findAllByStatusOrderByDeliverOnAscIdAsc(OrderStatus status);

  Optional<OrderEntity> findFirstBySupplierIdAndVenueIdAndDeliverOnAndStatusOrderByIdDesc(
      long supplierId, long venueId, LocalDate deliverOn, OrderStatus status);

  void delete(OrderEntity order);

  @Query("select line.order.id from OrderLineEntity line where line.clientId = :clientId")
  Optional<Long> findByClientId(UUID clientId);

  @Query("select line.order from OrderLineEntity line where line.id = :lineId")
  Optional<OrderEntity> findByLine(long lineId);
}
