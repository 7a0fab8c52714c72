package org.yarbel.web.board;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.ResolvedLine;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.card.WhyThis;
import org.yarbel.core.lift.Lift;
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
import org.yarbel.web.plan.TrainingSession;

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

  WhyReader(PlanReader plans, WeekReader weeks, LifterContexts contexts, Issuing issuing, LoggedSetRepository log, CurrentClub club) {
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
  record Why(long lifterId, String lift, String title, List<String> lines, @Nullable String last) {}

  @Transactional(readOnly = true)
  Why of(long slotId) {
    Slot slot = plans.stored(slotId);
    TrainingSession session = weeks.session(slot);
    Lifter lifter = plans.lifterOf(slot);
    LifterContext context = contexts.of(lifter, session.placeId());
    Map<UUID, CardDocument.DocumentLine> issued = issuing.issuedLines(List.of(session.id()));
    Optional<ResolvedLine> line = Optional.ofNullable(issued.get(slot.ref())).map(CardDocument.DocumentLine::resolved)
        .or(() -> new SessionResolver(context).withoutRamp(PlannedLines.of(context, slot, session.groups())));
    Lift lift = context.lift(slot.lift());
    return new Why(lifter.id(), lift.key(), lift.name() + " " + slot.work(), line.map(known -> WhyThis.of(known, context.lifts()))
        .orElse(List.of()), last(lifter, lift, session.day()));
  }

  /** The heaviest set of the last day the lift was lifted on. */
  private @Nullable String last(Lifter lifter, Lift lift, LocalDate before) {
    List<LoggedSetRow> newest = log.ledger(club.id(), lifter.id(), lift.key(), before, "", A_DAY);
    return newest.stream().filter(set -> set.day().equals(newest.get(0).day())).max((one, other) -> one.load().compareTo(other.load()))
        .map(set -> "Last time, " + DAY.format(set.day()) + ": " + SetInWords.of(set).words()).orElse(null);
  }
}
