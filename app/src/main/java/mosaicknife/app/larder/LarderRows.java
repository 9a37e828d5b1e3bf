package mosaicknife.app.larder;

import java.security.SecureRandom;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.larder.LarderSourceEntity.Direction;
import mosaicknife.app.lot.LotChanged;
import mosaicknife.core.heat.Chilled;
import mosaicknife.core.larder.Entry;
import mosaicknife.core.larder.Shelved;
import mosaicknife.core.larder.Trace;
import mosaicknife.core.quantity.Mass;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** The facts of the larder as the database keeps them. */
@Component
class LarderRows {

  private static final String LETTERS = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";
  private static final int CODE_LENGTH = 5;

  private final LarderItemRepository items;
  private final LarderEntryRepository entries;
  private final LarderSourceRepository sources;
  private final ChilledRepository colds;
  private final CurrentPerson current;
  private final ApplicationEventPublisher events;
  private final Random random = new SecureRandom();

  LarderRows(
      LarderItemRepository items,
      LarderEntryRepository entries,
      LarderSourceRepository sources,
      ChilledRepository colds,
      CurrentPerson current,
      ApplicationEventPublisher events) {
    this.items = items;
    this.entries = entries;
    this.sources = sources;
    this.colds = colds;
    this.current = current;
    this.events = events;
  }

  /** The code of an item that was put away under this identifier. */
  Optional<String> codeOf(UUID clientId) {
    return items.findByClientId(clientId).map(LarderItemEntity::code);
  }

  boolean isKnown(UUID clientId) {
    return entries.existsByClientId(clientId);
  }

  long numberOf(String code) {
    return items.findByCode(code).orElseThrow().id();
  }

  void lock(long lot) {
    items.lockLot(lot);
  }

  void chilled(long item, Chilled cold) {
    colds.save(new ChilledEntity(item, cold, current.get().id()));
  }

  String store(
      UUID clientId,
      LarderKeeper.PutAway away,
      Instant now,
      LocalDate today,
      Map<Trace.Source, Mass> board,
      Trace shelves) {
    Trace whole = new Trace(board).plus(shelves);
    Shelved shelved =
        new Shelved(
            code(),
            away.name(),
            away.use(),
            whole,
            away.mass(),
            away.units(),
            away.beside(),
            away.allergens(),
            away.traits(),
            away.useBy().isBefore(today) ? away.useBy() : today,
            away.useBy(),
            away.keeping().ever(),
            away.state(),
            away.spot(),
            now);
    LarderItemEntity item =
        items.saveAndFlush(new LarderItemEntity(clientId, shelved, current.get().id()));
    board.forEach(
        (source, mass) ->
            sources.save(new LarderSourceEntity(item.id(), null, source, mass, Direction.IN)));
    shelves
        .grams()
        .forEach(
            (source, mass) ->
                sources.save(
                    new LarderSourceEntity(item.id(), null, source, mass, Direction.FROM)));
    board.keySet().stream()
        .map(Trace.Source::lot)
        .distinct()
        .forEach(lot -> events.publishEvent(new LotChanged(lot)));
    return item.code();
  }

  private String code() {
    String code;
    do {
      StringBuilder letters = new StringBuilder();
      for (int i = 0; i < CODE_LENGTH; i++) {
        letters.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
      }
      code = letters.toString();
    } while (items.existsByCode(code));
    return code;
  }

  void write(UUID clientId, Kept kept, Entry entry, Long into) {
    LarderEntryEntity stored =
        entries.saveAndFlush(
            new LarderEntryEntity(clientId, kept.id(), entry, into, current.get().id()));
    if (entry instanceof Entry.Taken taken) {
      taken
          .trace()
          .grams()
          .forEach(
              (source, mass) ->
                  sources.save(
                      new LarderSourceEntity(
                          kept.id(), stored.id(), source, mass, Direction.of(taken.out()))));
      taken.trace().lots().forEach(lot -> events.publishEvent(new LotChanged(lot)));
    }
  }
}
