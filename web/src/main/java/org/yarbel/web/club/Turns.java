package org.yarbel.web.club;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * One hand at a time: whoever writes what stands on a lifter's plan, card or log asks for the turn first, before anything is
 * read that the writing depends on, and has it until the transaction ends. Two coaches at one week, or a coach at a line that is
 * just being lifted, come one after the other, and the second sees what the first has done. Somebody who waits too long is
 * refused by the database's lock limit.
 */
@Component
public class Turns {
  private final JdbcClient jdbc;
  private final CurrentClub club;

  Turns(JdbcClient jdbc, CurrentClub club) {
    this.jdbc = jdbc;
    this.club = club;
  }

  /** The turn for a lifter; one that does not exist is nobody's. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void ofLifter(long lifterId) {
    ofLifters(List.of(lifterId));
  }

  /** The turns for several, in one order for all, so that two who ask for the same do not wait for each other. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void ofLifters(Collection<Long> lifterIds) {
    if (!lifterIds.isEmpty()) {
      jdbc.sql("select id from lifter where club_id = :club and id in (:lifters) order by id for no key update").param("club", club.id())
          .param("lifters", lifterIds).query(Long.class).list();
    }
  }

  /** The turn for the lifter of a session. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void ofSession(long sessionId) {
    jdbc.sql("select l.id from lifter l join training_session t on t.club_id = l.club_id and t.lifter_id = l.id "
        + "where t.club_id = :club and t.id = :session for no key update of l").param("club", club.id()).param("session", sessionId)
        .query(Long.class).list();
  }

  /** The turn for the lifter of a line. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void ofLine(long slotId) {
    jdbc.sql("select l.id from lifter l join training_session t on t.club_id = l.club_id and t.lifter_id = l.id "
        + "join slot s on s.club_id = t.club_id and s.session_id = t.id where s.club_id = :club and s.id = :slot for no key update of l")
        .param("club", club.id()).param("slot", slotId).query(Long.class).list();
  }

  /** The turn for the lifter of a line that is known by its ref. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void ofLine(UUID ref) {
    jdbc.sql("select l.id from lifter l join training_session t on t.club_id = l.club_id and t.lifter_id = l.id "
        + "join slot s on s.club_id = t.club_id and s.session_id = t.id where s.club_id = :club and s.ref = :ref for no key update of l")
        .param("club", club.id()).param("ref", ref).query(Long.class).list();
  }

  /** The turn for the lifter a change was about. */
  @Transactional(propagation = Propagation.MANDATORY)
  public void ofChange(long changeId) {
    jdbc.sql("select l.id from lifter l join change c on c.club_id = l.club_id and c.lifter_id = l.id where c.club_id = :club "
        + "and c.id = :change "
        + "for no key update of l").param("club", club.id()).param("change", changeId).query(Long.class).list();
  }
}
