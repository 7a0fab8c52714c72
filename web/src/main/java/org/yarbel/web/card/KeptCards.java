package org.yarbel.web.card;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Turns;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;

/** Numbers the cards of today and of the seven days to come, for a phone to keep. */
@Service
class KeptCards {
  private static final int DAYS = 7;

  private final TrainingSessionRepository sessions;
  private final LifterRepository lifters;
  private final SlotRepository slots;
  private final Issuing issuing;
  private final Turns turns;
  private final CurrentClub club;
  private final JdbcClient jdbc;
  private final ClubClock clock;

  KeptCards(TrainingSessionRepository sessions, LifterRepository lifters, SlotRepository slots, Issuing issuing, Turns turns,
      CurrentClub club, JdbcClient jdbc, ClubClock clock) {
    this.sessions = sessions;
    this.lifters = lifters;
    this.slots = slots;
    this.issuing = issuing;
    this.turns = turns;
    this.club = club;
    this.jdbc = jdbc;
    this.clock = clock;
  }

  /**
   * A card to keep.
   *
   * @param stamp changes with anything the card shows
   */
  record Kept(long session, String day, String stamp) {}

  /** Those of a lifter. */
  @Transactional
  public List<Kept> keep(long lifterId) {
    turns.ofLifter(lifterId);
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    LocalDate today = clock.today();
    List<TrainingSession> all = sessions.findByLifterIdAndDayBetweenOrderByDay(lifterId, today, today.plusDays(DAYS));
    Set<Long> planned = slots.findBySessionIdInOrderByPositionAscIdAsc(all.stream().map(TrainingSession::id).toList()).stream()
        .map(Slot::sessionId).collect(Collectors.toSet());
    List<Kept> kept = new ArrayList<>();
    for (TrainingSession session : all) {
      if (planned.contains(session.id())) {
        kept.add(new Kept(session.id(), session.day().toString(), issuing.keep(session, lifter).number() + "." + beside(session)));
      }
    }
    return kept;
  }

  /** What stands on a card beside its lines, as a short text that changes with it. */
  private String beside(TrainingSession session) {
    return jdbc.sql("select (select count(*) || '.' || coalesce(sum(version), 0) from logged_set where club_id = :club and session_id = "
        + ":session) || '.' || (select coalesce(max(id), 0) from session_word where club_id = :club and session_id = :session) || '.' || "
        + ":easier").param("club", club.id()).param("session", session.id()).param("easier", String.valueOf(session.easier()))
        .query(String.class).single();
  }
}
