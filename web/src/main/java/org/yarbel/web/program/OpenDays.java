package org.yarbel.web.program;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.yarbel.web.journal.Sessions;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;

/**
 * The days of a lifter while methods write into them: read once, so that nothing is asked in between, and new lines go to the
 * database together when all are in their places.
 */
final class OpenDays {
  private final Lifter lifter;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final Map<LocalDate, TrainingSession> byDay = new HashMap<>();
  private final Map<Long, List<Slot>> lines = new HashMap<>();
  private final List<Slot> fresh = new ArrayList<>();

  /** Reads the days from one up to another. */
  OpenDays(Lifter lifter, TrainingSessionRepository sessions, SlotRepository slots, LocalDate from, LocalDate until) {
    this.lifter = lifter;
    this.sessions = sessions;
    this.slots = slots;
    sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), from, until.minusDays(1)).forEach(session -> {
      byDay.put(session.day(), session);
      lines.put(session.id(), new ArrayList<>());
    });
    slots.findBySessionIdInOrderByPositionAscIdAsc(lines.keySet()).forEach(slot -> lines(slot.sessionId()).add(slot));
  }

  /** The session of a day; made when there is none. */
  TrainingSession session(LocalDate day) {
    return byDay.computeIfAbsent(day, key -> sessions.saveAndFlush(new TrainingSession(lifter.id(), key)));
  }

  private List<Slot> lines(long sessionId) {
    return lines.computeIfAbsent(sessionId, id -> new ArrayList<>());
  }

  boolean full(TrainingSession session) {
    return lines(session.id()).size() >= Sessions.MOST_LINES;
  }

  /** Puts a line into a session where its kind belongs: main work before assistance. */
  void insert(TrainingSession session, Slot slot) {
    lines.values().forEach(of -> of.remove(slot));
    List<Slot> all = lines(session.id());
    int at = all.size();
    while (at > 0 && all.get(at - 1).kind().ordinal() > slot.kind().ordinal()) {
      at--;
    }
    all.add(at, slot);
    for (int i = 0; i < all.size(); i++) {
      all.get(i).place(i + 1, all.get(i).groupNo());
    }
    keep(slot);
  }

  /** Keeps what was said of a line. */
  void keep(Slot slot) {
    if (!slot.isNew()) {
      slots.save(slot);
    } else if (!fresh.contains(slot)) {
      fresh.add(slot);
    }
  }

  /** Sends the new lines to the database. */
  void close() {
    slots.saveAll(fresh);
    slots.flush();
  }

  /** Takes a line out. */
  void remove(Slot slot) {
    lines.values().forEach(of -> of.remove(slot));
    slots.delete(slot);
  }

  void arranged(TrainingSession session) {
    sessions.save(session);
  }
}
