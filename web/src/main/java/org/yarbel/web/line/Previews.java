package org.yarbel.web.line;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.lift.Lift;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.plan.Details;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;

/** What a line comes to while it is typed, without storing it. */
@Service
public class Previews {
  private final LifterRepository lifters;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LifterContexts contexts;

  Previews(LifterRepository lifters, TrainingSessionRepository sessions, SlotRepository slots, LifterContexts contexts) {
    this.lifters = lifters;
    this.sessions = sessions;
    this.slots = slots;
    this.contexts = contexts;
  }

  /**
   * Where a line is typed.
   *
   * @param day null for no day of anybody's week
   * @param slotId the stored line it would replace; null for a new one at the end
   */
  public record PreviewPlace(long lifterId, @Nullable LocalDate day, @Nullable Long slotId) {}

  /**
   * What a line comes to for a lifter.
   *
   * @param details what is said beside the work; null for what is stored, or for nothing
   */
  @Transactional(readOnly = true)
  public LineView line(PreviewPlace place, Lift lift, String work, @Nullable Details details) {
    LocalDate day = place.day();
    TrainingSession session = day == null ? null : sessions.findByLifterIdAndDay(place.lifterId(), day).orElse(null);
    LifterContext context = contexts.of(lifters.findById(place.lifterId()).orElseThrow(NotFound::new), session == null ? null
        : session.placeId());
    if (session == null) {
      return LineView.of(context, lift, work);
    }
    List<Slot> all = slots.findBySessionIdOrderByPositionAscIdAsc(session.id());
    Slot replaced = all.stream().filter(slot -> place.slotId() != null && slot.id() == place.slotId()).findFirst().orElse(null);
    List<Slot> before = replaced == null ? all : all.subList(0, all.indexOf(replaced));
    List<PlannedLine> lines = before.stream().map(slot -> PlannedLines.of(context, slot, session.groups())).toList();
    PlannedLine typed = replaced == null ? PlannedLine.of(lift, work) : PlannedLines.of(context, replaced, session.groups())
        .saying(lift, work);
    return LineView.of(context, lift, work, new SessionResolver(context).after(lines, details == null ? typed
        : typed.with(details.beside())));
  }
}
