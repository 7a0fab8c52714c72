package org.yarbel.web.platform;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.web.club.Lifts;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;

/** Reads a contest's day as it stands, in a handful of queries however many lift. */
@Service
class ContestDays {
  private final Contests contests;
  private final ContestAthleteRepository athletes;
  private final LifterRepository lifters;
  private final AttemptRows attempts;
  private final ResultRows results;
  private final Lifts lifts;

  ContestDays(Contests contests, ContestAthleteRepository athletes, LifterRepository lifters, AttemptRows attempts, ResultRows results,
      Lifts lifts) {
    this.contests = contests;
    this.athletes = athletes;
    this.lifters = lifters;
    this.attempts = attempts;
    this.results = results;
    this.lifts = lifts;
  }

  @Transactional(readOnly = true)
  public Day day(long contestId) {
    return day(contests.contest(contestId));
  }

  /** The same of the class of one athlete alone: all that their own screen needs, of a contest of any size. */
  @Transactional(readOnly = true)
  public Day around(long contestId, long athleteId) {
    return day(contests.contest(contestId), athletes.ofClass(contestId, athleteId));
  }

  @Transactional(readOnly = true)
  public Day day(Contest contest) {
    return day(contest, athletes.ofContest(contest.id()));
  }

  private Day day(Contest contest, List<ContestAthlete> all) {
    List<Long> ours = all.stream().map(ContestAthlete::lifterId).filter(Objects::nonNull).toList();
    Map<Long, Lifter> byId = ours.isEmpty() ? Map.of()
        : lifters.findAllById(ours).stream().collect(Collectors.toMap(Lifter::id, Function.identity()));
    Map<Long, Map<String, List<Attempt>>> lifted = new HashMap<>();
    Map<Long, Map<Integer, EventResult>> done = new HashMap<>();
    if (contest.said().sport() == Contest.Sport.STRONGMAN) {
      results.of(ids(all))
          .forEach(row -> done.computeIfAbsent(row.athleteId(), id -> new HashMap<>()).put(row.event(), row.result()));
    } else {
      lifted.putAll(byLift(attempts.of(ids(all))));
    }
    return new Day(contest, lifts.catalogue(), all, byId, lifted, done, Set.of());
  }

  private static List<Long> ids(List<ContestAthlete> all) {
    return all.stream().map(ContestAthlete::id).toList();
  }

  /** Attempts by athlete and lift. */
  static Map<Long, Map<String, List<Attempt>>> byLift(List<AttemptSeen> rows) {
    Map<Long, Map<String, List<Attempt>>> lifted = new HashMap<>();
    rows.forEach(row -> lifted.computeIfAbsent(row.athleteId(), id -> new HashMap<>())
        .computeIfAbsent(row.lift(), lift -> new ArrayList<>()).add(row.attempt()));
    return lifted;
  }
}
