package mosaicknife.app.lot;

import java.time.Clock;
import java.time.Instant;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mosaicknife.app.account.CurrentPerson;
import mosaicknife.app.account.PeopleRegister;
import mosaicknife.app.account.Permission;
import mosaicknife.app.shared.FieldName;
import mosaicknife.app.shared.PlainText;
import mosaicknife.app.shared.Refusal;
import mosaicknife.app.shared.Words;
import mosaicknife.core.lot.Lot;
import mosaicknife.core.lot.Saying;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps documents and photos as evidence of a lot, in the database like everything else. */
@Service
@Transactional
public class EvidenceFiler {

  private static final int MOST_OF_A_LOT = 24;
  private static final int LONGEST_NAME = 120;

  private final EvidenceRepository evidence;
  private final LotRegister lots;
  private final PeopleRegister people;
  private final CurrentPerson current;
  private final Clock clock;
  private final Words words;

  EvidenceFiler(
      EvidenceRepository evidence,
      LotRegister lots,
      PeopleRegister people,
      CurrentPerson current,
      Clock clock,
      Words words) {
    this.words = words;
    this.evidence = evidence;
    this.lots = lots;
    this.people = people;
    this.current = current;
    this.clock = clock;
  }

  /**
   * Returns the evidence of a lot, the oldest first.
   *
   * @param lotId the number of the lot
   * @return the evidence, without its bytes
   */
  @Transactional(readOnly = true)
  public List<Evidence> of(long lotId) {
    Map<Long, String> names = people.names();
    return evidence.findHeads(lotId).stream()
        .map(
            head ->
                new Evidence(
                    ((Number) head[0]).longValue(),
                    Evidence.Kind.valueOf((String) head[1]),
                    shows(Evidence.Kind.valueOf((String) head[1]), (String) head[6]),
                    (String) head[2],
                    ((String) head[3]).startsWith("image/"),
                    names.get(((Number) head[4]).longValue()),
                    (Instant) head[5]))
        .filter(one -> maySee(one.kind()))
        .toList();
  }

  private static Set<Saying> shows(Evidence.Kind kind, String names) {
    Set<Saying> shown = EnumSet.noneOf(Saying.class);
    for (Saying saying : Saying.values()) {
      if (List.of(names.split(",")).contains(saying.name())) {
        shown.add(saying);
      }
    }
    if (kind == Evidence.Kind.HOOK_MARK) {
      shown.add(Saying.LINE);
    }
    return shown;
  }

  /** An invoice shows prices, so only those see it who receive or see costs. */
  private boolean maySee(Evidence.Kind kind) {
    return kind != Evidence.Kind.INVOICE
        || current.may(Permission.SEE_COSTS)
        || current.may(Permission.RECEIVE);
  }

  /**
   * Adds a document or photo. The same one sent again is one.
   *
   * @param lotId the number of the lot
   * @param clientId the identifier the sender made
   * @param kind what it shows
   * @param shows what it shows of the catch
   * @param name the name of the file; only for people, never trusted
   * @param content its bytes
   * @throws Refusal if it is no picture or PDF, too large, or the lot has too many
   */
  @PreAuthorize("hasAuthority('RECEIVE') and @here.of('LOT', #lotId)")
  public void add(
      long lotId,
      UUID clientId,
      Evidence.Kind kind,
      Set<Saying> shows,
      String name,
      byte[] content) {
    if (evidence.findByClientId(clientId).isPresent()) {
      return;
    }
    Lot lot = lots.get(lotId);
    if (evidence.countByLotId(lot.id()) >= MOST_OF_A_LOT) {
      throw Refusal.ofField("file", "lot.problem.a-lot-keeps-up-to", MOST_OF_A_LOT);
    }
    EvidenceReader.Checked checked = EvidenceReader.check(content);
    String plain = name == null ? "" : name.replaceAll(".*[/\\\\]", "");
    String shown =
        PlainText.line(
            plain.substring(0, Math.min(plain.length(), LONGEST_NAME)),
            LONGEST_NAME,
            "file",
            FieldName.FILE_NAME);
    evidence.saveAndFlush(
        new EvidenceEntity(
            clientId,
            lotId,
            kind,
            shows.stream().sorted().map(Enum::name).collect(Collectors.joining(",")),
            shown.isEmpty() ? words.say(kind) : shown,
            checked,
            current.get().id(),
            clock.instant()));
  }

  /** The bytes of a document or of its thumbnail. */
  public record Bytes(String mediaType, String name, byte[] content) {}

  @Transactional(readOnly = true)
  public Bytes bytes(long lotId, long id, boolean small) {
    EvidenceEntity found =
        evidence
            .findByIdAndLotId(id, lotId)
            .filter(one -> maySee(one.kind()))
            .orElseThrow(() -> Refusal.ofMissing("lot.problem.this-lot-has-no-such-2"));
    return small && found.thumbnail() != null
        ? new Bytes("image/jpeg", found.name(), found.thumbnail())
        : new Bytes(found.mediaType(), found.name(), found.content());
  }
}
