package org.yarbel.web.platform;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Who entered what. */
interface NoteRows extends JpaRepository<NoteRow, Long> {
  Optional<NoteRow> findByEntryKey(UUID entryKey);

  @Query("select n from NoteRow n where n.contestId = :contestId order by n.id desc")
  List<NoteRow> newest(long contestId, Limit limit);

  /** The number of the newest entry, by which a phone knows whether something is new; 0 for none. */
  @Query("select coalesce(max(n.id), 0) from NoteRow n where n.contestId = :contestId")
  long last(long contestId);

  /** The newest entry of a spot that is in force. */
  @Query("select n from NoteRow n where n.contestId = :contestId and n.athleteId = :athleteId and n.spot = :spot and n.undone = false "
      + "order by n.id desc")
  List<NoteRow> ofSpot(long contestId, long athleteId, String spot, Limit limit);
}
