package org.yarbel.web.program;

import java.time.LocalDate;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.notation.WorkLine;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.Group;
import org.yarbel.core.plan.Groups;
import org.yarbel.core.plan.progress.Exposure;
import org.yarbel.web.plan.Slot;
import org.yarbel.web.plan.TrainingSession;

/** One method while it is written into the days. */
final class Writing {
  /** What a method writes on one day: the number of the exposure, under 0 in an easy week, and what to do. */
  record Planned(LocalDate day, int number, Exposure exposure, @Nullable Deload deload) {}

  private static final int MOST_REMARK = 600;

  private final OpenDays days;
  private final Progression progression;
  private final EffortChart chart;
  private final Map<String, Slot> open = new LinkedHashMap<>();
  private final Set<String> closed = new HashSet<>();
  private final Set<Long> touched = new HashSet<>();
  private final SoFar soFar;

  Writing(OpenDays days, Progression progression, EffortChart chart, SoFar soFar, LocalDate from) {
    this.days = days;
    this.progression = progression;
    this.chart = chart;
    this.soFar = soFar;
    for (Slot slot : soFar.of(progression)) {
      Slot.Origin origin = Objects.requireNonNull(slot.origin());
      String key = origin.exposure() + "." + origin.line();
      if (!soFar.day(slot).isBefore(from) && !soFar.begun(slot) && !soFar.waits(slot, from)) {
        open.put(key, slot);
      } else if (soFar.recent(slot, from) || soFar.waits(slot, from)) {
        closed.add(key);
      }
    }
    closed.addAll(progression.leftOut());
  }

  /** Writes what is planned, gives up what is not any more, and tells in which sessions something is new. */
  Set<Long> write(List<Planned> planned) {
    for (Planned exposure : planned) {
      int line = 0;
      Group above = null;
      Integer groupNo = null;
      for (Exposure.Line next : exposure.exposure().lines()) {
        boolean goesOn = next.group() != null && next.group().equals(above);
        groupNo = write(exposure, line++, next, goesOn ? groupNo : null);
        above = next.group();
      }
    }
    open.values().forEach(this::giveUp);
    return touched;
  }

  private @Nullable Integer write(Planned planned, int number, Exposure.Line line, @Nullable Integer groupNo) {
    Slot.Origin origin = new Slot.Origin(progression.ref(), planned.number(), number, planned.day());
    String key = origin.exposure() + "." + origin.line();
    Optional<WorkLine> easy = Optional.of(line.work());
    if (planned.deload() != null && !planned.exposure().deload()) {
      easy = planned.deload().applied(line.work(), chart);
    }
    Optional<String> work = easy.map(WorkLine::toString);
    if (closed.contains(key) && !open.containsKey(key) || work.isEmpty()) {
      return groupNo;
    }
    Slot slot = open.remove(key);
    if (slot == null) {
      TrainingSession session = days.session(planned.day());
      if (days.full(session)) {
        return groupNo;
      }
      slot = new Slot(session.id(), 0, line.kind(), line.lift(), work.get());
      Integer group = groupNo;
      if (line.group() != null && group == null) {
        group = grouped(session, line.group());
      }
      slot.place(0, group);
      days.insert(session, slot);
      touched.add(session.id());
    } else {
      followDay(slot, planned.day());
      String before = Slot.said(slot.lift(), slot.work()) + slot.trainingNg();
      if (!slot.edited()) {
        slot.write(slot.kind(), line.lift(), work.get(), slot.details());
      }
      Mass training = planned.exposure().training();
      if (!before.equals(Slot.said(slot.lift(), slot.work()) + (training == null ? null : Long.valueOf(training.nanograms())))) {
        touched.add(slot.sessionId());
      }
    }
    say(slot, origin, line, work.get(), planned);
    days.keep(slot);
    return slot.groupNo();
  }

  /** An exposure that is put off takes its line along, unless somebody moved the line. */
  private void followDay(Slot slot, LocalDate day) {
    LocalDate written = Objects.requireNonNull(slot.origin()).day();
    TrainingSession stands = soFar.session(slot);
    if (!written.equals(day) && stands.day().equals(written)) {
      TrainingSession target = days.session(day);
      touched.addAll(List.of(stands.id(), target.id()));
      Integer group = slot.groupNo();
      slot.moveTo(target.id(), 0);
      if (group != null) {
        stands.groups().numbered(group).ifPresent(numbered -> slot.place(0, target.groups().all().stream()
            .filter(g -> g.group().equals(numbered.group()) && g.again() == null).map(Groups.Numbered::number).findFirst()
                .orElseGet(() -> grouped(target, numbered.group()))));
      }
      days.insert(target, slot);
    }
  }

  private Integer grouped(TrainingSession session, Group group) {
    Groups groups = session.groups();
    int number = groups.free();
    session.arrange(groups.with(new Groups.Numbered(number, group, null)));
    days.arranged(session);
    return number;
  }

  private void say(Slot slot, Slot.Origin origin, Exposure.Line line, String work, Planned planned) {
    Mass training = planned.exposure().training();
    String own = planned.exposure().deload() ? "The method's own easy week: " + Deload.HALF_LOAD.ceiling() + ". " : "";
    String remark = origin.line() > 0 ? "" : own + String.join(" ", planned.exposure().remarks());
    slot.originate(origin, Slot.said(line.lift(), work), planned.exposure().forecast(), training == null ? null : training.nanograms(),
        remark.isEmpty() ? null : remark.strip().substring(0, Math.min(MOST_REMARK, remark.strip().length())));
  }

  /** What the method writes no longer goes; what somebody edited stays as their own line. */
  private void giveUp(Slot slot) {
    touched.add(slot.sessionId());
    if (slot.edited()) {
      slot.originate(null, null, false, null, null);
      days.keep(slot);
    } else {
      days.remove(slot);
    }
  }
}
