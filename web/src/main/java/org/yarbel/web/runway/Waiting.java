package org.yarbel.web.runway;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.mass.Count;
import org.yarbel.core.plan.cycle.Macrocycle;
import org.yarbel.core.plan.cycle.Meets;
import org.yarbel.core.plan.cycle.Refit;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestEntry;
import org.yarbel.web.contest.ContestEntryRepository;
import org.yarbel.web.contest.Contests;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.lifter.LifterRepository;
import org.yarbel.web.program.LongPlan;
import org.yarbel.web.program.LongPlanRepository;

/** Whose plans do not lead to where their contest is. */
@Service
public class Waiting {
  private static final int SHOWN = 40;

  private final Contests contests;
  private final LongPlanRepository plans;
  private final LifterRepository lifters;
  private final Runways runways;
  private final CoreJson json;
  private final ClubClock clock;

  Waiting(Contests contests, LongPlanRepository plans, LifterRepository lifters, Runways runways, CoreJson json, ClubClock clock) {
    this.contests = contests;
    this.plans = plans;
    this.lifters = lifters;
    this.runways = runways;
    this.json = json;
    this.clock = clock;
  }

  /** A lifter whose plan is to be refitted, and how. */
  public record One(Lifter lifter, Refit due) {}

  /** Those of a contest, with what a refit would change; the first of many. */
  @Transactional(readOnly = true)
  public List<One> of(Contest contest) {
    List<One> all = new ArrayList<>();
    for (Lifter lifter : lifters.findAllById(concerned(contest).stream().limit(SHOWN).toList())) {
      Runways.Situation now = runways.of(lifter);
      if (now.due() != null) {
        all.add(new One(lifter, now.due()));
      }
    }
    return all;
  }

  /** The same, as lifters. */
  @Transactional(readOnly = true)
  public List<Lifter> lifters(Contest contest) {
    return lifters.findAllById(concerned(contest));
  }

  /** The ids of those whose plan leads to another day than a contest has, or went there before they stayed at home. */
  @Transactional(readOnly = true)
  public Set<Long> concerned(Contest contest) {
    Set<Long> ids = new LinkedHashSet<>();
    List<Long> going = contests.entries(contest.id()).stream().map(ContestEntry::lifterId).toList();
    Map<Long, List<Contests.Going>> all = contests.of(going);
    for (LongPlan row : plans.findByLifterIdIn(going)) {
      if (elsewhere(contest, row, all.getOrDefault(row.lifterId(), List.of()))) {
        ids.add(row.lifterId());
      }
    }
    plans.findByContestId(contest.id()).stream().filter(row -> !going.contains(row.lifterId()) && row.plan(json).contest() != null)
        .forEach(row -> ids.add(row.lifterId()));
    return ids;
  }

  private boolean elsewhere(Contest contest, LongPlan row, List<Contests.Going> going) {
    Macrocycle plan = row.plan(json);
    boolean led = Objects.equals(row.contestId(), contest.id());
    if (!contest.takesPlace()) {
      return led && plan.contest() != null && contest.state() != Contest.State.PLANNED;
    }
    LocalDate day = Objects.requireNonNull(contest.day());
    if (day.isBefore(clock.today())) {
      return false;
    }
    boolean peak = Contests.roles(going, clock.today()).stream().filter(Meets.Role::peak).findFirst()
        .filter(role -> role.meet().id() == contest.id()).isPresent();
    return peak ? !day.equals(plan.contest()) || !led : led && Contests.roles(going, clock.today()).stream().anyMatch(role -> !role.peak()
        && role.meet().id() == contest.id());
  }

  /** How many there are, by the contest's id, of those to come. */
  @Transactional(readOnly = true)
  public Map<Long, Long> count(Collection<Contest> all) {
    Map<Long, List<ContestEntry>> entries = contests.entries(all.stream().map(Contest::id).toList());
    Map<Long, List<Long>> ids = new HashMap<>();
    entries.forEach((contest, of) -> ids.put(contest, of.stream().map(ContestEntry::lifterId).toList()));
    return count(all, ids, contests.of(lifters(ids)));
  }

  private static List<Long> lifters(Map<Long, List<Long>> entries) {
    return entries.values().stream().flatMap(List::stream).distinct().toList();
  }

  private Map<Long, Long> count(Collection<Contest> all, Map<Long, List<Long>> entries, Map<Long, List<Contests.Going>> going) {
    Map<Long, LongPlan> rows = new HashMap<>();
    plans.findByLifterIdIn(lifters(entries)).forEach(row -> rows.put(row.lifterId(), row));
    Map<Long, Long> counts = new HashMap<>();
    all.forEach(contest -> counts.put(contest.id(), entries.getOrDefault(contest.id(), List.of()).stream().map(rows::get)
        .filter(row -> row != null && elsewhere(contest, row, going.getOrDefault(row.lifterId(), List.of()))).count()));
    return counts;
  }

  /**
   * A contest that comes.
   *
   * @param days until then
   * @param who goes
   * @param waiting how many of their plans lead elsewhere
   */
  public record Coming(long id, String name, long days, List<String> who, long waiting) {
    private static final long FORTNIGHT = 14;

    /** How far away it is, in words. */
    public String when() {
      if (days == 0) {
        return "today";
      }
      return "in " + (days < FORTNIGHT ? Count.of(days, "day") : Count.of(days / 7, "week"));
    }
  }

  /** The contests of the weeks to come that somebody goes to, the nearest first. */
  @Transactional(readOnly = true)
  public List<Coming> coming(int weeks) {
    LocalDate today = clock.today();
    // what decides are contests to come, and those are all listed
    List<Contest> listed = contests.listed();
    List<Contest> near = listed.stream().filter(contest -> contest.takesPlace() && !Objects.requireNonNull(contest.day()).isBefore(today)
        && contest.day().isBefore(today.plusWeeks(weeks)))
        .sorted(Comparator.comparing(contest -> Objects.requireNonNull(contest.day()))).toList();
    if (near.isEmpty()) {
      return List.of();
    }
    Contests.Goers goers = contests.goers(listed);
    Map<Long, List<Long>> ids = new HashMap<>();
    near.forEach(contest -> goers.names().getOrDefault(contest.id(), List.of())
        .forEach(named -> ids.computeIfAbsent(contest.id(), one -> new ArrayList<>()).add(named.getEntry().lifterId())));
    Map<Long, Long> counts = count(near, ids, goers.going());
    return near.stream().filter(contest -> ids.containsKey(contest.id())).map(contest -> new Coming(contest.id(), contest.name(),
        ChronoUnit.DAYS.between(today, contest.day()), goers.names().get(contest.id()).stream().map(ContestEntryRepository.Named::getName)
        .toList(), counts.getOrDefault(contest.id(), 0L))).toList();
  }
}
