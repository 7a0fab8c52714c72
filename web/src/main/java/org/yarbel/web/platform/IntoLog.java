package org.yarbel.web.platform;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.yarbel.core.contest.Attempt;
import org.yarbel.core.contest.LiftDay;
import org.yarbel.core.contest.strongman.EventKind.Field;
import org.yarbel.core.contest.strongman.EventResult;
import org.yarbel.core.mass.Count;
import org.yarbel.core.mass.Mass;
import org.yarbel.core.mass.MassUnit;
import org.yarbel.core.track.Estimate;
import org.yarbel.core.track.Observation;
import org.yarbel.core.track.Observation.Trait;
import org.yarbel.web.club.ClubClock;
import org.yarbel.web.column.CoreJson;
import org.yarbel.web.contest.Contest;
import org.yarbel.web.contest.ContestAthlete;
import org.yarbel.web.contest.ContestAthleteRepository;
import org.yarbel.web.lifter.LiftNumbers;
import org.yarbel.web.lifter.LiftNumbersRepository;
import org.yarbel.web.lifter.Lifter;
import org.yarbel.web.log.LoggedSetRepository;
import org.yarbel.web.log.LoggedSetRow;
import org.yarbel.web.log.Said;
import org.yarbel.web.log.Tracking;
import org.yarbel.web.problem.NotFound;
import org.yarbel.web.who.SignedIn;

/**
 * Writes a contest's day into the log of a lifter of the club, once the coach says so: attempts as observations of a contest, the maxes
 * that were tested with their date and where it was. It can be taken back as one.
 */
@Service
class IntoLog {
  static final String SPOT = "log";
  private static final int MOST_WORDS = 200;

  private final ContestDays days;
  private final ContestAthleteRepository athletes;
  private final LoggedSetRepository sets;
  private final LiftNumbersRepository numbers;
  private final Tracking tracking;
  private final NoteRows notes;
  private final CoreJson json;
  private final ClubClock clock;

  IntoLog(ContestDays days, ContestAthleteRepository athletes, LoggedSetRepository sets, LiftNumbersRepository numbers, Tracking tracking,
      NoteRows notes, CoreJson json, ClubClock clock) {
    this.days = days;
    this.athletes = athletes;
    this.sets = sets;
    this.numbers = numbers;
    this.tracking = tracking;
    this.notes = notes;
    this.json = json;
    this.clock = clock;
  }

  /** Tested maxes by lift as they stood, to be put back. */
  private record Before(Map<String, LiftNumbers.Tested> tested) {}

  /**
   * The attempts of a lift as the tracker sees them: the next of one that is followed by a miss for strength was missed; one turned down
   * for form says nothing of the max.
   */
  static List<Observation> observations(LiftDay lifted, LocalDate day) {
    List<Observation> all = new ArrayList<>();
    List<Attempt> attempts = lifted.lifted();
    for (int at = 0; at < attempts.size(); at++) {
      Attempt attempt = attempts.get(at);
      Attempt next = at + 1 < attempts.size() ? attempts.get(at + 1) : null;
      boolean nextMissed = attempt.good() && next != null && tooHeavy(next);
      all.add(Observation.of(day, attempt.load(), attempt.good() ? 1 : 0, null).with(Trait.CONTEST, true)
          .with(Trait.NEXT_MISSED, nextMissed).with(Trait.FAILED, tooHeavy(attempt))
          .with(Trait.PRACTICE, attempt.missed() && !tooHeavy(attempt)));
    }
    return all;
  }

  private static boolean tooHeavy(Attempt attempt) {
    return Objects.requireNonNull(attempt.verdict()).tooHeavy();
  }

  /** The best of a lift where it was taken to the limit, or no attempt was left. */
  static Optional<Mass> tested(LiftDay lifted, Day day) {
    return lifted.best().filter(load -> lifted.over(day.rules()) || lifted.toItsLimit());
  }

