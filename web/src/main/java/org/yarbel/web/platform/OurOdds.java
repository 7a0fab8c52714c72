package org.yarbel.web.platform;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.ContestRatio;
import org.yarbel.core.contest.DayOdds;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.effort.EffortChart;
import org.yarbel.core.effort.Rpe;
import org.yarbel.core.lift.Lift;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Outlook;
import org.yarbel.core.track.VariationRatio;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;

/** How likely loads are for a lifter of the club on a contest's day, by their log and by what past contests taught. */
@Service
public class OurOdds {
  private static final Limit PAST = Limit.of(20);

  private final LiftNumbersRepository numbers;
  private final ContestAthleteRepository athletes;
  private final AttemptRows attempts;
  private final Contests contests;

  OurOdds(LiftNumbersRepository numbers, ContestAthleteRepository athletes, AttemptRows attempts, Contests contests) {
    this.numbers = numbers;
    this.athletes = athletes;
    this.attempts = attempts;
    this.contests = contests;
  }

  /**
   * The odds of a lift before the first attempt.
   *
   * @param ratio of contest to gym that they go by, with the number of contests it was learned from
   * @param most the heaviest that may be tried where the contest is held to an RPE; null for any
   */
  public record Known(DayOdds odds, VariationRatio ratio, @Nullable Mass most) {}

  /** The odds by lift, rested: what was trained that day is not what comes before a contest. A lift of which nothing is known has none. */
  @Transactional(readOnly = true)
  public Map<String, Known> of(ContestAthlete athlete, Contest contest) {
    Long lifter = athlete.lifterId();
    LocalDate day = contest.day();
    if (lifter == null || day == null) {
      return Map.of();
    }
    Map<String, List<ContestRatio.Past>> past = past(lifter, contest);
    Map<String, Known> known = new HashMap<>();
    for (LiftNumbers own : numbers.findByLifterIdIn(List.of(lifter))) {
      if (contest.daySheet().rules().platform().lifts().contains(own.lift())) {
        own.outlook(day).map(outlook -> outlook.after(0)).ifPresent(outlook -> known.put(own.lift(), known(own, outlook,
            past.getOrDefault(own.lift(), List.of()), contest)));
      }
    }
    return known;
  }

  private static Known known(LiftNumbers own, Outlook outlook, List<ContestRatio.Past> past, Contest contest) {
    VariationRatio ratio = ContestRatio.of(past, contest.day());
    DayOdds odds = DayOdds.of(outlook, new Lift.Ratio(ratio.percent(), ratio.sd()));
    Rpe cap = contest.daySheet().cap();
    EffortChart chart = own.chart();
    Mass max = odds.max(MassUnit.KG).max();
    return new Known(odds, ratio, cap == null ? null : max.scaled(chart.fraction(1, cap.value()).orElse(1)));
  }

  /** The lifts of past contests of which it is known what the gym's max was. */
  private Map<String, List<ContestRatio.Past>> past(long lifter, Contest now) {
    List<ContestAthlete> been = athletes.logged(List.of(lifter), PAST).stream().filter(one -> one.contestId() != now.id()).toList();
    if (been.isEmpty()) {
      return Map.of();
    }
    Map<Long, Contest> byId = contests.contests(been.stream().map(ContestAthlete::contestId).toList());
    Map<Long, Map<String, List<Attempt>>> lifted = ContestDays.byLift(attempts.of(been.stream().map(ContestAthlete::id).toList()));
    Map<String, List<ContestRatio.Past>> past = new HashMap<>();
    for (ContestAthlete athlete : been) {
      LocalDate day = Objects.requireNonNull(byId.get(athlete.contestId())).day();
      if (day != null) {
        Map<String, Estimate> gym = athlete.prepared().gym();
        lifted.getOrDefault(athlete.id(), Map.of()).forEach((lift, of) -> Optional.ofNullable(gym.get(lift)).ifPresent(estimate ->
            past.computeIfAbsent(lift, key -> new ArrayList<>()).add(new ContestRatio.Past(day, new LiftDay(lift, of), estimate))));
      }
    }
    return past;
  }

  /** What the gym's numbers say of a contest's day: as they were when it went into the log, else as they are now. */
  static Optional<Estimate> gym(ContestAthlete athlete, LiftNumbers own, LocalDate day) {
    Estimate kept = athlete.prepared().gym().get(own.lift());
    return kept == null ? own.outlook(day).map(outlook -> outlook.max(MassUnit.KG)) : Optional.of(kept);
  }
}
