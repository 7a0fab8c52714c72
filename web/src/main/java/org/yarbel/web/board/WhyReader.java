package org.yarbel.web.board;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.card.WhyThis;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.CurrentClub;
import org.yarbel.web.edit.PlanReader;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.SetInWords;
import org.yarbel.web.plan.LifterContexts;
import org.yarbel.web.plan.PlannedLines;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.problem.NotFound;

/** Says why the loads of a line are what they are: as they were issued where they were, else by the numbers of today. */
@Service
class WhyReader {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
  private static final int A_DAY = 20;

  private final PlanReader plans;
  private final WeekReader weeks;
  private final LifterContexts contexts;
  private final Issuing issuing;
  private final LoggedSetRepository log;
  private final CurrentClub club;
  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;

  WhyReader(PlanReader plans, WeekReader weeks, LifterContexts contexts, Issuing issuing, LoggedSetRepository log, CurrentClub club,
      TrainingSessionRepository sessions, SlotRepository slots) {
    this.sessions = sessions;
    this.slots = slots;
    this.plans = plans;
    this.weeks = weeks;
    this.contexts = contexts;
    this.issuing = issuing;
    this.log = log;
    this.club = club;
  }

  /**
   * Why the loads of a line are what they are.
   *
   * @param lines one for all sets that come from the same
   * @param last what the lift's last exposure was; null where there was none
   * @param lift its key, by which what moved its loads is found
   */
  public record Why(long lifterId, String lift, String title, List<String> lines, @Nullable String last) {}

  @Transactional(readOnly = true)
  Why of(long slotId) {
    Slot slot = plans.stored(slotId);
    TrainingSession session = weeks.session(slot);
    Lifter lifter = plans.lifterOf(slot);
    LifterContext context = contexts.of(lifter, session.placeId());
    Lift lift = context.lift(slot.lift());
    return new Why(lifter.id(), lift.key(), lift.name() + " " + slot.work(), lines(context, session, slot,
        issuing.issuedLines(List.of(session.id()))), last(lifter, lift, session.day()));
  }

  private static List<String> lines(LifterContext context, TrainingSession session, Slot slot,
      Map<UUID, CardDocument.DocumentLine> issued) {
    return Optional.ofNullable(issued.get(slot.ref())).map(CardDocument.DocumentLine::resolved)
        .or(() -> new SessionResolver(context).withoutRamp(PlannedLines.of(context, slot, session.groups())))
        .map(known -> WhyThis.of(known, context.lifts())).orElse(List.of());
  }

  /**
   * Why the loads of a lift and its variations are what they are in a week.
   *
   * @param week in words: {@code Squat, the week of Mon 4 May}
   * @param lines in the order of their days
   */
  public record WeekWhy(long lifterId, String lift, String week, LocalDate monday, List<Why> lines) {}

  @Transactional(readOnly = true)
  WeekWhy of(long lifterId, LocalDate day, String key) {
    Lifter lifter = plans.lifter(lifterId);
    LocalDate monday = Macrocycle.monday(day);
    List<TrainingSession> days = sessions.findByLifterIdAndDayBetweenOrderByDay(lifter.id(), monday, monday.plusDays(6));
    List<Long> ids = days.stream().map(TrainingSession::id).toList();
    Map<Long, List<Slot>> bySession = slots.findBySessionIdInOrderByPositionAscIdAsc(ids).stream()
        .collect(Collectors.groupingBy(Slot::sessionId));
    Map<UUID, CardDocument.DocumentLine> issued = issuing.issuedLines(ids);
    LifterContext usual = contexts.of(lifter, null);
    Lift family = usual.lifts().ofKey(key).orElseThrow(NotFound::new);
    List<Why> lines = new ArrayList<>();
    for (TrainingSession session : days) {
      LifterContext context = session.placeId() == null ? usual : contexts.of(lifter, session.placeId());
      bySession.getOrDefault(session.id(), List.of()).stream()
          .filter(slot -> usual.lifts().family(context.lift(slot.lift())).equals(family))
          .forEach(slot -> lines.add(new Why(lifter.id(), slot.lift(), DAY.format(session.day()) + ": " + context.lift(slot.lift()).name()
              + " " + slot.work(), lines(context, session, slot, issued), null)));
    }
    return new WeekWhy(lifter.id(), family.key(), family.name() + ", the week of " + DAY.format(monday), monday, lines);
  }

  /** The heaviest set of the last day the lift was lifted on. */
  private @Nullable String last(Lifter lifter, Lift lift, LocalDate before) {
    List<LoggedSetRow> newest = log.ledger(club.id(), lifter.id(), lift.key(), before, "", A_DAY);
    return newest.stream().filter(set -> set.day().equals(newest.get(0).day())).max((one, other) -> one.load().compareTo(other.load()))
        .map(set -> "Last time, " + DAY.format(set.day()) + ": " + SetInWords.of(set).words()).orElse(null);
  }
}
