package org.yarbel.web.program;

import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.Deload;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.club.Turns;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.who.SignedIn;

/** Places, moves and takes out easy weeks; methods write the days anew at once. */
@Service
public class Easy {
  private static final int WEEKS_PLACED = 26;

  private final DeloadWeekRepository weeks;
  private final EasyWeeks easyWeeks;
  private final ProgressionRepository progressions;
  private final LifterRepository lifters;
  private final Programs programs;
  private final ClubClock clock;
  private final Turns turns;

  Easy(DeloadWeekRepository weeks, EasyWeeks easyWeeks, ProgressionRepository progressions, LifterRepository lifters,
      Programs programs, ClubClock clock, Turns turns) {
    this.turns = turns;
    this.weeks = weeks;
    this.easyWeeks = easyWeeks;
    this.progressions = progressions;
    this.lifters = lifters;
    this.programs = programs;
    this.clock = clock;
  }

  /** Makes a week easy; a sentence says what was done. */
  @Transactional
  public String place(Lifter lifter, LocalDate monday, Deload kind, SignedIn who) {
    turns.ofLifter(lifter.id());
    if (monday.plusWeeks(1).isBefore(clock.today())) {
      return "That week is behind: only what lies ahead can change.";
    }
    DeloadWeek week = weeks.findByLifterIdAndMonday(lifter.id(), monday).orElseGet(() -> new DeloadWeek(lifter.id(), monday, kind));
    programs.write(lifter, who, () -> {
      week.take(kind);
      weeks.saveAndFlush(week);
    });
    return "A deload, " + kind.word() + ": " + kind.ceiling() + ".";
  }

  /**
   * Makes a week easy as part of a change that its caller makes and keeps.
   *
   * @param insteadOf the week that is easy no more; null for none
   */
  @Transactional(propagation = Propagation.MANDATORY)
  public void put(Lifter lifter, LocalDate monday, Deload kind, @Nullable LocalDate insteadOf) {
    if (insteadOf != null) {
      weeks.findByLifterIdAndMonday(lifter.id(), insteadOf).ifPresent(weeks::delete);
      weeks.flush();
    }
    DeloadWeek week = weeks.findByLifterIdAndMonday(lifter.id(), monday).orElseGet(() -> new DeloadWeek(lifter.id(), monday, kind));
    week.take(kind);
    weeks.saveAndFlush(week);
  }

  /** Moves an easy week by so many weeks; 0 takes it out. */
  @Transactional
  public String move(Lifter lifter, LocalDate monday, int by, SignedIn who) {
    turns.ofLifter(lifter.id());
    Optional<DeloadWeek> week = weeks.findByLifterIdAndMonday(lifter.id(), monday);
    LocalDate to = monday.plusWeeks(by);
    if (week.isEmpty()) {
      return "That week is no deload any more.";
    }
    if (to.plusWeeks(1).isBefore(clock.today()) || by != 0 && weeks.findByLifterIdAndMonday(lifter.id(), to).isPresent()) {
      return "It stays: the other week is behind, or a deload already.";
    }
    programs.write(lifter, who, () -> {
      weeks.delete(week.get());
      weeks.flush();
      if (by != 0) {
        weeks.saveAndFlush(new DeloadWeek(lifter.id(), to, week.get().kind()));
      }
    });
    if (by == 0) {
      return "No deload in that week any more.";
    }
    return by < 0 ? "Pulled a week forward." : "Put off a week.";
  }

  /** Sets the rule and places the weeks to come by it, from the last easy week or the first week on; those placed before go. */
  @Transactional
  public String rule(Lifter lifter, @Nullable Integer every, Deload kind, SignedIn who) {
    turns.ofLifter(lifter.id());
    programs.write(lifter, who, () -> set(lifter, every, kind));
    return every == null ? "No deload is placed by itself any more." : "After every " + Count.of(every, "week") + " an easy one, "
        + kind.word() + "."
        + Deload.often(every).map(" "::concat).orElse("");
  }

  private void set(Lifter lifter, @Nullable Integer every, Deload kind) {
    lifter.deloads(every, kind);
    lifters.saveAndFlush(lifter);
    LocalDate monday = Macrocycle.monday(clock.today());
    weeks.deleteAll(weeks.findByLifterIdAndMondayBetween(lifter.id(), monday, monday.plusYears(2)));
    weeks.flush();
    if (every == null) {
      return;
    }
    LocalDate last = easyWeeks.last(lifter, progressions.findByLifterIdOrderById(lifter.id()), monday).orElse(monday.minusWeeks(1));
    for (LocalDate next = last.plusWeeks(every + 1L); next.isBefore(monday.plusWeeks(WEEKS_PLACED)); next = next.plusWeeks(every + 1L)) {
      if (!next.isBefore(monday)) {
        weeks.save(new DeloadWeek(lifter.id(), next, kind));
      }
    }
    weeks.flush();
  }
}
