package org.yarbel.web.demo;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.yarbel.core.card.HowEnded;
import org.yarbel.core.card.LifterContext;
import org.yarbel.core.card.LoggedSet;
import org.yarbel.core.card.PlannedLine;
import org.yarbel.core.card.ResolvedSet;
import org.yarbel.core.card.Resolver;
import org.yarbel.core.card.SessionResolver;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.log.Context;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.Groups;
import org.yarbel.core.plan.SlotKind;
import org.yarbel.core.sim.SimulatedLifter;
import org.yarbel.web.card.CardDocument;
import org.yarbel.web.card.Issuing;
import org.yarbel.web.club.Places;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.Entry;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Said;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.SlotRepository;
import org.yarbel.web.plan.TrainingSession;
import org.yarbel.web.plan.TrainingSessionRepository;
import org.yarbel.web.program.Programs;

/** Writes the weeks of a lifter of the demo, and lets them lift what lies behind. */
@Service
class DemoTraining {
  /** Weeks to come that the coach has written by hand. */
  private static final int WEEKS_AHEAD = 3;

  private final TrainingSessionRepository sessions;
  private final SlotRepository slots;
  private final LoggedSetRepository log;
  private final Programs programs;
  private final Issuing issuing;
  private final Tracking tracking;
  private final Places places;

  DemoTraining(TrainingSessionRepository sessions, SlotRepository slots, LoggedSetRepository log, Programs programs,
      Issuing issuing, Tracking tracking, Places places) {
    this.sessions = sessions;
    this.slots = slots;
    this.log = log;
    this.programs = programs;
    this.issuing = issuing;
    this.tracking = tracking;
    this.places = places;
  }

  /**
   * All weeks, from the first to those ahead.
   *
   * @param forget done after each week: what is looked through before every query stays small
   */
  void train(DemoLifter one, Runnable forget) {
    for (int week = -one.program().weeksBack(); week <= WEEKS_AHEAD; week++) {
      week(one, week);
      forget.run();
    }
    log.flush();
    one.lifted().forEach(lift -> tracking.rerun(one.lifter(), lift));
    one.known().keySet().stream().filter(lift -> !one.lifted().contains(lift)).forEach(lift -> tracking.rerun(one.lifter(), lift));
    one.reran();
    programs.write(one.lifter(), one.context(one.today(), places), one.today(), Programs.WEEKS_AHEAD);
  }

  /** A week: what the methods write, what the coach added, and what was lifted on the days behind. */
  private void week(DemoLifter one, int week) {
    LocalDate from = one.monday().plusWeeks(week);
    DemoProgram program = one.program();
    if (!program.methods().isEmpty() && week <= 0) {
      programs.write(one.lifter(), one.context(from, places), from, 1);
    }
    for (DayOfWeek day : DayOfWeek.values()) {
      List<DemoProgram.DemoLine> lines = program.plan().on(day, week);
      if (!lines.isEmpty()) {
        session(one.lifter(), from.plusDays(day.getValue() - 1L), lines);
      }
    }
    // what is lifted once a week follows the log when the next week is written
    boolean remembers = program.methods().stream().anyMatch(uses -> uses.method().rule().memory() && uses.days().size() > 1);
    for (LocalDate day = from; day.isBefore(one.today()) && day.isBefore(from.plusWeeks(1)); day = day.plusDays(1)) {
      Optional<TrainingSession> session = sessions.findByLifterIdAndDay(one.lifter().id(), day);
      session.ifPresent(planned -> day(one, planned));
      if (session.isPresent() && remembers) {
        programs.write(one.lifter(), one.context(day, places), day.plusDays(1), 1);
      }
    }
  }