  /** Writes the day of an athlete into the log. */
  @Transactional
  public String write(long contestId, long athleteId, SignedIn who) {
    ContestAthlete athlete = athletes.held(athleteId).filter(one -> one.contestId() == contestId && one.ours()).orElseThrow(NotFound::new);
    Day day = days.day(contestId);
    Lifter lifter = Objects.requireNonNull(day.lifter(athlete));
    LocalDate on = day.contest().day();
    if (on == null || athlete.loggedAt() != null) {
      return athlete.loggedAt() == null ? "The contest has no date." : "It is in the log already.";
    }
    if (on.isAfter(clock.today())) {
      return "The contest is still to come.";
    }
    Map<String, Estimate> gym = day.strongman() ? Map.of() : gym(day, athlete, lifter.id(), on);
    Map<String, LiftNumbers.Tested> before = new LinkedHashMap<>();
    Set<String> changed = new LinkedHashSet<>();
    int written = day.strongman() ? events(day, athlete, lifter, on, changed) : attempts(day, athlete, lifter, on, changed, before);
    if (written == 0) {
      return "Nothing was lifted that could go into the log.";
    }
    sets.flush();
    changed.forEach(lift -> tracking.logged(lifter, lift, on));
    athlete.prepare(athlete.prepared().knowing(gym));
    athlete.logged(clock.now());
    athletes.saveAndFlush(athlete);
    String words = Count.of(written, day.strongman() ? "result" : "attempt") + " into the log";
    notes.saveAndFlush(new NoteRow(contestId, athleteId, UUID.randomUUID(), new NoteRow.Changed(SPOT, words,
        json.write(new Before(before)), words)).by(who, clock.now()));
    return words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1) + ".";
  }

  /** What the gym's numbers say of the lifts before the contest is among them. */
  private Map<String, Estimate> gym(Day day, ContestAthlete athlete, long lifterId, LocalDate on) {
    Map<String, Estimate> gym = new HashMap<>();
    numbers.findByLifterIdIn(List.of(lifterId)).stream().filter(own -> day.rules().platform().lifts().contains(own.lift()))
        .forEach(own -> OurOdds.gym(athlete, own, on).ifPresent(max -> gym.put(own.lift(), max)));
    return gym;
  }

  private int attempts(Day day, ContestAthlete athlete, Lifter lifter, LocalDate on, Set<String> changed,
      Map<String, LiftNumbers.Tested> before) {
    int written = 0;
    for (String lift : day.rules().platform().lifts()) {
      LiftDay lifted = day.liftDay(athlete, lift);
      List<Observation> all = observations(lifted, on);
      for (int at = 0; at < all.size(); at++) {
        sets.save(row(athlete, lifter, lift, all.get(at), words(day, athlete, "attempt " + lifted.lifted().get(at).number())));
      }
      written += all.size();
      if (!all.isEmpty()) {
        changed.add(lift);
      }
      tested(lifted, day).ifPresent(max -> {
        LiftNumbers own = numbers.findByLifterIdAndLift(lifter.id(), lift).orElseGet(() -> new LiftNumbers(lifter.id(), lift));
        before.put(lift, own.testedAs());
        own.testAs(new LiftNumbers.Tested(max.shownIn(lifter.unit()), on, true, words(day, athlete, "")));
        own.list();
        numbers.save(own);
      });
    }
    return written;
  }

  private LoggedSetRow row(ContestAthlete athlete, Lifter lifter, String lift, Observation set, String words) {
    return LoggedSetRow.attempt(lifter.id(), lift, set, athlete.id(), new Said(Set.of(), words, null, List.of(), null, null, null, null),
        clock.now());
  }

  /** Where it was, and under what conditions. */
  private static String words(Day day, ContestAthlete athlete, String attempt) {
    Contest.ContestSaid said = day.contest().said();
    Mass body = athlete.said().bodyMass();
    String words = said.name() + (attempt.isEmpty() ? "" : ", " + attempt) + ", " + said.rules().word() + (body == null ? "" : ", "
        + body.text());
    return words.length() <= MOST_WORDS ? words : words.substring(0, MOST_WORDS);
  }

  /** What was lifted of events with one load and reps: reps in a time, and heaviest loads. What is carried has its figures in words. */
  private int events(Day day, ContestAthlete athlete, Lifter lifter, LocalDate on, Set<String> changed) {
    int written = 0;
    for (Map.Entry<Integer, EventResult> one : day.results().getOrDefault(athlete.id(), Map.of()).entrySet()) {
      Contest.ContestEvent event = day.contest().said().events().get(one.getKey() - 1);
      EventResult result = one.getValue();
      Mass load = Optional.ofNullable(result.load()).or(() -> StrongmanPages.mass(event.work()))
          .orElse(Mass.ofNanograms(0, MassUnit.KG));
      boolean reps = result.numbers().containsKey(Field.REPS);
      int made = reps ? result.numbers().get(Field.REPS).intValue() : 1;
      if (load.isZero() || !day.events().get(one.getKey() - 1).counts(result)) {
        continue;
      }
      boolean single = result.load() != null;
      Observation set = Observation.of(on, load.shownIn(lifter.unit()), made, null).with(Trait.CONTEST, single)
          // reps against the clock, and what is carried, say nothing of a max
          .with(Trait.PRACTICE, !single);
      sets.save(row(athlete, lifter, event.lift(), set, words(day, athlete, PlatformLog.words(result))).took(figure(result, Field.TIME, 10),
          metres(event.work(), result)));
      changed.add(event.lift());
      written++;
    }
    return written;
  }

  /** A figure in so many parts, as the log has it; null where nobody wrote it. */
  private static @Nullable Integer figure(EventResult result, Field field, int parts) {
    BigDecimal number = result.numbers().get(field);
    return number == null ? null : Integer.valueOf(number.multiply(BigDecimal.valueOf(parts)).setScale(0, RoundingMode.HALF_UP).intValue());
  }

  /** How far it was carried: as it was measured, else all of the course where it was finished. */
  private static @Nullable Integer metres(String work, EventResult result) {
    boolean finished = result.numbers().getOrDefault(Field.FINISHED, BigDecimal.ZERO).signum() > 0;
    return finished ? StrongmanPages.course(work).map(metres -> metres.movePointRight(2).intValue()).orElse(null)
        : figure(result, Field.DISTANCE, 100);
  }

  /** Takes the day of an athlete out of the log again. */
  @Transactional
  public String takeBack(long contestId, long athleteId, SignedIn who) {
    ContestAthlete athlete = athletes.held(athleteId).filter(one -> one.contestId() == contestId && one.ours()).orElseThrow(NotFound::new);
    if (athlete.loggedAt() == null) {
      return "It is not in the log.";
    }
    Day day = days.day(contestId);
    Lifter lifter = Objects.requireNonNull(day.lifter(athlete));
    LocalDate on = day.contest().day();
    Map<String, LiftNumbers.Tested> before = new HashMap<>();
    notes.ofSpot(contestId, athleteId, SPOT, Limit.of(1)).forEach(note -> {
      before.putAll(json.read(note.changed().before(), Before.class).tested());
      note.undo();
    });
    Set<String> changed = new LinkedHashSet<>();
    List<LoggedSetRow> rows = sets.ofAthlete(athleteId);
    rows.forEach(row -> changed.add(row.lift()));
    sets.deleteAll(rows);
    sets.flush();
    before.forEach((lift, tested) -> numbers.findByLifterIdAndLift(lifter.id(), lift)
        // what somebody tested since stands
        .filter(own -> Objects.equals(own.testedOn(), on)).ifPresent(own -> own.testAs(tested)));
    changed.forEach(lift -> tracking.rerun(lifter, lift));
    athlete.prepare(athlete.prepared().knowing(Map.of()));
    athlete.logged(null);
    athletes.saveAndFlush(athlete);
    NoteRow note = new NoteRow(contestId, athleteId, UUID.randomUUID(), new NoteRow.Changed(SPOT, "taken out of the log", "", ""))
        .by(who, clock.now());
    note.undo();
    notes.saveAndFlush(note);
    return "Taken out of the log; the maxes are as they were before.";
  }
}
