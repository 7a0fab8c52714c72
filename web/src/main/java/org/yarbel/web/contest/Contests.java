package org.yarbel.web.contest;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.plan.cycle.Meets;
import org.yarbel.web.problem.NotFound;

/** Keeps the contests and who goes. */
@Service
public class Contests {
  private static final Limit LISTED = Limit.of(200);

  private final ContestRepository contests;
  private final ContestEntryRepository entries;
  private final ContestAthleteRepository athletes;

  Contests(ContestRepository contests, ContestEntryRepository entries, ContestAthleteRepository athletes) {
    this.athletes = athletes;
    this.contests = contests;
    this.entries = entries;
  }

  /** A contest somebody goes to. */
  public record Going(Contest contest, ContestEntry entry) {}

  /** One of the club. */
  @Transactional(readOnly = true)
  public Contest contest(long id) {
    return contests.findById(id).orElseThrow(NotFound::new);
  }

  /** Several of the club, by their id. */
  @Transactional(readOnly = true)
  public Map<Long, Contest> contests(Collection<Long> ids) {
    return contests.findAllById(ids).stream().collect(Collectors.toMap(Contest::id, Function.identity()));
  }

  /** One by what it is known by outside. */
  @Transactional(readOnly = true)
  public Optional<Contest> known(UUID ref) {
    return contests.findByRef(ref);
  }

  /** Those in the list, the latest first. */
  @Transactional(readOnly = true)
  public List<Contest> listed() {
    return contests.listed(LISTED);
  }

  /** Who goes to each of these, by the contest's id. */
  @Transactional(readOnly = true)
  public Map<Long, List<ContestEntry>> entries(Collection<Long> ids) {
    return ids.isEmpty() ? Map.of() : entries.findByContestIdIn(ids).stream().collect(Collectors.groupingBy(ContestEntry::contestId));
  }

  /**
   * Who goes to some contests.
   *
   * @param names by contest, in the order they were entered
   * @param going what each lifter goes to among them, the earliest first
   */
  public record Goers(Map<Long, List<ContestEntryRepository.Named>> names, Map<Long, List<Going>> going) {}

  /** Who goes to these contests, which are read already. */
  @Transactional(readOnly = true)
  public Goers goers(Collection<Contest> among) {
    Map<Long, Contest> byId = among.stream().collect(Collectors.toMap(Contest::id, Function.identity()));
    List<ContestEntryRepository.Named> all = byId.isEmpty() ? List.of() : entries.named(byId.keySet());
    return new Goers(all.stream().collect(Collectors.groupingBy(named -> named.getEntry().contestId())),
        going(all.stream().map(ContestEntryRepository.Named::getEntry).toList(), byId));
  }

  /** Who goes to one. */
  @Transactional(readOnly = true)
  public List<ContestEntry> entries(long id) {
    return entries.findByContestIdOrderById(id);
  }

  /** The contests a lifter goes to, the earliest first; those without a day last. */
  @Transactional(readOnly = true)
  public List<Going> of(long lifterId) {
    return of(List.of(lifterId)).getOrDefault(lifterId, List.of());
  }

  /** The same of several lifters. */
  @Transactional(readOnly = true)
  public Map<Long, List<Going>> of(Collection<Long> lifterIds) {
    List<ContestEntry> all = lifterIds.isEmpty() ? List.of() : entries.findByLifterIdIn(lifterIds);
    return going(all, contests(all.stream().map(ContestEntry::contestId).distinct().toList()));
  }

  private static Map<Long, List<Going>> going(Collection<ContestEntry> all, Map<Long, Contest> byId) {
    Map<Long, List<Going>> going = new HashMap<>();
    all.forEach(entry -> going.computeIfAbsent(entry.lifterId(), id -> new ArrayList<>())
        .add(new Going(Objects.requireNonNull(byId.get(entry.contestId())), entry)));
    going.values().forEach(list -> list.sort((one, other) -> day(one).compareTo(day(other))));
    return going;
  }

  private static LocalDate day(Going going) {
    LocalDate day = going.contest().day();
    return day == null ? LocalDate.MAX : day;
  }

  /**
   * A contest of today or of the days to come.
   *
   * @param when in words
   */
  public record Near(long contestId, long athleteId, String name, String when) {}

  /** What a lifter lifts in today or within a week, the nearest first. */
  @Transactional(readOnly = true)
  public List<Near> near(long lifterId, LocalDate today) {
    return of(lifterId).stream().filter(going -> going.contest().takesPlace() && !day(going).isBefore(today)
        && day(going).isBefore(today.plusWeeks(1)))
        .flatMap(going -> athletes.findByContestIdAndLifterId(going.contest().id(), lifterId).stream().map(athlete -> new Near(
            going.contest().id(), athlete.id(), going.contest().name(), when(ChronoUnit.DAYS.between(today, day(going)))))).toList();
  }

  private static String when(long days) {
    if (days == 0) {
      return "today: your attempts, plates and what they mean";
    }
    return (days == 1 ? "tomorrow" : "in " + days + " days") + ": openers, and what is in the bag";
  }

  /** What the contests to come are to a lifter: which is the peak, which a training day. */
  public static List<Meets.Role> roles(List<Going> going, LocalDate from) {
    return Meets.roles(going.stream().filter(one -> one.contest().takesPlace() && !day(one).isBefore(from))
        .map(one -> new Meets.Meet(one.contest().id(), one.contest().name(), day(one), one.entry().counts())).toList());
  }

  /** Keeps a contest, a new one without an id. */
  @Transactional
  public Contest keep(@Nullable Long id, Contest.ContestSaid said) {
    Contest contest = id == null ? new Contest(said) : contest(id);
    contest.write(said);
    return contests.saveAndFlush(contest);
  }

  /** Takes a contest out of the list, or brings it back. */
  @Transactional
  public Contest remove(long id, boolean gone) {
    Contest contest = contest(id);
    contest.gone(gone);
    return contests.save(contest);
  }

  /** Sends a lifter, or says how they go. */
  @Transactional
  public void send(long id, long lifterId, String weightClass, @Nullable LocalDate weighIn, boolean counts) {
    contest(id);
    ContestEntry entry = entries.findByContestIdAndLifterId(id, lifterId).orElseGet(() -> new ContestEntry(id, lifterId));
    entry.say(weightClass, weighIn, counts);
    entries.saveAndFlush(entry);
    ContestAthlete athlete = athletes.findByContestIdAndLifterId(id, lifterId)
        .orElseGet(() -> new ContestAthlete(id, lifterId, ContestAthlete.AthleteSaid.rival("")));
    athlete.goes(true, weightClass);
    athletes.saveAndFlush(athlete);
  }

  /** Says that a lifter does not go. */
  @Transactional
  public void stay(long id, long lifterId) {
    contest(id);
    entries.findByContestIdAndLifterId(id, lifterId).ifPresent(entries::delete);
    athletes.findByContestIdAndLifterId(id, lifterId).ifPresent(athlete -> athlete.goes(false, athlete.said().category()));
    entries.flush();
  }
}