  private void session(Lifter lifter, LocalDate day, List<DemoProgram.DemoLine> lines) {
    TrainingSession session = sessions.findByLifterIdAndDay(lifter.id(), day)
        .orElseGet(() -> sessions.saveAndFlush(new TrainingSession(lifter.id(), day)));
    int position = slots.findBySessionIdOrderByPositionAscIdAsc(session.id()).size();
    Groups groups = session.groups();
    Group above = null;
    for (DemoProgram.DemoLine line : lines) {
      Group group = line.group();
      if (group != null && !group.equals(above)) {
        groups = groups.with(new Groups.Numbered(groups.free(), group, null));
      }
      position = line.kind() == SlotKind.PREPARE ? position : position + 1;
      Slot slot = new Slot(session.id(), line.kind() == SlotKind.PREPARE ? 0 : position, line.kind(), line.lift(), line.work());
      slot.write(line.kind(), line.lift(), line.work(), line.details());
      slot.place(slot.position(), group == null ? null : Integer.valueOf(groups.free() - 1));
      slots.save(slot);
      above = group;
    }
    session.arrange(groups);
    slots.flush();
  }

  private void day(DemoLifter one, TrainingSession session) {
    List<Slot> plan = slots.findBySessionIdOrderByPositionAscIdAsc(session.id());
    LifterContext context = one.context(session.day(), places);
    issuing.store(session.id(), CardDocument.of(1, session.day(), context, new CardDocument.Known(Map.of(), one.last(),
        one.lifter().normalGear(), Map.of(), null), plan, session.groups(), Map.of()));
    one.startDay(session.day());
    plan.forEach(slot -> lift(one, session, slot, context));
  }

  private void lift(DemoLifter one, TrainingSession session, Slot slot, LifterContext context) {
    List<LoggedSet> done = new ArrayList<>();
    Lift lift = context.lift(slot.lift());
    Resolver.Request request = new SessionResolver(context).planned(new PlannedLine(lift, slot.work(), slot.details().beside(), 1, null));
    int count = Resolver.resolve(request).sets().size();
    boolean flagged = one.random().nextInt(40) == 0;
    for (int i = 0; i < count; i++) {
      ResolvedSet asked = Resolver.resolve(request.withLogged(done)).sets().get(i);
      Mass load = asked.load() != null ? one.takes(slot.lift(), asked.load(), session.day())
          : one.mass(one.program().picks().getOrDefault(slot.lift(), "20"));
      SimulatedLifter.Outcome outcome = one.outcome(lift, asked, load);
      done.add(new LoggedSet(asked.part(), asked.set(), load, outcome.reps(), outcome.rpe()));
      Instant at = session.day().atTime(17, 0).plusMinutes(slot.position() * 25L + i * 4L).toInstant(ZoneOffset.UTC);
      write(one, new LoggedSetRow(one.lifter().id(), session.id(), slot.ref(), place(asked), slot.lift(), session.day()), asked,
          new DemoDone(load, outcome, flagged, at));
    }
  }

  /** What became of a set, and when. */
  private record DemoDone(Mass load, SimulatedLifter.Outcome outcome, boolean flagged, Instant at) {}

  private static LoggedSet.Place place(ResolvedSet asked) {
    return new LoggedSet.Place(asked.part(), asked.set());
  }

  private void write(DemoLifter one, LoggedSetRow row, ResolvedSet asked, DemoDone done) {
    UUID key = new UUID(one.random().nextLong(), one.random().nextLong());
    Integer centimetres = asked.distance() == null ? null : Integer.valueOf(asked.distance().metres().movePointRight(2).intValue());
    Entry entry = new Entry(key, row.line(), place(asked), 1, -1, done.load(), done.outcome().reps(), done.outcome().rpe(),
        done.outcome().easier(), one.tenths(asked), centimetres, null, done.outcome().failed() ? HowEnded.COULD_NOT : null,
        done.flagged() ? Said.in(Context.SHORT_SLEEP) : Said.NOTHING);
    row.write(entry, asked, asked.tellsOfMax(), done.at());
    log.save(row);
    one.lifted(row.lift(), row.observation());
    if (done.outcome().reps() > 0) {
      one.last().put(row.lift(), done.load());
    }
  }
}
