package org.yarbel.web.card;

import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.club.Turns;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
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
  private final TransactionTemplate transaction;

  KeptCards(TrainingSessionRepository sessions, LifterRepository lifters, SlotRepository slots, Issuing issuing, Turns turns,
      CurrentClub club, JdbcClient jdbc, ClubClock clock, TransactionTemplate transaction) {
    this.sessions = sessions;
    this.lifters = lifters;
    this.slots = slots;
    this.issuing = issuing;
    this.turns = turns;
    this.club = club;
    this.jdbc = jdbc;
    this.clock = clock;
    this.transaction = transaction;
  }

  /**
   * A card to keep.
   *
   * @param stamp changes with anything the card shows
   */
  record Kept(long session, String day, String stamp) {}

  /** Those of a lifter, the turn taken for each by itself: a whole week would keep whoever lifts meanwhile waiting. */
  List<Kept> keep(long lifterId) {
    LocalDate today = clock.today();
    return sessions.findByLifterIdAndDayBetweenOrderByDay(lifterId, today, today.plusDays(DAYS)).stream()
        .flatMap(session -> Objects.requireNonNull(transaction.execute(status -> kept(lifterId, session.id()))).stream()).toList();
  }

  /** One of them; none where nothing is planned, or it went meanwhile. */
  private Optional<Kept> kept(long lifterId, long sessionId) {
    turns.ofLifter(lifterId);
    Lifter lifter = lifters.findById(lifterId).orElseThrow(NotFound::new);
    return sessions.findById(sessionId).filter(session -> !slots.findBySessionIdOrderByPositionAscIdAsc(sessionId).isEmpty())
        .map(session -> new Kept(sessionId, session.day().toString(), issuing.keep(session, lifter).number() + "." + beside(session)));
  }

  /** What stands on a card beside its lines, as a short text that changes with it. */
  private String beside(TrainingSession session) {
    return jdbc.sql("select (select count(*) || '.' || coalesce(sum(version), 0) from logged_set where club_id = :club and session_id = "
        + ":session) || '.' || (select coalesce(max(id), 0) from session_word where club_id = :club and session_id = :session) || '.' || "
        + ":easier").param("club", club.id()).param("session", session.id()).param("easier", String.valueOf(session.easier()))
        .query(String.class).single();
  }
}
