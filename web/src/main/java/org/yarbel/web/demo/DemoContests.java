package org.yarbel.web.demo;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.yarbel.core.contest.AllowedGear;
import org.yarbel.core.lift.Catalogue;
import org.yarbel.core.lift.Level;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Proposal;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.program.DeloadWeek;
import org.yarbel.web.program.DeloadWeekRepository;
import org.yarbel.web.program.LongPlans;

/** The made-up contests of the demo, who goes, and the long plans that lead there. All of it is invented. */
@Component
class DemoContests {
  private static final String LOWMOOR = "Lowmoor Open";
  private static final String FELLGATE = "Fellgate Cup";
  private static final String HARROWMERE = "Harrowmere Classic";
  private static final String THORNBY = "Thornby Strong Day";

  /**
   * A long plan of the demo.
   *
   * @param since so many weeks ago it began
   * @param weeks to the contest from then on, its own week counted: the date it was planned for
   */
  record Journey(int since, int weeks, String contest, List<String> lifts, Level level) {}

  /** Where somebody goes. */
  private record DemoEntry(String contest, String weightClass) {}

  private static final Map<String, Journey> JOURNEYS = Map.of(
      "emeric", new Journey(9, 17, HARROWMERE, List.of("squat", "bench", "deadlift"), Level.ADVANCED),
      // the cup was to be next week and was put off by four
      "rosalind", new Journey(9, 11, FELLGATE, List.of("bench", "deadlift"), Level.ADVANCED));
  private static final Map<String, DemoEntry> ENTRIES = Map.of("maren", new DemoEntry(LOWMOOR, "84"), "emeric",
      new DemoEntry(HARROWMERE, "120"), "rosalind",
      new DemoEntry(FELLGATE, "76"), "brannoc", new DemoEntry(THORNBY, "open"), "sunniva", new DemoEntry(THORNBY, "women open"),
      "odile", new DemoEntry(HARROWMERE, "63"));

  private final Contests contests;
  private final LongPlans plans;
  private final DeloadWeekRepository deloads;
  private final Map<String, Contest> made = new HashMap<>();

  DemoContests(Contests contests, LongPlans plans, DeloadWeekRepository deloads) {
    this.contests = contests;
    this.plans = plans;
    this.deloads = deloads;
  }

  static @Nullable Journey journey(String email) {
    return JOURNEYS.get(email);
  }

  /** Writes the contests down. */
  void make(LocalDate today) {
    LocalDate saturday = Macrocycle.monday(today).plusDays(5);
    add(new Contest.ContestSaid(LOWMOOR, Contest.Sport.POWERLIFTING, Contest.State.PLANNED, saturday.plusWeeks(5),
        "Lowmoor, the Drill Hall", "Fenland League",
        AllowedGear.CLASSIC, "Weigh-in the evening before.", "women 63, 76, 84; men 93, 120", List.of()));
    add(new Contest.ContestSaid(FELLGATE, Contest.Sport.POWERLIFTING, Contest.State.PLANNED, saturday.plusWeeks(5).plusDays(1),
        "Fellgate, Weir Street Gym",
        "Fenland League", AllowedGear.CLASSIC, "Put off by four weeks: the hall was flooded.", "all, by points", List.of()));
    add(new Contest.ContestSaid(HARROWMERE, Contest.Sport.POWERLIFTING, Contest.State.PLANNED, saturday.plusWeeks(7),
        "Harrowmere, Corn Exchange", "Fenland League", AllowedGear.CLASSIC_WITH_WRAPS, "", "all", List.of()));
    add(new Contest.ContestSaid(THORNBY, Contest.Sport.STRONGMAN, Contest.State.PLANNED, saturday.plusWeeks(9),
        "Thornby, the fairground", "Marsh Counties Strength",
        AllowedGear.STRONGMAN, "Tacky is allowed, suits are not.", "men open, women open",
        List.of(new Contest.ContestEvent("log-press", "timed 1x60s 100kg"),
            new Contest.ContestEvent("yoke-walk", "carry 1x20m 300kg in 60s"),
            new Contest.ContestEvent("farmers-walk", "carry 1x40m 120kg in 75s turns 1"),
            new Contest.ContestEvent("stone-load", "series 100/120/140kg in 90s"))));
  }

  private void add(Contest.ContestSaid said) {
    made.put(said.name(), contests.keep(null, said));
  }

  /** Sends a lifter where they go, and lets a long plan of theirs begin before the weeks behind are written. */
  void set(Lifter lifter, String email, LocalDate today) {
    DemoEntry entry = ENTRIES.get(email);
    if (entry != null) {
      Contest contest = Objects.requireNonNull(made.get(entry.contest()));
      contests.send(contest.id(), lifter.id(), entry.weightClass(), entry.contest().equals(LOWMOOR)
          ? Objects.requireNonNull(contest.day()).minusDays(1) : null, false);
    }
    Journey journey = JOURNEYS.get(email);
    if (journey != null) {
      LocalDate monday = Macrocycle.monday(today);
      LocalDate from = monday.minusWeeks(journey.since());
      List<Lift> lifts = journey.lifts().stream().map(key -> Catalogue.standard().ofKey(key).orElseThrow()).toList();
      Macrocycle plan = Proposal.of(new Proposal.Request(journey.level(), lifts, List.of(), DemoLife.of(email).free(),
          from.plusWeeks(journey.weeks() - 1L)
          .plusDays(5), from, lifter.strained(), lifter.deloadKind(), lifter.unit(), List.of())).plan();
      plans.set(lifter, plan, Objects.requireNonNull(made.get(journey.contest())).id());
      plan.easyWeeks().forEach((week, kind) -> {
        if (week.isBefore(monday)) {
          deloads.saveAndFlush(new DeloadWeek(lifter.id(), week, kind));
        }
      });
    }
  }
}
