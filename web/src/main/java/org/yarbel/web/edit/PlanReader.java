package org.yarbel.web.edit;

import java.time.LocalDate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;

/** Finds what is to be changed: what is not the club's is not there. */
@Service
public class PlanReader {
  private final LifterRepository lifters;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;

  PlanReader(LifterRepository lifters, TrainingSessionRepository sessions, SlotRepository slots) {
    this.lifters = lifters;
    this.sessions = sessions;
    this.slots = slots;
  }

  /** A lifter of the club. */
  @Transactional(readOnly = true)
  public Lifter lifter(long lifterId) {
    return lifters.findById(lifterId).orElseThrow(NotFound::new);
  }

  /** A line as it is stored. */
  @Transactional(readOnly = true)
  public Slot stored(long slotId) {
    return slots.findById(slotId).orElseThrow(NotFound::new);
  }

  /** Whose line it is. */
  @Transactional(readOnly = true)
  public Lifter lifterOf(Slot slot) {
    return lifter(session(slot).lifterId());
  }

  /** The day a line stands on. */
  @Transactional(readOnly = true)
  public LocalDate dayOf(Slot slot) {
    return session(slot).day();
  }

  private TrainingSession session(Slot slot) {
    return sessions.findById(slot.sessionId()).orElseThrow(NotFound::new);
  }
}
